import type { Question } from '../question/question';
import { testQuestion } from '../question/testQuestion';
import type { TappedMark } from '../record/passMark';
import { standingMarks } from '../record/passMark';
import { isClean, passFaults } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';
import type { RecordEvent } from '../record/recordEvent';
import { applyEvent, EMPTY_LOG, standingRecord } from '../record/recordLog';
import { takenBack } from '../record/testEvents';
import { afterFailure } from './afterFailure';
import type { FaultGround } from './faultGround';
import { repeatedFaults } from './repeatedFault';
import { stageGate, type GatedQuestion } from './stageGate';
import { lessonPasses } from './testLesson';

const pass = lessonPasses();
const asking = (question: Partial<Question>, one: PassRecord): PassRecord => ({
  ...one,
  question: { ...one.question, ...question },
});
const LINE: GatedQuestion[] = [{ id: 'line', name: 'line', hasReins: true }];
const RUB: TappedMark = { kind: 'fence', place: 1, outcome: 'rub' };
const DOWN: TappedMark = { kind: 'fence', place: 1, outcome: 'down' };
const VOID: TappedMark = { kind: 'void' };

describe('the next stage (common practice, no source: the last two passes clean on both reins)', () => {
  test.each([
    ['nothing ridden', [], false, 'Nothing ridden'],
    ['one rein only', [pass('left'), pass('left')], false, 'Right rein: 2 more clean passes'],
    ['one clean pass each', [pass('left'), pass('right')], false, 'Left rein: 1 more clean pass; right rein: 1 more'],
    ['two clean each', [pass('left'), pass('right'), pass('left'), pass('right')], true, 'on both reins'],
    ['a rub is no fault', [pass('left', RUB), pass('left'), pass('right', RUB), pass('right')], true, 'clean'],
    ['a rail down at the end', [pass('left'), pass('left', DOWN), pass('right'), pass('right')], false, 'was down'],
    ['clean again after it', [pass('left', DOWN), pass('left'), pass('left'), pass('right'), pass('right')], true, ''],
    [
      'given up before the line',
      [pass('left'), pass('left', VOID), pass('left'), pass('right'), pass('right')],
      true,
      '',
    ],
  ] as [string, PassRecord[], boolean, string][])('%s', (_, passes, ready, words) => {
    const gate = stageGate(passes, LINE);
    expect(gate.ready).toBe(ready);
    expect(gate.reason).toContain(words);
  });

  test('another count than was asked holds it back', () => {
    const five = { kind: 'strides', place: 1, count: 5 } as const;
    const passes = (asked: number) =>
      (['left', 'left', 'right', 'right'] as const).map(rein => asking({ asked: [asked] }, pass(rein, five)));
    expect(stageGate(passes(5), LINE).ready).toBe(true);
    expect(stageGate(passes(6), LINE)).toMatchObject({ ready: false });
    expect(stageGate(passes(6), LINE).reason).toContain('strides left out');
  });

  test('a track that changes the rein is asked for clean passes, on no rein', () => {
    const course = [{ id: 'line', name: 'course', hasReins: false }];
    const without = (...marks: TappedMark[]) => ({ ...pass('left', ...marks), rein: null });
    expect(stageGate([without()], course)).toMatchObject({ ready: false, reason: 'Not yet. 1 more clean pass.' });
    expect(stageGate([without(), without()], course)).toMatchObject({
      ready: true,
      reason: 'The last 2 passes were clean.',
    });
  });

  test('a stage of two questions asks for both', () => {
    const both: GatedQuestion[] = [...LINE, { id: 'bend', name: 'bend', hasReins: true }];
    const line = [pass('left'), pass('left'), pass('right'), pass('right')];
    expect(stageGate(line, both)).toEqual({ ready: false, reason: 'bend: Not ridden yet.' });
    const bend = line.map(one => asking({ id: 'bend' }, one));
    expect(stageGate([...line, ...bend], both).ready).toBe(true);
  });

  test('running-walk poles ridden in canter, head high, are not clean', () => {
    const canter: TappedMark = { kind: 'gait', ridden: 'canter' };
    const high: TappedMark = { kind: 'head', height: 'high' };
    const walked = (...marks: TappedMark[]) =>
      (['left', 'left', 'right', 'right'] as const).map(rein => asking({ gait: 'running-walk' }, pass(rein, ...marks)));
    expect(stageGate(walked({ kind: 'gait', ridden: 'running-walk' }), LINE).ready).toBe(true);
    expect(stageGate(walked(canter), LINE).reason).toContain('in canter');
    expect(stageGate(walked(high), LINE).reason).toContain('head high');
  });

  test('where a row can be ridden one way only, one rein is enough', () => {
    const passes = [pass('right'), pass('right')];
    expect(stageGate(passes, LINE).ready).toBe(false);
    expect(stageGate(passes, LINE, { cleanEachRein: 2, bothReins: false })).toMatchObject({ ready: true });
  });
});

