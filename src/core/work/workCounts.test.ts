import { DEFAULT_LEG, type ItemTrack, type Layout } from '../layout/layout';
import { newItem } from '../plan/newItem';
import type { PassMark, TappedMark } from '../record/passMark';
import { passWork, type WorkedPass } from './passWork';
import { questionWork } from './questionWork';
import { workCounts, workWarnings } from './workCounts';

type WorkedAt = WorkedPass & { riddenAtMs: number };

const pass = (...marks: TappedMark[]): WorkedPass => ({
  direction: 'as-drawn',
  marks: marks.map((mark, order) => ({ id: `m${order}`, ...mark }) as PassMark),
});
const VOID: TappedMark = { kind: 'void' };

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
const work = questionWork(layout);
const at = (minute: number, ...marks: TappedMark[]) => ({
  ...pass(...marks),
  riddenAtMs: minute * 60_000,
});
const so = (passes: WorkedAt[], breaksMs: number[] = []) =>
  workCounts({ passes, workOf: () => work, breaksMs, startMs: 0, nowMs: 15 * 60_000 });

test('the work of one pass, a circle of 10 m among it', () => {
  expect(passWork(pass(), work)).toMatchObject({ lowEfforts: 1, highEfforts: 1, raisedPasses: 1 });
  expect(work.stops).toEqual(['low effort', 'high effort', 'raised', 'raised']);
  expect(passWork(pass(), work).smallCircleMin.left).toBeCloseTo(roundMin, 6);
  expect(passWork(pass(), work).smallCircleMin.right).toBe(0);
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
  for (const direction of ['other-way', 'mirrored'] as const) {
    const counts = so([{ ...at(1), direction }]);
    expect(counts.smallCircleMin.left).toBe(0);
    expect(counts.smallCircleMin.right).toBeCloseTo(roundMin, 6);
  }
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
  [{ lowEfforts: 40, highEfforts: 30 }, 1],
  // Half a day of low ones and half a day of high ones are a day.
  [{ lowEfforts: 30, highEfforts: 15 }, 1],
  [{ lowEfforts: 30, highEfforts: 14 }, 0],
  [{ jumpingDays: 3 }, 1],
  [{ smallCircleMin: { left: 3, right: 3.5 } }, 2],
  [{ sinceBreakMin: 10 }, 1],
])('%j: %i warnings', (counts, warnings) => expect(workWarnings({ ...CALM, ...counts }, 10)).toHaveLength(warnings));
test('ten minutes without walking', () =>
  expect(workWarnings({ ...CALM, sinceBreakMin: 10 }, 10)).toEqual(['10 minutes without a walk break.']));

describe('a pass that ended at a refusal counts what was ridden before it', () => {
  const REFUSAL = (place: number): TappedMark => ({ kind: 'fence', place, outcome: 'refusal' });
  const jumped = (...marks: TappedMark[]) => {
    const { lowEfforts, highEfforts, raisedPasses } = passWork(pass(...marks), work);
    return [lowEfforts, highEfforts, raisedPasses];
  };

  test.each<[string, TappedMark[], number[]]>([
    ['nothing marked', [], [1, 1, 1]],
    ['refused at the first', [REFUSAL(1)], [0, 0, 0]],
    ['refused at the second', [REFUSAL(2)], [1, 0, 0]],
    [
      'refused at the second and gone on: something is marked behind it',
      [REFUSAL(2), { kind: 'hit', place: 3 }],
      [1, 0, 1],
    ],
    ['a rail down ends nothing', [{ kind: 'fence', place: 1, outcome: 'down' }], [1, 1, 1]],
    ['corrected by a later tap', [REFUSAL(1), { kind: 'fence', place: 1, outcome: 'rub' }], [1, 1, 1]],
    ['given up before the line', [VOID], [0, 0, 0]],
  ])('%s', (_, marks, done) => expect(jumped(...marks)).toEqual(done));

  test('the other way round it ends from the other end', () =>
    expect(passWork({ ...pass(REFUSAL(1)), direction: 'other-way' }, work)).toMatchObject({
      ...{ lowEfforts: 0, highEfforts: 1, raisedPasses: 1 },
    }));
});
