/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { EMPTY_LOG, USUAL_RULES, type RecordEvent, type RecordLog } from '@/core';
import { packLog } from '@/files/packedRecord';
import { countedSaying, useTestLesson } from '../../_state/testLesson';
import { lineLayout } from '@/components/testing/testLine';
import { runPair, runStage } from '../testRun';
import { RunLesson } from './RunLesson';
import type { RunLessonProps } from './runProps';

const says: { now: () => ReturnType<ReturnType<typeof countedSaying>>; log: RecordLog; said: RecordEvent[] } = {
  ...{ now: countedSaying(), log: EMPTY_LOG, said: [] },
};
jest.mock('@/app/ride/saying', () => ({ saying: () => says.now() }));
jest.mock('../../_state/useLesson', () => ({
  useLesson: () => {
    const lesson = useTestLesson(says.now, says.log);
    const tap = (events: RecordEvent[]) => {
      says.said.push(...events);
      lesson.tap(events);
    };
    return { ...lesson, tap };
  },
}));
jest.mock('@/components/sync/Delivery', () => ({ Delivery: () => null }));
jest.mock('@/components/sync/SyncStarter', () => ({ SyncStarter: () => null }));
jest.mock('@/components/who/mayPlan', () => ({ ForInstructors: ({ children }: { children: unknown }) => children }));
jest.mock('@/components/offline/useKeptAt', () => ({ useKeptAt: () => null }));
jest.mock('@/app/ride/_state/pad/useWakeLock', () => ({ useWakeLock: () => {} }));
jest.mock('@/app/ride/_components/pad/shake', () => ({ shake: () => {} }));
jest.mock('@/components/sync/useDraft', () => {
  const react = jest.requireActual<typeof import('react')>('react');
  return {
    useDraft: (_: string, __: unknown, found: (left: unknown) => void) => {
      const heard = react.useRef(found);
      react.useEffect(() => heard.current(null), []);
    },
  };
});
jest.mock('../../../actions', () => ({}));
const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh, push: () => {} }) }));

const DAY_MS = Date.UTC(2026, 10, 3, 16, 0);

function run(changes: Partial<RunLessonProps> = {}, log: Partial<RecordLog> = { acknowledgedAtMs: DAY_MS }) {
  says.log = { ...EMPTY_LOG, ...log };
  renderInRoan(
    <RunLesson
      {...{ lessonId: 'lesson', name: 'Tuesday', startsAtMs: DAY_MS, breakEveryMin: 15, rules: USUAL_RULES }}
      {...{ layouts: { v1: lineLayout() }, homeFacingDeg: null, cautions: ['Check the cups.'], yardPairs: [] }}
      {...{ first: { number: 0, log: packLog(EMPTY_LOG) }, setup: 'one', timeZone: 'UTC', isItsDay: true }}
      pairs={[runPair('Juniper', 1.6), runPair('Moss', 1.3)]}
      stages={[runStage('Warm up', null), runStage('The line', 'v1', 'five')]}
      madeAtMs={DAY_MS}
      writtenDownFor={null}
      {...changes}
    />,
  );
}
const key = (name: RegExp | string) => screen.getByRole<HTMLButtonElement>('button', { name });
const press = (name: RegExp | string) => fireEvent.click(key(name));
const heading = () => screen.getByRole('heading', { level: 1 }).textContent;
const passes = () => says.said.flatMap(one => (one.type === 'pass' ? [one.pass] : []));
const strip = () => [...within(screen.getByRole('region', { name: 'Pairs' })).getAllByRole('button')];

beforeEach(() => {
  Object.assign(says, { now: countedSaying(), said: [] });
  jest.useFakeTimers({
    now: DAY_MS + 60_000,
    doNotFake: ['setTimeout', 'setInterval', 'queueMicrotask', 'performance'],
  });
});
afterEach(() => jest.useRealTimers());

test('cautions are read first, once; then the lesson is there', () => {
  run({}, {});
  expect(heading()).toBe('Before anybody rides');
  expect(screen.getByText('Check the cups.')).toBeTruthy();
  press('Begin the lesson');
  expect(says.said.map(({ type }) => type)).toEqual(['acknowledge']);
  expect(heading()).toContain('1. Warm up');
});

test('a stage with nothing on the sand leads on to the next', () => {
  run();
  press('On to “The line”');
  expect(heading()).toContain('2. The line');
  expect(key(/Tap each stride/)).toBeTruthy();
});

