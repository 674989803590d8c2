import type { Figure, PlannedFigure } from '../figures/figure';
import type { Fence, Item } from '../items/item';
import type { Pole } from '../items/pole';
import {
  DEFAULT_LEG,
  type FigureTrack,
  type ItemTrack,
  type Layout,
  type LayoutHorse,
  type PlannedLeg,
} from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import type { CautionCode } from './caution';

/** The smallest layouts that raise each caution, for the tests and for docs/cautions.md. */

/** A twelve-foot horse: 3.66 m between fences, short 3.11, long 4.1. Thresholds are common practice, no source. */
export const S = 3.66;
const JUNIPER: LayoutHorse = {
  ...{ id: 'Juniper', name: 'Juniper', heightM: 1.63, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: 0.85 * S, normalM: S, longM: 1.12 * S } },
};

export const UP = Math.PI / 2;
export const fence = (id: string, xM: number, yM: number, changes: Partial<Fence> = {}): Fence => ({
  ...{
    kind: 'fence',
    id,
    name: null,
    form: 'vertical',
    at: { xM, yM },
    headingRad: UP,
    widthM: 3,
    heightM: 0.8,
    spreadM: 0,
  },
  ...{ ridden: 'both-ways', filler: false, groundLineBeforeM: null, sideHeightM: null, corner: null },
  ...changes,
});
export const pole = (id: string, xM: number, yM: number): Pole => ({
  ...{ kind: 'pole', id, name: null, at: { xM, yM }, headingRad: UP, lengthM: 3, raised: { leftM: 0, rightM: 0 } },
});

function track(order: string[], gait: TrackGait, leg: Partial<PlannedLeg>, changes: Partial<ItemTrack>): ItemTrack {
  return {
    ...{ kind: 'items', id: 'line', name: null, gait, course: null, passes: 1 },
    through: order.map(item => ({ item, reversed: false })),
    legs: order.slice(1).map(() => ({ ...DEFAULT_LEG, ...leg })),
    ...changes,
  };
}

type Line = { gait?: TrackGait; leg?: Partial<PlannedLeg>; changes?: Partial<ItemTrack>; layout?: Partial<Layout> };

/** Two fences in four strides, and a pillar of 0.6 m so far beside their line. */
function pillared(asideM: number): Layout {
  const at = { xM: 20 + asideM, yM: 32 };
  return line([fence('alder', 20, 25), fence('birch', 20, 25 + 5 * S)], {
    layout: {
      arena: { widthM: 40, lengthM: 70, letters: 'none', standing: [{ kind: 'pillar', name: null, at, radiusM: 0.3 }] },
    },
  });
}

/** Poles and fences ridden in the order given, in an arena of 40 × 70 m without letters. */
export function line(
  items: Item[],
  { gait = 'course-canter', leg = {}, changes = {}, layout = {} }: Line = {},
): Layout {
  const order = items.filter(({ kind }) => kind === 'pole' || kind === 'fence').map(({ id }) => id);
  return {
    ...{ name: 'line', arena: { widthM: 40, lengthM: 70, letters: 'none' }, fall: null, school: 'whole-stride' },
    ...{ items, horses: [JUNIPER], kit: null, tracks: [track(order, gait, leg, changes)] },
    ...layout,
  };
}

/** Two fences in line, so far apart. */
export const pair = (groundM: number, options: Line = {}) =>
  line([fence('alder', 20, 15), fence('birch', 20, 15 + groundM)], options);

export function flat(figures: Figure[], changes: Partial<FigureTrack> = {}): Layout {
  const planned: PlannedFigure[] = figures.map(figure => ({ id: 'f1', name: null, figure, gait: null, parts: [] }));
  return line([], {
    layout: {
      tracks: [{ kind: 'figures', id: 'flat', name: null, gait: 'trot', figures: planned, passes: 1, ...changes }],
    },
  });
}
const start = { at: { xM: 20, yM: 20 }, headingRad: 0 };
export const circle = (diameterM: number, rounds = 1): Figure => ({
  kind: 'circle',
  start,
  rein: 'left',
  diameterM,
  rounds,
});
const sideways = (aheadM: number): Figure => ({
  ...{ kind: 'sideways', start: { at: { xM: 20, yM: 20 }, headingRad: UP }, rein: 'left', movement: 'leg-yield' },
  ...{ towards: 'left', aheadM, asideM: 6 },
});