test('the last word on a thing counts, and what may be said often stays', () => {
  const { marks } = pass(
    'left',
    DOWN,
    { kind: 'hit', place: 2 },
    RUB,
    { kind: 'hit', place: 2 },
    { kind: 'quality', value: 2 },
    { kind: 'quality', value: 4 },
  );
  expect(standingMarks(marks).map(({ kind }) => kind)).toEqual(['hit', 'fence', 'hit', 'quality']);
  expect(passFaults({ ...pass('left'), marks }).map(({ what }) => what)).toEqual(['hit', 'hit']);
  expect(isClean(pass('left', VOID))).toBe(false);
  expect(
    isClean(pass('left', { kind: 'lead', place: 1, lead: 'left' }, { kind: 'landing', place: 1, where: 'close' })),
  ).toBe(true);
});

test('the same fault three times here, with what to look at', () => {
  const refusal: TappedMark = { kind: 'fence', place: 2, outcome: 'refusal' };
  expect(repeatedFaults([pass('left', refusal), pass('left', refusal)])).toEqual([]);
  // Twice in one pass is once; another fence is another question; what does not count does not count.
  const passes = [
    pass('left', refusal, refusal),
    pass('right', refusal),
    pass('left', { kind: 'fence', place: 3, outcome: 'refusal' }),
    pass('left', refusal, VOID),
  ];
  expect(repeatedFaults(passes)).toEqual([]);
  const [found] = repeatedFaults([...passes, pass('right', refusal)]);
  expect(found).toMatchObject({ what: 'refusal', place: 2, times: 3 });
  expect(found!.suggestion).toContain('stage down');
  const deep = [1, 2, 3].map(() => pass('left', { kind: 'take-off', place: 1, where: 'deep' }));
  expect(repeatedFaults(deep)[0]!.suggestion).toContain('open it');
});

const fold = (events: readonly RecordEvent[]) => standingRecord(events.reduce(applyEvent, EMPTY_LOG));

test('breaks and the reading of the cautions are recorded once each, and breaks can be taken back', () => {
  const walked: RecordEvent = { type: 'break', id: 'b1', lessonId: 'l', pairId: 'p', atMs: 5 };
  const read = (id: string, atMs: number): RecordEvent => ({ type: 'acknowledge', id, lessonId: 'l', atMs });
  const events = [walked, walked, read('a', 3), read('b', 9)];
  const record = fold(events);
  const breaks = [{ id: 'b1', pairId: 'p', stageId: null, atMs: 5 }];
  expect(record).toEqual({ passes: [], asks: [], breaks, acknowledgedAtMs: 3 });
  const undone = fold([...events, takenBack('u', 'break', 'b1', 6)]);
  expect(undone.breaks).toEqual([]);
});