describe('at a stage', () => {
  const atLine = (changes: Partial<RunLessonProps> = {}) => {
    run(changes);
    press('On to “The line”');
  };

  it('strides are tapped, a fault marked, and the pass done: four taps and no more', () => {
    atLine();
    press(/Tap each stride/);
    press(/Tap each stride/);
    press('down');
    press(/^Pass done/);
    expect(passes()).toHaveLength(1);
    expect(says.said.flatMap(one => (one.type === 'mark' ? [one.mark.kind] : []))).toEqual(['strides', 'fence']);
    expect(key(/^Clean pass/)).toBeTruthy();
  });

  it('a clean pass and the next pair are one tap', () => {
    atLine();
    press('Clean, next Moss');
    expect(passes().map(({ pairId }) => pairId)).toEqual(['Juniper']);
    expect(strip()[0]!.textContent).toContain('Moss');
    press('Clean, next Juniper');
    expect(passes().map(({ pairId }) => pairId)).toEqual(['Juniper', 'Moss']);
  });

  it('what was counted is kept when another pair is chosen in the middle', () => {
    atLine();
    for (let stride = 0; stride < 4; stride += 1) press(/Tap each stride/);
    fireEvent.click(strip()[1]!);
    expect(says.said.flatMap(one => (one.type === 'mark' ? [one.mark] : []))).toMatchObject([
      { kind: 'strides', place: 1, count: 4 },
    ]);
    expect(passes()[0]!.pairId).toBe('Juniper');
  });

  it('an undo names what it takes back, and is of this pair alone', () => {
    atLine();
    press('rub');
    expect(key(/^Undo/).textContent).toContain('rub');
    fireEvent.click(strip()[1]!);
    expect(key(/^Undo/).disabled).toBe(true);
    fireEvent.click(strip()[1]!);
    press(/^Undo/);
    expect(key(/^Redo/).textContent).toContain('rub');
    press(/^Redo/);
    expect(key(/^Undo/).textContent).toContain('rub');
  });

  it('a walk break is of the pair that is shown', () => {
    atLine();
    press('Walk break');
    expect(says.said).toMatchObject([{ type: 'break', pairId: 'Juniper', stageId: 'The line' }]);
  });

  it('what is seldom marked comes from below, and the keyboard is not heard meanwhile', async () => {
    atLine();
    press('More …');
    const sheet = await screen.findByRole('dialog', { name: /More to mark/ }, { timeout: 5000 });
    fireEvent.click(
      within(within(sheet).getByRole('group', { name: 'Quality, 1 to 5' })).getByRole('button', { name: '4' }),
    );
    expect(says.said.at(-1)).toMatchObject({ type: 'mark', mark: { kind: 'quality', value: 4 } });
    const before = says.said.length;
    act(() => void fireEvent.keyDown(document.body, { key: 'd' }));
    expect(says.said).toHaveLength(before);
    fireEvent.click(within(sheet).getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  it('what can be changed on the day is behind the stage', async () => {
    atLine();
    press(/The line/);
    expect(await screen.findByRole('dialog', { name: 'On the day' }, { timeout: 5000 })).toBeTruthy();
    expect(screen.getAllByRole('tab').length).toBeGreaterThan(2);
  });

  it('nobody rides: it says how somebody comes in', () => {
    run({ pairs: [] });
    expect(screen.getByText(/Nobody rides in this lesson yet/)).toBeTruthy();
  });

  it('what was changed at the desk is said until it was read', () => {
    atLine({ stages: [runStage('Warm up', null), { ...runStage('The line', 'v1', 'five'), lacks: 2 }] });
    expect(screen.getByText(/2 questions of this stage go over what the layout no longer has/)).toBeTruthy();
  });
});

test('a lesson that was ended is read, not ridden', () => {
  run({}, { acknowledgedAtMs: DAY_MS, endedAtMs: DAY_MS + 1000 });
  expect(heading()).toBe('The lesson is over');
});

test('a lesson of another day is not begun by mistake', () => {
  run({ isItsDay: false, startsAtMs: DAY_MS + 3 * 24 * 3_600_000 }, {});
  expect(screen.queryByRole('button', { name: 'Begin the lesson' })).toBeNull();
  expect(document.body.textContent).toContain('Friday 6 November 2026');
});

test('what is written down afterwards says so, has no minutes, and takes the day of the lesson', () => {
  run({ writtenDownFor: '3 November', isItsDay: false }, { acknowledgedAtMs: DAY_MS, endedAtMs: DAY_MS + 1000 });
  expect(screen.getByText(/Written down afterwards: ridden on 3 November/)).toBeTruthy();
  press('On to “The line”');
  expect(strip()[0]!.textContent).not.toContain('min');
  press('Clean, next Moss');
  expect(passes()[0]!.riddenAtMs).toBeLessThan(DAY_MS + 3_600_000);
});
