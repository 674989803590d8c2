import { readFileSync } from 'node:fs';
import {
  FENCE_FORMS,
  layoutCautions,
  reckonLayout,
  TRACK_GAITS,
  type Figure,
  type Layout,
  type PlannedLeg,
  type PlannedTrack,
} from '@/core';
import fc from 'fast-check';
import { readLayout, readLayoutText, writeLayout } from './layoutFile';

const EXAMPLE = readFileSync('docs/examples/heron-to-willow.roan.json', 'utf8');
// A parsed file that the tests bend on purpose.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
const example = () => JSON.parse(EXAMPLE) as Record<string, any>;

/** The example with one change. */
function changed(change: (json: ReturnType<typeof example>) => void) {
  const json = example();
  change(json);
  return readLayout(json);
}

const CHANGE = { kind: 'change-rein', rein: 'left', radiusM: 5 };
/** A track of one figure, with changes. */
const flat = (changes: object) => ({
  id: 'flat',
  gait: 'trot',
  figure: { kind: 'circle', start: 'A', rein: 'left', diameterM: 20, ...changes },
});

test('the example is read', () => {
  const read = readLayoutText(EXAMPLE);
  expect(read.ok && read.layout.items.map(item => item.id)).toEqual(['heron', 'willow', 'p1', 'c1']);
});

test('what version 1 calls a thing is its id and its name', () => {
  const read = readLayoutText(EXAMPLE);
  if (!read.ok) throw new Error(read.reason);
  expect(read.layout.items.map(({ id, name }) => id === name)).toEqual([true, true, true, true]);
  expect(read.layout.tracks.map(({ id, name }) => [id, name])).toEqual([['line', 'line']]);
  expect(read.layout.horses.map(({ id, name }) => [id, name])).toEqual([['Juniper', 'Juniper']]);
});

describe('version 2', () => {
  const second = (change: (json: ReturnType<typeof example>) => void = () => undefined) =>
    changed(json => {
      json.version = 2;
      change(json);
    });

  test('has names beside ids: they may be missing, or be there twice', () => {
    const read = second(json => (json.items[0].name = json.items[1].name = 'gate'));
    if (!read.ok) throw new Error(read.reason);
    expect(read.layout.items.map(({ id, name }) => [id, name])).toEqual([
      ['heron', 'gate'],
      ['willow', 'gate'],
      ['p1', null],
      ['c1', null],
    ]);
  });

  test('has horses of one name, told apart by their ids', () => {
    const twins = second(json => (json.horses = [1, 2].map(n => ({ ...json.horses[0], id: `h${n}` }))));
    if (!twins.ok) throw new Error(twins.reason);
    const [track] = reckonLayout(twins.layout);
    const readings = track?.kind === 'items' ? track.legs[0]!.readings : [];
    expect(readings.map(({ horseId, horse }) => [horseId, horse])).toEqual([
      ['h1', 'Juniper'],
      ['h2', 'Juniper'],
    ]);
    const same = second(json => (json.horses = [json.horses[0], json.horses[0]].map(h => ({ ...h, id: 'h1' }))));
    expect(same.ok ? 'read' : same.reason).toContain('horses.1.id: “h1” is there twice');
  });

  test('has figures with ids, each its own in a session', () => {
    const circle = { kind: 'circle', start: 'A', rein: 'left', diameterM: 20 };
    const session = (figures: object[]) =>
      second(json => {
        json.arena = { widthM: 20, lengthM: 60, letters: '20x60' };
        json.tracks.push({ id: 'flat', gait: 'trot', figures });
      });
    const read = session([circle, { ...circle, id: 'c', name: 'at A' }]);
    if (!read.ok) throw new Error(read.reason);
    const flat = read.layout.tracks.find(({ id }) => id === 'flat');
    expect(flat?.kind === 'figures' && flat.figures.map(({ id, name }) => [id, name])).toEqual([
      ['f1', null],
      ['c', 'at A'],
    ]);
    const twice = session([circle, { ...circle, id: 'f1' }]);
    expect(twice.ok ? 'read' : twice.reason).toContain('figures.1.id: “f1” is there twice');
  });
});