/** A quarter turn from a fence facing up to one facing right, on an arc of this radius. */
export const quarter = (radiusM: number, options: Line = {}) =>
  line([fence('alder', 15, 25), fence('birch', 15 + radiusM, 25 + radiusM, { headingRad: 0 })], options);

const row = (gapsM: number[], options: Line = {}) =>
  line(
    [0, ...gapsM].map((_, index) =>
      pole(`p${index}`, 20, 25 + gapsM.slice(0, index).reduce((sum, gap) => sum + gap, 0)),
    ),
    { gait: 'trot', ...options },
  );
const TROT: LayoutHorse = { ...JUNIPER, strides: { 'trot-poles': { shortM: 1, normalM: 1.37, longM: 1.55 } } };
const trotting = { layout: { horses: [TROT] } };
const AMBLER: LayoutHorse = {
  ...{ ...JUNIPER, type: 'gaited' },
  strides: { 'running-walk': { shortM: 1.2, normalM: 2.4, longM: 3.9 } },
};
const runningWalk: Line = { gait: 'running-walk', layout: { horses: [AMBLER] } };

const grid = (placingM: number) =>
  line([pole('place', 20, 15), fence('alder', 20, 15 + placingM, { form: 'cross-rail' })], {
    leg: { setting: 'grid' },
  });

const tens = { poles: 10, stands: 10, cups: 10, blocks: 10, cones: 10, fillers: 10, markers: 10 };
const green = { layout: { horses: [{ ...JUNIPER, level: 'green' as const }] } };
const advanced = { layout: { horses: [{ ...JUNIPER, level: 'advanced' as const }] } };
/** A line of 30 m up the arena, with something beside it or in it. */
const beside = (item: Item) => {
  const [alder, birch] = [fence('alder', 20, 15), fence('birch', 20, 45)];
  return line([alder, birch], { layout: { items: [alder, birch, item] } });
};
/** A fence with something behind it that is not ridden. */
const behind = (item: Item, kit: Layout['kit'] = null) => {
  const alder = fence('alder', 20, 30);
  return line([alder], { layout: { items: [alder, item], kit } });
};
const downhill = (percent: number, yM = 50) =>
  pair(5 * S, {
    layout: {
      fall: { headingRad: UP, percent },
      items: [fence('alder', 20, yM - 5 * S), fence('birch', 20, yM)],
    },
  });

/** Up the arena with a swing out to the right, as far as xM. */
const through = (xM: number) =>
  line([fence('alder', 20, 15), fence('birch', 20, 50)], { leg: { track: { via: { xM, yM: 32.5 } } } });

/** A layout that raises a code, and its nearest neighbour that does not. */
export type CautionCase = { code: CautionCode; name: string; raises: Layout; quiet: Layout };

