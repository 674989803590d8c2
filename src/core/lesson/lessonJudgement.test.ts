import { newItem } from '../plan/newItem';
import type { ItemTrack, Layout } from '../layout/layout';
import { DEFAULT_LEG } from '../layout/layout';
import type { PassMark, TappedMark } from '../record/passMark';
import { standingMarks } from '../record/passMark';
import { isClean, passFaults } from '../record/passJudged';
import type { PassRecord, RecordEvent } from '../record/passRecord';
import type { Rein } from '../track/rein';
import { applyLessonEvent, EMPTY_LESSON_RECORD } from './lessonRecord';
import { repeatedFaults } from './repeatedFault';
import { stageGate, USUAL_GATE } from './stageGate';
import { passWork, workCounts, workWarnings } from './workCounts';

let count = 0;
const marked = (...marks: TappedMark[]): PassMark[] =>
  marks.map(mark => ({ id: `m${(count += 1)}`, ...mark }) as PassMark);
const pass = (rein: Rein, ...marks: TappedMark[]): PassRecord => ({
  ...{ id: `p${(count += 1)}`, pairId: 'pair', layoutVersionId: 'v', lessonId: 'l', direction: 'as-drawn' },
  ...{ rein, stage: 's', riddenAtMs: count * 60_000, marks: marked(...marks) },
});
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
    const gate = stageGate(passes);
    expect(gate.ready).toBe(ready);
    expect(gate.reason).toContain(words);
  });

  test('another count than was asked holds it back', () => {
    const five = { kind: 'strides', place: 1, count: 5 } as const;
    const passes = [pass('left', five), pass('left', five), pass('right', five), pass('right', five)];
    expect(stageGate(passes, USUAL_GATE, [5]).ready).toBe(true);
    expect(stageGate(passes, USUAL_GATE, [6])).toMatchObject({ ready: false });
    expect(stageGate(passes, USUAL_GATE, [6]).reason).toContain('strides left out');
  });

  test('where a row can be ridden one way only, one rein is enough', () => {
    const passes = [pass('right'), pass('right')];
    expect(stageGate(passes).ready).toBe(false);
    expect(stageGate(passes, { cleanEachRein: 2, bothReins: false })).toMatchObject({ ready: true });
  });
});