test.each([
  ['another format', j => (j.format = 'something-else'), 'format'],
  ['an unknown version', j => (j.version = 3), 'versions 1 and 2'],
  ['a name in version 1', j => (j.items[0].name = 'gate'), 'items.0: unknown key “name”'],
  ['an id of a horse in version 1', j => (j.horses[0].id = 'h1'), 'horses.0: unknown key “id”'],
  ['an unknown key', j => (j.items[0].colour = 'red'), 'items.0: unknown key “colour”'],
  ['an unknown key at the top', j => (j.notes = ''), 'unknown key “notes”'],
  ['an infinity', j => (j.items[0].at.xM = Infinity), 'items.0.at.xM'],
  ['a wrong type', j => (j.items[0].widthM = 'wide'), 'items.0.widthM'],
  ['a negative size', j => (j.items[2].lengthM = -3), 'items.2.lengthM'],
  ['an unknown kind', j => (j.items[3].kind = 'tree'), 'items.3.kind'],
  ['an id that is there twice', j => (j.items[1].id = 'heron'), 'items.1.id: “heron” is there twice'],
  ['a horse that is there twice', j => j.horses.push(j.horses[0]), 'horses.1.name'],
  [
    'an item that is not there',
    j => (j.tracks[0].through[1].item = 'oak'),
    'tracks.0.through.1.item: there is no item “oak”',
  ],
  ['a cone to ride over', j => (j.tracks[0].through[1].item = 'c1'), 'is a cone and is not ridden over'],
  ['too many legs', j => j.tracks[0].legs.push({}), 'tracks.0.legs: 2 items want 1 leg, and 2 are given'],
  ['an arena too small', j => Object.assign(j.arena, { widthM: 4, letters: 'none' }), 'arena.widthM'],
  ['letters on sand of another size', j => (j.arena.letters = '20x40'), 'arena.letters'],
  ['an item far off the earth', j => (j.items[0].at.yM = 1e6), 'items.0.at.yM'],
  ['a facing past a whole turn', j => (j.items[0].facingDeg = 360), 'items.0.facingDeg'],
  ['strides that do not grow', j => (j.horses[0].strides['course-canter'].shortM = 5), 'must grow'],
  [
    'a stride of no known entry',
    j => (j.horses[0].strides.gallop = { shortM: 1, normalM: 2, longM: 3 }),
    'horses.0.strides',
  ],
  ['a circle back without a rein', j => (j.tracks[0].through[1].item = 'heron'), 'legs.0.rein'],
  ['a rein with no circle', j => (j.tracks[0].legs[0].rein = 'left'), 'belong to a circle'],
  ['a shape of a corner on a fence that is none', j => (j.items[0].corner = { narrowEnd: 'left' }), 'is no corner'],
  ['a track of neither items nor figures', j => delete j.tracks[0].through, 'either “through”, “figure” or “figures”'],
  [
    'a track of both',
    j => (j.tracks[0].figure = { kind: 'circle', start: 'A', rein: 'left', diameterM: 20 }),
    'either “through”, “figure” or “figures”',
  ],
  ['a figure at a letter that is not there', j => (j.tracks[0] = flat({ start: 'Q' })), 'no letter “Q”'],
  ['a figure of no known kind', j => (j.tracks[0] = flat({ kind: 'knot' })), 'tracks.0.figure.kind'],
  ['a figure with an unknown key', j => (j.tracks[0] = flat({ size: 3 })), 'unknown key “size”'],
  ['a change of rein without a way', j => (j.tracks[0] = { ...flat({}), figure: CHANGE }), 'needs a way'],
  ['legs on a figure', j => (j.tracks[0] = { ...flat({}), legs: [] }), 'belong to a track through items'],
  ['no passes', j => (j.tracks[0].passes = 0), 'tracks.0.passes'],
  ['a level nobody knows', j => (j.horses[0].level = 'wild'), 'horses.0.level'],
  ['kit by the half', j => (j.kit = { poles: 2.5 }), 'kit.poles'],
  ['ground that falls off a cliff', j => (j.arena.fall = { facingDeg: 0, percent: 80 }), 'arena.fall.percent'],
  [
    'two thousand items and one',
    j => (j.items = Array.from({ length: 2001 }, (_, i) => ({ ...j.items[3], id: `c${i}` }))),
    'items',
  ],
] as [string, (json: ReturnType<typeof example>) => unknown, string][])(
  'refuses %s, and says where',
  (_, change, where) => {
    const read = changed(change);
    expect(read.ok ? 'read' : read.reason).toContain(where);
  },
);

