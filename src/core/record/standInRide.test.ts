import type { PlannedFigure } from '../figures/figure';
import { DEFAULT_LEG, type Layout } from '../layout/layout';
import { seededRandom } from '../statistics/seededRandom';
import { USUAL_MANNER, type StandInManner } from './standInMarks';
import { standInRide, type StandInWish } from './standInRide';
import { course, JUNIPER } from './testCourse';

const WISH: StandInWish = {
  rein: 'left',
  direction: 'as-drawn',
  manner: USUAL_MANNER,
  mistakes: { missing: 0, wrong: 0 },
};
const { layout } = course();
const ride = (asked: Layout, changes: Partial<StandInWish> = {}, seed = 1) =>
  standInRide(asked, JUNIPER, { ...WISH, ...changes }, seededRandom(seed));
const manner = (changes: Partial<StandInManner>) => ({ manner: { ...USUAL_MANNER, ...changes } });

const start = { at: { xM: 20, yM: 20 }, headingRad: 0 };
const flat = (...figures: PlannedFigure['figure'][]): Layout => ({
  ...layout,
  items: [],
  tracks: [
    {
      ...{ kind: 'figures', id: 'flat', name: null, gait: 'trot', passes: 1 },
      figures: figures.map((figure, index) => ({ id: `f${index}`, name: null, gait: null, parts: [], figure })),
    },
  ],
});
const CIRCLE = { kind: 'circle', start, rein: 'left', diameterM: 20, rounds: 1 } as const;
const YIELD: PlannedFigure['figure'] = {
  ...{ kind: 'sideways', start: { at: { xM: 10, yM: 20 }, headingRad: Math.PI / 2 }, rein: 'left' },
  ...{ movement: 'leg-yield', towards: 'right', aheadM: 12, asideM: 6 },
};
const of = (marks: ReturnType<typeof ride>['marks'], kind: string) => marks.filter(mark => mark.kind === kind);

test('over fences it is recorded, and the same seed rides the same way', () => {
  const first = ride(layout);
  expect(first.recording!.ridden).toHaveLength(6);
  expect(of(first.marks, 'quality')).toHaveLength(1);
  expect(ride(layout)).toEqual(first);
  expect(ride(layout, {}, 2)).not.toEqual(first);
});

test('ridden the other way round, places are numbered as drawn', () => {
  const marked = ride(layout, { direction: 'other-way', ...manner({ mishap: 1 }) });
  expect(marked.recording!.ridden[0]!.item).toBe('hazel');
  const strides = of(marked.marks, 'strides').map(mark => ('place' in mark ? mark.place : null));
  // Five legs: the last as drawn is ridden first.
  expect(strides).toEqual([5, 4, 3, 2, 1]);
  const fences = marked.marks.flatMap(mark => (mark.kind === 'fence' ? [mark.place] : []));
  expect(fences[0]).toBe(6);
});

test('on the flat nothing is recorded; what is lost of a figure is marked at it, more on the worse rein', () => {
  const { marks, recording } = ride(flat(CIRCLE, CIRCLE), manner({ mishap: 1 }));
  expect(recording).toBeNull();
  expect(new Set(marks.flatMap(mark => (mark.kind === 'figure' ? [mark.place] : [])))).toEqual(new Set([1, 2]));
  expect(of(ride(flat(CIRCLE), manner({ mishap: 0 })).marks, 'figure')).toEqual([]);
  const lost = (rein: 'left' | 'right') =>
    Array.from({ length: 200 }, (_, seed) =>
      of(
        ride(flat(CIRCLE), { rein, ...manner({ mishap: 0.05, worseRein: { rein: 'left', times: 5 } }) }, seed).marks,
        'figure',
      ),
    ).flat().length;
  expect(lost('left')).toBeGreaterThan(2.5 * lost('right'));
});

test('it slips where it goes sideways, and nowhere else', () => {
  const slip = manner({ mishap: 0, slip: { from: 'left leg', chance: 1 } });
  const slips = (asked: Layout) => of(ride(asked, slip).marks, 'slip');
  expect(slips(flat(CIRCLE, YIELD))).toMatchObject([{ place: 2, from: 'left leg' }]);
  expect(slips(flat(CIRCLE))).toEqual([]);
  const along: PlannedFigure['figure'] = { kind: 'straight', start, rein: 'left', lengthM: 10 };
  expect(slips(flat(along))).toEqual([]);
  // Who slips at no place of their own does so half as often as anything else goes wrong, to any side.
  const rides = Array.from({ length: 200 }, (_, seed) => ride(flat(CIRCLE, YIELD), manner({ mishap: 0.4 }), seed));
  const seldom = rides.flatMap(({ marks }) => of(marks, 'slip'));
  expect(seldom.length).toBeGreaterThan(15);
  expect(seldom.length).toBeLessThan(80);
  expect(new Set(seldom.map(mark => 'place' in mark && mark.place))).toEqual(new Set([2]));
  expect(ride(flat(YIELD), manner({ mishap: 0 })).marks.map(({ kind }) => kind)).toEqual(['quality']);
});

test('a bad place is one where it has trouble, as often as it is said to', () => {
  const at = { xM: 30, yM: 30 };
  const spots = (chance: number, near = at) =>
    of(ride(flat(CIRCLE), manner({ mishap: 0, badPlace: { at: near, radiusM: 4, chance } })).marks, 'spot');
  const [spot] = spots(1);
  expect(spot).toMatchObject({ kind: 'spot' });
  const there = (spot as Extract<typeof spot, { kind: 'spot' }>).at;
  expect(Math.hypot(there.xM - at.xM, there.yM - at.yM)).toBeLessThanOrEqual(4);
  expect(spots(0)).toEqual([]);
  // Where it never comes by there is none.
  expect(spots(1, { xM: 5, yM: 60 })).toEqual([]);
});

test('how good it was is 1 to 5, and worse for more trouble; over one thing it is all there is', () => {
  const one = {
    ...layout,
    tracks: [
      { ...layout.tracks[0]!, through: [{ item: 'alder', reversed: false }], legs: [] as (typeof DEFAULT_LEG)[] },
    ],
  } as Layout;
  expect(ride(one)).toMatchObject({ recording: null, marks: [{ kind: 'quality' }] });
  const mean = (mishap: number) => {
    const values = Array.from({ length: 100 }, (_, seed) =>
      ride(flat(CIRCLE, CIRCLE, CIRCLE), manner({ mishap }), seed).marks.flatMap(mark =>
        mark.kind === 'quality' ? [mark.value] : [],
      ),
    ).flat();
    for (const value of values) expect(value >= 1 && value <= 5 && Number.isInteger(value)).toBe(true);
    return values.reduce((sum, value) => sum + value, 0) / values.length;
  };
  expect(mean(0)).toBeGreaterThan(mean(0.4) + 0.5);
});