test('what was asked on the day is recorded once, and can be taken back', () => {
  const ask = (id: string, question: Question): RecordEvent => ({
    ...{ type: 'ask', id, lessonId: 'l', stageId: 's', pairId: null, question, atMs: 7 },
  });
  const [bend, line] = [testQuestion('bend'), testQuestion('line')];
  const events = [ask('a', bend), ask('a', bend), ask('b', line)];
  const record = fold(events);
  expect(record.asks.map(({ id }) => id)).toEqual(['a', 'b']);
  expect(record.asks[0]).toEqual({ id: 'a', stageId: 's', pairId: null, question: bend, atMs: 7 });
  const undone = fold([...events, takenBack('u', 'ask', 'a', 8)]);
  expect(undone.asks.map(({ id }) => id)).toEqual(['b']);
});

describe('what is offered can be done where it happened', () => {
  const on = (at: FaultGround['at'], more: Partial<FaultGround> = {}): FaultGround => ({
    ...{ at, landingPoleM: () => null, isRow: false, ...more },
  });
  const three = (mark: TappedMark) => [pass('left', mark), pass('right', mark), pass('left', mark)];

  // Common practice, no source: a landing pole lies about 3 m behind a fence and is rolled out a little each pass.
  test('only what was marked as trouble is any', () => {
    expect(repeatedFaults(three({ kind: 'landing', place: 2, where: 'far' }))).toEqual([]);
    expect(repeatedFaults(three({ kind: 'quality', value: 2 }))).toEqual([]);
  });

  test('a landing that stays close lays a pole, and rolls out the one that lies there', () => {
    const close = three({ kind: 'landing', place: 2, where: 'close' });
    expect(
      repeatedFaults(
        close,
        on(() => 'fence'),
      )[0]!.suggestion,
    ).toContain('Lay a landing pole 3 m behind it');
    const there = repeatedFaults(
      close,
      on(() => 'fence', { landingPoleM: place => (place === 2 ? 3 : null) }),
    )[0]!;
    expect(there.suggestion).toBe('Roll the landing pole out to 3.3 m.');
    expect(there.answers).toEqual([{ kind: 'distance', leg: 1, byM: expect.closeTo(0.3, 9) }]);
  });

  // Common practice, no source: a foot at a third says that the step is short; all gaps of a row are changed together.
  test('a foot at a third three times closes all gaps by 5 cm, at three quarters opens them once the pace is steady', () => {
    const row = on(() => 'pole', { isRow: true });
    const short = repeatedFaults(three({ kind: 'footfall', place: null, fraction: 1 / 3 }), row)[0]!;
    expect(short.suggestion).toContain('close all gaps by 5 cm');
    expect(short.answers).toEqual([{ kind: 'row', byM: -0.05 }]);
    const long = repeatedFaults(three({ kind: 'footfall', place: 2, fraction: 3 / 4 }), row)[0]!;
    expect(long.suggestion).toMatch(/steady the pace first, then open all gaps by 5 cm/);
    expect(repeatedFaults(three({ kind: 'footfall', place: null, fraction: 1 / 2 }), row)).toEqual([]);
  });

  test('nothing is lowered that lies', () => {
    const hits = three({ kind: 'hit', place: 1 });
    expect(
      repeatedFaults(
        hits,
        on(() => 'pole'),
      )[0]!.suggestion,
    ).not.toContain('Lower');
    expect(
      repeatedFaults(
        hits,
        on(() => 'raised pole'),
      )[0]!.suggestion,
    ).toContain('Lower');
    const policy = afterFailure(
      'lower only what failed',
      hits,
      () => 'pole 1',
      on(() => 'pole'),
    )!;
    expect(policy.words).toBe('Take pole 1 out, and leave the rest.');
  });

  test('a bend that is lost in one loop comes back in that loop only', () => {
    const lost = (part: number): TappedMark => ({ kind: 'figure', place: 1, part, point: 'bend', kept: false });
    expect(repeatedFaults([pass('left', lost(2)), pass('left', lost(2)), pass('left', lost(3))])).toEqual([]);
    expect(repeatedFaults(three(lost(2)))[0]).toMatchObject({ what: 'bend lost', place: 1, part: 2, times: 3 });
  });
});