test('refuses what is no JSON, and NaN, which JSON does not have', () => {
  for (const text of ['', 'hello', '{', EXAMPLE.replace('33.5', 'NaN'), EXAMPLE.replace('33.5', '1e999')])
    expect(readLayoutText(text).ok).toBe(false);
  for (const json of [null, 3, [], 'x', {}]) expect(readLayout(json).ok).toBe(false);
});

const millis = (min: number, max: number) => fc.integer({ min: min * 1000, max: max * 1000 }).map(mm => mm / 1000);
const at = fc.record({ xM: millis(0, 20), yM: millis(0, 60) });
// Directions a person would write, so that degrees and radians come back to the same double or its neighbour.
const headingRad = fc.integer({ min: 0, max: 359 }).map(degrees => (degrees * Math.PI) / 180);
const bodies = fc.oneof(
  fc.record({
    kind: fc.constant('pole' as const),
    at,
    headingRad,
    lengthM: millis(1, 4),
    raised: fc.record({ leftM: millis(0, 1), rightM: millis(0, 1) }),
  }),
  fc.record({
    kind: fc.constant('fence' as const),
    form: fc.constantFrom(...FENCE_FORMS),
    at,
    headingRad,
    widthM: millis(1, 5),
    heightM: millis(0, 2),
    spreadM: millis(0, 3),
    ridden: fc.constantFrom('one-way' as const, 'both-ways' as const),
    groundLineBeforeM: fc.option(millis(-1, 1)),
    sideHeightM: fc.option(millis(0, 2)),
    corner: fc.constant(null),
    filler: fc.boolean(),
  }),
  fc.record({ kind: fc.constant('guide' as const), at, headingRad, lengthM: millis(1, 4) }),
  fc.record({ kind: fc.constantFrom('cone' as const, 'marker' as const), at }),
  fc.record({ kind: fc.constant('block' as const), at, heightM: millis(0, 1) }),
);

/** A corner always has its shape, and no other form has. */
function withShape(body: typeof bodies extends fc.Arbitrary<infer T> ? T : never, index: number) {
  const id = `i${index}`;
  if (body.kind !== 'fence') return { ...body, id };
  const corner = {
    narrowEnd: index % 2 ? ('left' as const) : ('right' as const),
    aimFromFlagM: index % 3 ? 0.9 : null,
  };
  return { ...body, id, corner: body.form === 'corner' ? corner : null };
}

