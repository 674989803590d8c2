/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { EMPTY_LOG, type TappedMark } from '@/core';
import { packLog } from '@/files/packedRecord';
import { countedSaying, useTestLesson } from '../../_state/testLesson';
import { lineLayout } from '@/components/testing/testLine';
import { runPair, runStage } from '../testRun';
import { useRun } from './useRun';

const LAYOUT = lineLayout();

const says: { now: () => ReturnType<ReturnType<typeof countedSaying>> } = { now: countedSaying() };
jest.mock('@/app/ride/saying', () => ({ saying: () => says.now() }));
jest.mock('../../_state/useLesson', () => ({ useLesson: () => useTestLesson(says.now) }));

const STAGES = [runStage('warm', null), runStage('line', 'v1', 'five', 'six')];
const PAIRS = [runPair('Juniper', 1.6), runPair('Moss', 1.3)];
const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' } as TappedMark;

function open(writtenDownFromMs: number | null = null) {
  const view = renderHook(() =>
    useRun({
      ...{ lessonId: 'lesson', pairs: PAIRS, stages: STAGES, layouts: { v1: LAYOUT }, writtenDownFromMs },
      ...{ first: { number: 0, log: packLog(EMPTY_LOG) }, onSetup: () => {} },
    }),
  );
  const run = () => view.result.current;
  const does = (what: (now: ReturnType<typeof run>) => unknown) => act(() => void what(run()));
  return { run, does, passes: () => run().lesson.record.passes };
}

beforeEach(() => {
  says.now = countedSaying();
});

describe('a lesson as it is ridden', () => {
  it('begins at the first stage and with the first pair; nothing is ridden where nothing stands', () => {
    const { run, does, passes } = open();
    expect([run().stage.id, run().pair?.horse, run().canRide]).toEqual(['warm', 'Juniper', false]);
    does(now => now.mark(DOWN));
    does(now => now.endPass());
    expect(passes()).toEqual([]);
  });

  it('has the first mark begin a pass, and the next ones go to it until it is done', () => {
    const { run, does, passes } = open();
    does(now => now.chooseStage(1));
    does(now => now.mark(DOWN));
    does(now => now.mark({ kind: 'fence', place: 1, outcome: 'rub' } as TappedMark));
    expect(passes()).toHaveLength(1);
    expect(passes()[0]).toMatchObject({ pairId: 'Juniper', stageId: 'line', layoutVersionId: 'v1' });
    expect(passes()[0]!.marks.map(({ kind }) => kind)).toEqual(['fence', 'fence']);
    const before = run().round;
    does(now => now.endPass());
    expect([run().open, run().round]).toEqual([null, before + 1]);
    expect(passes()).toHaveLength(1);
  });

  it('keeps a pass without a mark as a clean one, and what was counted with it', () => {
    const { does, passes } = open();
    does(now => now.chooseStage(1));
    does(now => now.endPass());
    does(now => now.endPass([{ kind: 'strides', place: 1, count: 5, tapsMs: [] } as TappedMark]));
    expect(passes().map(({ marks }) => marks.map(({ kind }) => kind))).toEqual([[], ['strides']]);
  });

  it('takes back the last tap of this pair at this stage only, and does it again', () => {
    const { run, does, passes } = open();
    does(now => now.chooseStage(1));
    does(now => now.endPass());
    does(now => now.choosePair('Moss'));
    expect(run().history.undo).toEqual([]);
    does(now => now.endPass());
    does(now => now.lesson.reverse(now.history.undo.at(-1)!));
    expect(passes().map(({ pairId }) => pairId)).toEqual(['Juniper']);
    does(now => now.lesson.reverse(now.history.redo.at(-1)!));
    expect(passes().map(({ pairId }) => pairId)).toEqual(['Juniper', 'Moss']);
  });

  it('turns a pass that is open the way that is chosen, and one that comes after it too', () => {
    const { run, does, passes } = open();
    does(now => now.chooseStage(1));
    const [first, second] = run().ride!.ways;
    does(now => now.mark(DOWN));
    does(now => now.steer(second ?? first!));
    expect(passes()[0]).toMatchObject(second ?? first!);
    does(now => now.endPass());
    does(now => now.mark(DOWN));
    expect(passes()[1]).toMatchObject(second ?? first!);
  });

  it('asks one pair otherwise, and the other as before; a count of its own stays its own when all are asked', () => {
    const { run, does } = open();
    does(now => now.chooseStage(1));
    does(now => now.askOtherwise(one => ({ ...one, asked: [6] }), false));
    expect(run().question?.asked).toEqual([6]);
    does(now => now.choosePair('Moss'));
    expect(run().question?.asked).toEqual([5]);
    does(now => now.askOtherwise(one => ({ ...one, gait: 'canter' }), true));
    expect(run().question).toMatchObject({ gait: 'canter', asked: [5] });
    does(now => now.choosePair('Juniper'));
    expect(run().question).toMatchObject({ gait: 'canter', asked: [6] });
  });

  it('keeps what a pass was begun with while another question is asked', () => {
    const { run, does, passes } = open();
    does(now => now.chooseStage(1));
    does(now => now.mark(DOWN));
    does(now => now.chooseQuestion('six'));
    expect(run().open).toBeNull();
    does(now => now.mark(DOWN));
    expect(passes().map(one => one.question.id)).toEqual(['five', 'six']);
  });

  it('writes a walk down for the pair that is shown, and the order that pairs ride in', () => {
    const { run, does } = open();
    does(now => now.choosePair('Moss'));
    does(now => now.walkBreak());
    expect(run().lesson.record.breaks).toMatchObject([{ pairId: 'Moss', stageId: 'warm' }]);
    does(now => now.orderPairs(['Moss', 'Juniper']));
    expect(run().pairs.map(({ id }) => id)).toEqual(['Moss', 'Juniper']);
  });

  it('goes on with strides that were counted where what they are of is still there', () => {
    const { run, does } = open();
    const taps = { pairId: 'Moss', stageId: 'line', questionId: 'six', openId: null, run: { step: 0, tapsMs: [1] } };
    let isBack = false;
    does(now => (isBack = now.bringBack(taps)));
    expect([isBack, run().pair?.id, run().stage.id, run().question?.id]).toEqual([true, 'Moss', 'line', 'six']);
    does(now => (isBack = now.bringBack({ ...taps, stageId: 'gone' })));
    expect([isBack, run().stage.id]).toEqual([false, 'line']);
    does(now => (isBack = now.bringBack({ ...taps, pairId: 'gone' })));
    expect(isBack).toBe(false);
  });

  it('takes the day of the lesson for what is written down afterwards, and says when it was recorded', () => {
    const dayMs = 400_000;
    const { run, does, passes } = open(dayMs);
    does(now => now.chooseStage(1));
    does(now => now.endPass());
    does(now => now.endPass());
    const [first, second] = passes().map(({ riddenAtMs }) => riddenAtMs);
    // The first stage takes ten minutes; nothing is ridden later than it is recorded.
    expect(first).toBeGreaterThanOrEqual(dayMs);
    expect(second).toBeGreaterThanOrEqual(first!);
    expect(run().lesson.log.passes.map(({ saidAtMs }) => saidAtMs >= 1_000_000)).toEqual([true, true]);
  });

  it('begins another pass over one line of the track', () => {
    const { run, does, passes } = open();
    does(now => now.startLine(1, 2));
    expect(passes()).toEqual([]);
    does(now => now.chooseStage(1));
    does(now => now.startLine(1, 2));
    expect(run().open?.marks).toMatchObject([{ kind: 'line', from: 1, to: 2 }]);
  });
});