test('the last word on a thing counts, and what may be said often stays', () => {
  const marks = marked(
    DOWN,
    { kind: 'hit', place: 2 },
    RUB,
    { kind: 'hit', place: 2 },
    { kind: 'quality', value: 2 },
    { kind: 'quality', value: 4 },
  );
  expect(standingMarks(marks).map(({ kind }) => kind)).toEqual(['hit', 'fence', 'hit', 'quality']);
  expect(passFaults({ marks }).map(({ what }) => what)).toEqual(['hit', 'hit']);
  expect(isClean({ marks: marked(VOID) })).toBe(false);
  expect(
    isClean({ marks: marked({ kind: 'lead', place: 1, lead: 'left' }, { kind: 'landing', place: 1, where: 'close' }) }),
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

describe('what a horse has done', () => {
  const fence = (id: string, heightM: number, yM: number) => ({
    ...newItem('vertical', id, { xM: 10, yM }, Math.PI / 2),
    heightM,
  });
  const raised = newItem('raised pole', 'p', { xM: 10, yM: 30 }, Math.PI / 2);
  const track: ItemTrack = {
    ...{ kind: 'items', id: 't', name: null, gait: 'canter', course: null, passes: 1 },
    through: ['a', 'b', 'p', 'p'].map(item => ({ item, reversed: false })),
    legs: [DEFAULT_LEG, DEFAULT_LEG, { ...DEFAULT_LEG, circle: { rein: 'left', radiusM: 5 } }],
  };
  const layout: Layout = {
    ...{ name: 'l', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
    ...{ items: [fence('a', 0.8, 10), fence('b', 0.9, 20), raised], tracks: [track], horses: [], kit: null },
  };
  /** Once round a 10 m circle at 235 m a minute (common practice, no source). */
  const roundMin = (10 * Math.PI) / 235;
  const work = passWork(layout);
  const at = (minute: number, ...marks: TappedMark[]) => ({ ...pass('left', ...marks), riddenAtMs: minute * 60_000 });
  const so = (passes: PassRecord[], breaksMs: number[] = []) =>
    workCounts({ passes, workOf: () => work, breaksMs, startMs: 0, nowMs: 15 * 60_000 });

  test('the work of one pass, a circle of 10 m among it', () => {
    expect(work).toMatchObject({ lowEfforts: 1, highEfforts: 1, raised: true });
    expect(work.stops).toEqual(['low effort', 'high effort', 'raised', 'raised']);
    expect(work.smallCircleMin.left).toBeCloseTo(roundMin, 6);
    expect(work.smallCircleMin.right).toBe(0);
  });

  test('added up, without what was given up; the clock runs from the first pass since it walked', () => {
    const passes = [at(1), at(3, VOID), at(4), at(12)];
    const counts = so(passes, [10 * 60_000]);
    expect(counts).toMatchObject({ lowEfforts: 3, highEfforts: 3, raisedPasses: 3, jumpingDays: 1 });
    expect(counts.smallCircleMin.left).toBeCloseTo(3 * roundMin, 6);
    expect(counts.sinceBreakMin).toBeCloseTo(3, 9);
    expect(so(passes).sinceBreakMin).toBeCloseTo(14, 9);
    expect(so([]).sinceBreakMin).toBe(0);
    expect(so([]).jumpingDays).toBe(0);
  });

  test('only a line of it ridden is the work of that line; the other way round a left circle is a right one', () => {
    const line = { kind: 'line', from: 2, to: 3 } as const;
    expect(so([at(1, line)])).toMatchObject({
      ...{ lowEfforts: 0, highEfforts: 1, raisedPasses: 1 },
      smallCircleMin: { left: 0, right: 0 },
    });
    const counts = so([{ ...at(1), direction: 'other-way' }]);
    expect(counts.smallCircleMin.left).toBe(0);
    expect(counts.smallCircleMin.right).toBeCloseTo(roundMin, 6);
  });

  test('earlier lessons of the day count', () => {
    const earlier = {
      ...{ lowEfforts: 20, highEfforts: 5, raisedPasses: 2, otherJumpingDays: 2 },
      smallCircleMin: { left: 1, right: 2 },
    };
    const counts = workCounts({ passes: [at(1)], workOf: () => work, breaksMs: [], startMs: 0, nowMs: 0, earlier });
    expect(counts).toMatchObject({ lowEfforts: 21, highEfforts: 6, raisedPasses: 3, jumpingDays: 3 });
    expect(counts.smallCircleMin.right).toBe(2);
  });

  const CALM = {
    ...{ lowEfforts: 0, highEfforts: 0, raisedPasses: 0, sinceBreakMin: 9.9, jumpingDays: 2 },
    smallCircleMin: { left: 2.9, right: 0 },
  };
  // Common practice, no source: 60 low efforts or 30 at 0.9 m and over in a day, two jumping days a week, three minutes on
  // circles of 10 m a rein, a walk every ten minutes.
  test.each([
    [{ lowEfforts: 59, highEfforts: 0 }, 0],
    [{ lowEfforts: 60, highEfforts: 0 }, 1],
    [{ lowEfforts: 0, highEfforts: 30 }, 1],
    [{ lowEfforts: 40, highEfforts: 30 }, 2],
    [{ jumpingDays: 3 }, 1],
    [{ smallCircleMin: { left: 3, right: 3.5 } }, 2],
    [{ sinceBreakMin: 10 }, 1],
  ])('%j: %i warnings', (counts, warnings) => expect(workWarnings({ ...CALM, ...counts }, 10)).toHaveLength(warnings));
  test('ten minutes without walking', () =>
    expect(workWarnings({ ...CALM, sinceBreakMin: 10 }, 10)).toEqual(['10 minutes without a walk break.']));
});

test('breaks and the reading of the cautions are recorded once each, and breaks can be taken back', () => {
  const walked: RecordEvent = { type: 'break', id: 'b1', lessonId: 'l', pairId: 'p', atMs: 5 };
  const read = (id: string, atMs: number): RecordEvent => ({ type: 'acknowledge', id, lessonId: 'l', atMs });
  const record = [walked, walked, read('a', 3), read('b', 9)].reduce(applyLessonEvent, EMPTY_LESSON_RECORD);
  expect(record).toEqual({ passes: [], breaks: [{ id: 'b1', pairId: 'p', atMs: 5 }], acknowledgedAtMs: 3 });
  const undone = applyLessonEvent(record, { type: 'undo-break', id: 'u', breakId: 'b1', atMs: 6 });
  expect(undone.breaks).toEqual([]);
});