const few = fc.integer({ min: 0, max: 12 });
const rein = fc.constantFrom('left' as const, 'right' as const);
const start = fc.record({ at, headingRad });
const times = fc.integer({ min: 1, max: 3 });
/** Every kind of figure, wherever it starts: many of them cannot be ridden there, and Roan has to say so. */
const anyFigure: fc.Arbitrary<Figure> = fc.oneof(
  fc.record({ kind: fc.constant('circle' as const), start, rein, diameterM: millis(3, 20), rounds: millis(1, 3) }),
  fc.record({
    kind: fc.constant('spiral' as const),
    ...{ start, rein, times },
    diametersM: fc.array(millis(4, 20), { minLength: 2, maxLength: 5 }),
    school: fc.constantFrom('bend' as const, 'yield' as const),
  }),
  fc.record({
    kind: fc.constant('serpentine' as const),
    ...{ start, rein },
    loops: fc.integer({ min: 1, max: 8 }),
    lengthM: millis(10, 60),
    widthM: millis(5, 20),
    yieldM: fc.option(millis(0.5, 3), { nil: undefined }),
  }),
  fc.record({
    kind: fc.constant('eight' as const),
    ...{ start, rein, times },
    firstDiameterM: millis(4, 20),
    secondDiameterM: millis(4, 20),
  }),
  fc.record({
    kind: fc.constant('half-circle-return' as const),
    ...{ start, rein },
    diameterM: millis(4, 12),
    returnM: millis(4, 30),
    lineFirst: fc.boolean(),
  }),
  fc.record({ kind: fc.constant('change-rein' as const), start, end: start, rein, radiusM: millis(2, 10) }),
  fc.record({
    kind: fc.constant('round-arena' as const),
    ...{ start, rein },
    cornerRadiusM: millis(2, 15),
    rounds: millis(1, 3),
  }),
  fc.record({ kind: fc.constant('shallow-loop' as const), start, rein, lengthM: millis(5, 40), depthM: millis(1, 15) }),
  fc.record({ kind: fc.constant('straight' as const), start, rein, lengthM: millis(1, 40) }),
  fc.record({
    kind: fc.constant('sideways' as const),
    ...{ start, rein, towards: rein },
    movement: fc.constantFrom('leg-yield' as const, 'half-pass' as const),
    aheadM: millis(0, 20),
    asideM: millis(1, 10),
  }),
  fc.record({
    kind: fc.constant('rail-turnback' as const),
    ...{ start, rein },
    alongM: millis(1, 10),
    offM: millis(1, 5),
    asideM: millis(1, 5),
  }),
  fc.record({
    kind: fc.constant('station' as const),
    ...{ start, rein },
    deed: fc.oneof(
      fc.record({ kind: fc.constant('halt' as const), seconds: millis(0, 9) }),
      fc.record({ kind: fc.constantFrom('rein-back' as const), steps: times }),
      fc.record({ kind: fc.constant('side-pass' as const), steps: times, towards: rein }),
      fc.record({ kind: fc.constant('flexions' as const), eachSide: times }),
      fc.record({
        kind: fc.constantFrom('turn-on-forehand' as const, 'turn-on-haunches' as const),
        turnRad: fc.constantFrom(Math.PI, -Math.PI / 2),
      }),
    ),
  }),
);
const parts = fc.array(
  fc.record({ fromM: millis(0, 3), toM: millis(2, 9), pace: fc.constantFrom('short' as const, 'long' as const) }),
  { maxLength: 2 },
);

/** A name may be missing, or be there twice. */
const anyName = fc.constantFrom(null, 'gate', 'blue');

const anyLayout: fc.Arbitrary<Layout> = fc
  .record({
    items: fc
      .array(bodies, { maxLength: 8 })
      .map(list =>
        list.map((item, index) => ({ ...withShape(item, index), name: [null, 'gate', 'blue'][index % 3]! })),
      ),
    gait: fc.constantFrom(...TRACK_GAITS),
    school: fc.constantFrom('whole-stride' as const, 'two-metre' as const),
    asked: fc.option(fc.integer({ min: 0, max: 9 })),
    heightM: fc.integer({ min: 60, max: 220 }).map(cm => cm / 100),
    passes: fc.integer({ min: 1, max: 9 }),
    figures: fc
      .array(fc.record({ name: anyName, figure: anyFigure, gait: fc.option(fc.constantFrom(...TRACK_GAITS)), parts }), {
        maxLength: 4,
      })
      .map(list => list.map((figure, index) => ({ ...figure, id: `g${index}` }))),
    course: fc.option(fc.record({ speedMPerMin: millis(200, 500), startM: millis(0, 20), finishM: millis(0, 20) })),
    fall: fc.option(fc.record({ headingRad, percent: millis(0, 8) })),
    kit: fc.option(
      fc.record({ poles: few, stands: few, cups: few, blocks: few, cones: few, fillers: few, markers: few }),
    ),
  })
  .map(({ items, gait, school, asked, heightM, passes, figures, course, fall, kit }) => {
    const through = items.flatMap(({ id, kind }) =>
      kind === 'pole' || kind === 'fence' ? [{ item: id, reversed: false }] : [],
    );
    const legs: PlannedLeg[] = through.slice(1).map(() => ({
      track: 'natural' as const,
      setting: 'course' as const,
      approach: 'canter' as const,
      asked,
      circle: null,
    }));
    const overItems: PlannedTrack = { kind: 'items', id: 't', name: null, gait, through, legs, course, passes };
    const flat: PlannedTrack = { kind: 'figures', id: 'f', name: null, gait, figures, passes };
    return {
      name: 'any',
      arena: { widthM: 20, lengthM: 60, letters: '20x60' as const },
      fall,
      school,
      items: items as Layout['items'],
      tracks: [...(through.length === 0 ? [] : [overItems]), ...(figures.length === 0 ? [] : [flat])],
      horses: [
        {
          id: 'h1',
          name: 'h',
          heightM,
          type: 'cob' as const,
          level: 'green' as const,
          strides: { trot: { shortM: 2, normalM: 2.7, longM: 3.1 } },
        },
      ],
      kit,
    };
  });