export const CAUTION_CASES: CautionCase[] = [
  // Four asked in the ground of 4 × 0.84 strides is under the horse's shortest; 0.86 is within it.
  {
    code: 'too-tight',
    name: 'a count below the shortest',
    raises: pair(5 * S * 0.84, { leg: { asked: 4 } }),
    quiet: pair(5 * S * 0.86, { leg: { asked: 4 } }),
  },
  {
    code: 'too-far',
    name: 'a count above the longest',
    raises: pair(5 * S * 1.13, { leg: { asked: 4 } }),
    quiet: pair(5 * S * 1.11, { leg: { asked: 4 } }),
  },
  // 1.09 in two is long, and three would be 0.82; 1.08 is still forward.
  { code: 'between', name: 'no count comfortable', raises: pair(3 * S * 1.09), quiet: pair(3 * S * 1.079) },
  {
    code: 'uneven-row',
    name: 'gaps 4 cm apart',
    raises: row([1.37, 1.37, 1.41], trotting),
    quiet: row([1.37, 1.37, 1.4], trotting),
  },
  // A running walk of 2.4 m has steps of 1.2 m: one and a half are 1.8 m.
  {
    code: 'gait-poles',
    name: 'three poles in a running walk',
    raises: row([2.4, 2.4], runningWalk),
    quiet: row([2.4], runningWalk),
  },
  {
    code: 'gait-poles',
    name: 'two poles a step apart',
    raises: row([1.79], runningWalk),
    quiet: row([1.81], runningWalk),
  },
  { code: 'combination-length', name: 'one stride in 6.9 m', raises: pair(6.9), quiet: pair(7) },
  {
    code: 'combination-length',
    name: 'two strides in 12.1 m',
    raises: pair(12.1, { leg: { asked: 2 } }),
    quiet: pair(12, { leg: { asked: 2 } }),
  },
  // A stand ends half a width and half a metre beside the middle: 3.2 − 2 = 1.2 m.
  {
    code: 'wall-near',
    name: 'a stand',
    raises: line([fence('alder', 3.19, 30)]),
    quiet: line([fence('alder', 3.2, 30)]),
  },
  {
    code: 'wall-near',
    name: 'the line over a short fence',
    raises: line([fence('alder', 1.99, 30, { widthM: 0.5 })]),
    quiet: line([fence('alder', 2, 30, { widthM: 0.5 })]),
  },
  {
    code: 'run-up-short',
    name: 'before the first',
    raises: line([fence('alder', 20, 10.9)]),
    quiet: line([fence('alder', 20, 11)]),
  },
  {
    code: 'landing-short',
    name: 'behind the last',
    raises: line([fence('alder', 20, 59.1)]),
    quiet: line([fence('alder', 20, 59)]),
  },
  // Six strides of 3.66 m are 21.96 m.
  {
    code: 'not-straight',
    name: 'a narrow fence',
    raises: line([fence('alder', 20, 21.9, { form: 'narrow', widthM: 1.2 })]),
    quiet: line([fence('alder', 20, 22, { form: 'narrow', widthM: 1.2 })]),
  },
  {
    code: 'not-straight',
    name: 'a corner after a turn',
    raises: line(
      [
        fence('alder', 10, 12),
        fence('birch', 22, 40, {
          headingRad: 0,
          form: 'corner',
          widthM: 3,
          spreadM: 0.8,
          corner: { narrowEnd: 'left', aimFromFlagM: 0.9 },
        }),
      ],
      { leg: { track: 'wide' } },
    ),
    quiet: line([
      fence('alder', 10, 12),
      fence('birch', 10, 40, {
        form: 'corner',
        widthM: 3,
        spreadM: 0.8,
        corner: { narrowEnd: 'left', aimFromFlagM: null },
      }),
    ]),
  },
  { code: 'not-straight', name: 'a last turn under 8 m', raises: quarter(7.9), quiet: quarter(8) },
  // 350 m/min and a lean of 20° fit a turn of 9.53 m; three quarters of the stride are left at 9.53 × 0.75² = 5.36 m.
  { code: 'cannot-be-ridden', name: 'a novice at course canter', raises: quarter(5.3), quiet: quarter(5.4) },
  { code: 'cannot-be-ridden', name: 'a green one, 8 m', raises: quarter(7.9, green), quiet: quarter(8, green) },
  {
    code: 'cannot-be-ridden',
    name: 'an advanced one, at canter, 3 m',
    raises: quarter(2.9, { gait: 'canter', ...advanced }),
    quiet: quarter(3, { gait: 'canter', ...advanced }),
  },
  {
    code: 'tight-turn',
    name: 'at walk, 1.5 m',
    raises: quarter(1.4, { gait: 'walk' }),
    quiet: quarter(1.5, { gait: 'walk' }),
  },
  { code: 'tight-turn', name: 'a volte at trot, 8 m', raises: flat([circle(7.9)]), quiet: flat([circle(8)]) },
  {
    code: 'against-slope',
    name: 'a turn that falls outwards',
    raises: quarter(9.9, { layout: { fall: { headingRad: UP, percent: 2 } } }),
    quiet: quarter(10, { layout: { fall: { headingRad: UP, percent: 2 } } }),
  },
  {
    code: 'against-slope',
    name: 'the slope itself',
    raises: quarter(9, { layout: { fall: { headingRad: UP, percent: 2 } } }),
    quiet: quarter(9, { layout: { fall: { headingRad: UP, percent: 1.9 } } }),
  },
  {
    code: 'against-slope',
    name: 'a turn that falls inwards is none',
    raises: quarter(9, { layout: { fall: { headingRad: UP, percent: 3 } } }),
    quiet: quarter(9, { layout: { fall: { headingRad: -1.9, percent: 3 } } }),
  },
  // 11 m and half as much again: 16.5 m.
  { code: 'against-slope', name: 'downhill at the wall', raises: downhill(2, 53.6), quiet: downhill(2, 53.5) },
  {
    code: 'off-arena',
    name: 'an item',
    raises: line([fence('alder', 20, 30), { kind: 'cone', id: 'cone', name: null, at: { xM: 39.9, yM: 30 } }]),
    quiet: line([fence('alder', 20, 30), { kind: 'cone', id: 'cone', name: null, at: { xM: 39.85, yM: 30 } }]),
  },
  {
    code: 'off-arena',
    name: 'a line',
    raises: through(40.1),
    quiet: through(39.9),
  },
  {
    code: 'off-arena',
    name: 'a figure',
    raises: flat([{ ...circle(20), start: { at: { xM: 30.1, yM: 20 }, headingRad: 0 } } as Figure]),
    quiet: flat([{ ...circle(20), start: { at: { xM: 30, yM: 20 }, headingRad: 0 } } as Figure]),
  },
  {
    code: 'overlap',
    name: 'a cone on a pole',
    raises: line([pole('p', 20, 30), { kind: 'cone', id: 'cone', name: null, at: { xM: 20, yM: 30.19 } }]),
    quiet: line([pole('p', 20, 30), { kind: 'cone', id: 'cone', name: null, at: { xM: 20, yM: 30.2 } }]),
  },
  {
    code: 'one-way-from-behind',
    name: 'an oxer from its back',
    raises: line([fence('alder', 20, 30, { ridden: 'one-way' })], {
      changes: { through: [{ item: 'alder', reversed: true }] },
    }),
    quiet: line([fence('alder', 20, 30, { ridden: 'one-way' })]),
  },
  {
    code: 'false-ground-line',
    name: 'behind the front',
    raises: line([fence('alder', 20, 30, { groundLineBeforeM: -0.1 })]),
    quiet: line([fence('alder', 20, 30, { groundLineBeforeM: 0 })]),
  },
  {
    code: 'false-ground-line',
    name: 'ridden from behind',
    raises: line([fence('alder', 20, 30, { groundLineBeforeM: 0.3 })], {
      changes: { through: [{ item: 'alder', reversed: true }] },
    }),
    quiet: line([fence('alder', 20, 30, { groundLineBeforeM: 0.3 })]),
  },
  // Three quarters of a stride is 2.745 m; 0.85 of that is 2.33 m.
  { code: 'placing-pole', name: 'too near', raises: grid(2.3), quiet: grid(2.34) },
  { code: 'placing-pole', name: 'too far', raises: grid(3.1), quiet: grid(3.07) },
  {
    code: 'too-many-efforts',
    name: '60 low ones',
    raises: pair(5 * S, { changes: { passes: 30 } }),
    quiet: pair(5 * S, { changes: { passes: 29 } }),
  },
  {
    code: 'too-many-efforts',
    name: '30 at 0.9 m',
    raises: pair(5 * S, {
      changes: { passes: 15 },
      layout: { items: [fence('alder', 20, 15, { heightM: 0.9 }), fence('birch', 20, 15 + 5 * S, { heightM: 0.9 })] },
    }),
    quiet: pair(5 * S, {
      changes: { passes: 14 },
      layout: { items: [fence('alder', 20, 15, { heightM: 0.9 }), fence('birch', 20, 15 + 5 * S, { heightM: 0.9 })] },
    }),
  },
  // 10 m circles at 220 m a minute: 21 rounds are 3.0 minutes, 22 are 3.14.
  { code: 'small-circle-long', name: 'rounds', raises: flat([circle(10, 22)]), quiet: flat([circle(10, 21)]) },
  {
    code: 'small-circle-long',
    name: 'passes',
    raises: flat([circle(10, 7)], { passes: 4 }),
    quiet: flat([circle(10, 7)], { passes: 3 }),
  },
  // 6 m aside at 40° is 7.15 m ahead.
  { code: 'leg-yield-steep', name: 'over 40°', raises: flat([sideways(7.1)]), quiet: flat([sideways(7.2)]) },
  {
    code: 'kit-short',
    name: 'a pole too many',
    raises: behind(
      { kind: 'guide', id: 'rail', name: null, at: { xM: 16, yM: 33 }, headingRad: UP, lengthM: 3 },
      { poles: 2 },
    ),
    quiet: behind(
      { kind: 'guide', id: 'rail', name: null, at: { xM: 16, yM: 33 }, headingRad: UP, lengthM: 3 },
      { poles: 3 },
    ),
  },
  {
    code: 'kit-short',
    name: 'fillers and cups',
    raises: pair(5 * S, {
      layout: {
        kit: { ...tens, fillers: 0, cups: 6 },
        items: [fence('alder', 20, 15, { filler: true }), fence('birch', 20, 15 + 5 * S)],
      },
    }),
    quiet: pair(5 * S, {
      layout: {
        kit: { ...tens, fillers: 1, cups: 8 },
        items: [fence('alder', 20, 15, { filler: true }), fence('birch', 20, 15 + 5 * S)],
      },
    }),
  },
  {
    code: 'no-natural-track',
    name: 'a fence behind',
    raises: line([fence('alder', 20, 40), fence('birch', 20, 25)]),
    quiet: line([fence('alder', 20, 25), fence('birch', 20, 40)]),
  },
  {
    code: 'no-natural-track',
    name: 'no room to ride wide',
    raises: line([fence('alder', 20, 67), fence('birch', 30, 60, { headingRad: 0 })], { leg: { track: 'wide' } }),
    quiet: line([fence('alder', 8, 12), fence('birch', 28, 44, { headingRad: 0 })], { leg: { track: 'wide' } }),
  },
  {
    code: 'no-natural-track',
    name: 'a figure that cannot be',
    raises: flat([
      { kind: 'half-circle-return', start, rein: 'left', diameterM: 10, returnM: 9, lineFirst: false },
      circle(20),
    ]),
    quiet: flat([
      { kind: 'half-circle-return', start, rein: 'left', diameterM: 10, returnM: 10, lineFirst: false },
      circle(20),
    ]),
  },
  {
    code: 'in-the-line',
    name: 'a fence across the line to the next',
    raises: beside(fence('cedar', 22.49, 30)),
    quiet: beside(fence('cedar', 22.5, 30)),
  },
  {
    code: 'in-the-line',
    name: 'a fence along the line',
    raises: beside(fence('cedar', 20.49, 30, { headingRad: 0 })),
    quiet: beside(fence('cedar', 20.5, 30, { headingRad: 0 })),
  },
  {
    code: 'in-the-line',
    name: 'a loose pole',
    raises: beside(pole('loose', 21.89, 30)),
    quiet: beside(pole('loose', 21.9, 30)),
  },
  {
    code: 'in-the-line',
    name: 'a cone',
    raises: beside({ kind: 'cone', id: 'cone', name: null, at: { xM: 20.59, yM: 30 } }),
    quiet: beside({ kind: 'cone', id: 'cone', name: null, at: { xM: 20.6, yM: 30 } }),
  },
  {
    code: 'in-the-line',
    name: 'a block',
    raises: beside({ kind: 'block', id: 'block', name: null, at: { xM: 20.59, yM: 30 }, heightM: 0.2 }),
    quiet: beside({ kind: 'block', id: 'block', name: null, at: { xM: 20.6, yM: 30 }, heightM: 0.2 }),
  },
  {
    // The circle of 20 m goes round (20, 30), ten metres from it.
    code: 'in-the-line',
    name: 'a circle through a fence',
    raises: { ...flat([circle(20)]), items: [fence('cedar', 30 + 2.49, 30)] },
    quiet: { ...flat([circle(20)]), items: [fence('cedar', 30 + 2.51, 30)] },
  },
  {
    code: 'beside-the-line',
    name: 'a stand of another fence',
    raises: beside(fence('cedar', 23.19, 30)),
    quiet: beside(fence('cedar', 23.2, 30)),
  },
  {
    code: 'thing-near',
    name: 'a pillar beside the line',
    raises: pillared(1.49),
    quiet: pillared(1.51),
  },
  {
    code: 'in-the-landing',
    name: 'a loose pole behind a fence',
    raises: behind(pole('loose', 20, 32.9)),
    quiet: behind(pole('loose', 20, 33.1)),
  },
  {
    code: 'in-the-landing',
    name: 'a guide rail across the landing',
    raises: behind({ kind: 'guide', id: 'rail', name: null, at: { xM: 20, yM: 32.9 }, headingRad: 0, lengthM: 3 }),
    quiet: behind({ kind: 'guide', id: 'rail', name: null, at: { xM: 20, yM: 33.1 }, headingRad: 0, lengthM: 3 }),
  },
  {
    code: 'in-the-landing',
    name: 'a fence 3 m behind another',
    raises: behind(fence('cedar', 20, 32.9)),
    quiet: behind(fence('cedar', 20, 33.1)),
  },
  {
    code: 'landing-pole-near',
    name: 'a landing pole',
    raises: line([fence('alder', 20, 30), pole('land', 20, 32.4)], { leg: { setting: 'grid' } }),
    quiet: line([fence('alder', 20, 30), pole('land', 20, 32.5)], { leg: { setting: 'grid' } }),
  },
  {
    code: 'ground-line-far',
    name: 'before a vertical',
    raises: line([fence('alder', 20, 30, { groundLineBeforeM: 0.61 })]),
    quiet: line([fence('alder', 20, 30, { groundLineBeforeM: 0.6 })]),
  },
  {
    code: 'ground-line-far',
    name: 'before an oxer',
    raises: line([fence('alder', 20, 30, { form: 'oxer', spreadM: 0.8, groundLineBeforeM: 0.4 })]),
    quiet: line([fence('alder', 20, 30, { form: 'oxer', spreadM: 0.8, groundLineBeforeM: 0.3 })]),
  },
  {
    code: 'one-way-from-behind',
    name: 'a triple bar, however it is built',
    raises: line([fence('alder', 20, 30, { form: 'triple-bar', spreadM: 1 })], {
      changes: { through: [{ item: 'alder', reversed: true }] },
    }),
    quiet: line([fence('alder', 20, 30, { form: 'triple-bar', spreadM: 1 })]),
  },
  {
    code: 'landing-short',
    name: 'out of a trot',
    raises: line([fence('alder', 20, 64.1)], { gait: 'trot' }),
    quiet: line([fence('alder', 20, 64)], { gait: 'trot' }),
  },
  {
    code: 'landing-short',
    name: 'on no track, as it faces',
    raises: line([fence('alder', 20, 64.1)], { layout: { tracks: [] } }),
    quiet: line([fence('alder', 20, 64)], { layout: { tracks: [] } }),
  },
];