/** Headings may come back as the neighbouring double. */
const near = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (key, v) =>
    key === 'headingRad' || key === 'facingDeg' ? Math.round((v as number) * 1e9) / 1e9 : v,
  );

test('what is written reads back as the same layout', () => {
  fc.assert(
    fc.property(anyLayout, layout => {
      const read = readLayoutText(JSON.stringify(writeLayout(layout)));
      if (!read.ok) throw new Error(read.reason);
      expect(near(read.layout)).toEqual(near(layout));
      // And written again it is the same file.
      expect(near(writeLayout(read.layout))).toEqual(near(writeLayout(layout)));
    }),
    { endOnFailure: true },
  );
});

test('how far horses lean is in a file in degrees, as none where turns cost no stride, and left out where it is the usual', () => {
  const read = readLayoutText(EXAMPLE);
  if (!read.ok) throw new Error(read.reason);
  const usual = read.layout;
  expect([usual.leanRad, 'leanRad' in usual]).toEqual([undefined, false]);
  for (const [leanDeg, leanRad] of [
    [30, Math.PI / 6],
    [null, null],
  ] as const) {
    const written = writeLayout({ ...usual, leanRad }) as { leanDeg?: number | null };
    expect(written.leanDeg).toEqual(leanDeg === null ? null : expect.closeTo(leanDeg, 9));
    const again = readLayoutText(JSON.stringify(written));
    expect(again.ok && again.layout.leanRad).toEqual(leanRad === null ? null : expect.closeTo(leanRad, 9));
  }
});

test('fuzzed files are read whole or refused in a line: never a crash, never a stack', () => {
  const paths = fc.array(
    fc.constantFrom(
      'items',
      'tracks',
      'horses',
      'arena',
      'legs',
      'through',
      'strides',
      'at',
      '0',
      '1',
      'xM',
      'id',
      'kind',
    ),
    { maxLength: 5 },
  );
  const junk = fc.oneof(fc.jsonValue(), fc.constantFrom(null, -1, 1e308, '', [], {}, 'heron', true));
  fc.assert(
    fc.property(paths, junk, (path, value) => {
      const json = example();
      let place = json;
      for (const key of path.slice(0, -1))
        if (typeof place[key] === 'object' && place[key] !== null) place = place[key];
      const last = path.at(-1);
      if (last !== undefined) place[last] = value;
      const read = readLayout(json);
      if (read.ok) expectNumbers(read.layout);
      else {
        expect(read.reason).not.toMatch(/\n|\bat \w+ \(/);
        expect(read.reason.length).toBeGreaterThan(8);
      }
    }),
    { numRuns: 1500 },
  );
});

/** Reckons a layout and finds no number in it that is none. */
function expectNumbers(layout: Layout): void {
  const tracks = reckonLayout(layout);
  layoutCautions(layout, tracks);
  JSON.stringify(tracks, (_, value: unknown) => {
    if (typeof value === 'number' && !Number.isFinite(value)) throw new Error(`a number that is none: ${value}`);
    return value;
  });
}

test('any layout that is read is reckoned without a crash and without a NaN', () => {
  fc.assert(fc.property(anyLayout, expectNumbers), { endOnFailure: true });
});

test('degenerate places are answered: fences on one spot, back to back, outside the walls, a hair apart', () => {
  for (const [xM, yM, facingDeg] of [
    [10, 15, 0],
    [10, 15, 180],
    [10, 15, 90],
    [10, 15.0000001, 0],
    [10, 14, 0],
    [-40, 500, 33],
  ]) {
    for (const track of ['natural', 'direct', 'wide', { via: { xM: 10, yM: 15 } }, { via: { xM: 19.9, yM: 59.9 } }]) {
      const read = changed(j => {
        Object.assign(j.items[1], { at: { xM, yM }, facingDeg });
        j.tracks[0].legs[0].track = track;
      });
      if (!read.ok) throw new Error(read.reason);
      expectNumbers(read.layout);
    }
  }
});
