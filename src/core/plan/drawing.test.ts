import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { defaultStride } from '../horse/defaultStrides';
import { distanceM } from '../geometry/pointM';
import { paramFault, paramSpecs, paramsFault } from '../exercises/exerciseParams';
import { exerciseOnSand } from '../exercises/layOutExercise';
import type { ExerciseParam } from '../exercises/exercise';
import { SHELF } from '../exercises/shelf';
import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse } from '../layout/layout';
import { applyEdits } from '../layout/layoutEdit';
import { reckonItemTrack, reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { callSheet, turnWords } from './callSheet';
import { newItem } from './newItem';
import { planChanges } from './planChanges';
import { isOnGuide, snapPlace } from './snap';
import { snapToCount } from './snapToCount';

const ARENA: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const UP = Math.PI / 2;
const HORSE: LayoutHorse = {
  ...{ id: 'Twelve', name: 'Twelve', heightM: 1.63, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: 3.1, normalM: 3.6576, longM: 4.1 } },
};

const fence = (id: string, xM: number, yM: number, headingRad = UP) => newItem('vertical', id, { xM, yM }, headingRad);
const layoutOf = (...items: Layout['items']): Layout => ({
  ...{ name: 'line', arena: ARENA, fall: null, school: 'whole-stride', horses: [HORSE], kit: null },
  items,
  tracks: [
    {
      ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
      through: items.map(({ id }) => ({ item: id, reversed: false })),
      legs: items.slice(1).map(() => DEFAULT_LEG),
    },
  ],
});

describe('drawn to', () => {
  const others = [fence('heron', 5, 15), fence('linnet', 12, 40, UP + 0.5)];
  const snap = (xM: number, yM: number) =>
    snapPlace({ xM, yM }, { arena: ARENA, others, labelOf: String, reachM: 0.3 });
  const words = (xM: number, yM: number) => snap(xM, yM).guides.map(guide => guide.words);

  test('the centre line and the letters (facts of a 20 × 60 arena: E and B at 30 m)', () => {
    expect(snap(10.2, 30.1).at).toEqual({ xM: 10, yM: 30 });
    expect(words(10.2, 30.1)).toEqual(['centre line', 'half line']);
    // V and P lie 18 m up.
    expect(snap(3.3, 17.8).at.yM).toBe(18);
  });

  test('the line of another fence, straight or slanting', () => {
    expect(words(5.1, 22.3)).toEqual(['left quarter line']);
    const ahead = { xM: 12 + 6 * Math.cos(UP + 0.5) + 0.1, yM: 40 + 6 * Math.sin(UP + 0.5) };
    const slanting = snapPlace(ahead, { arena: ARENA, others, labelOf: String, reachM: 0.3 });
    expect(slanting.guides.map(guide => guide.words)).toEqual(['straight from linnet']);
    const { at } = slanting;
    expect((at.xM - 12) * Math.sin(UP + 0.5) - (at.yM - 40) * Math.cos(UP + 0.5)).toBeCloseTo(0, 9);
  });

  test('a usual circle, else the whole centimetre', () => {
    const onRing = snapPlace(
      { xM: 10 + 7.15, yM: 10 + 7.15 },
      { arena: ARENA, others: [], labelOf: String, reachM: 0.3 },
    );
    expect(onRing.guides.map(guide => guide.words)).toEqual(['on the 20 m circle']);
    expect(distanceM(onRing.at, { xM: 10, yM: 10 })).toBeCloseTo(10, 9);
    expect(snap(1.2345, 26.7891)).toEqual({ at: { xM: 1.23, yM: 26.79 }, guides: [] });
  });

  test('whatever is near nothing moves by less than a centimetre, and nothing moves further than the reach', () => {
    const metres = fc.double({ min: 0, max: 60, noNaN: true });
    fc.assert(
      fc.property(metres, metres, (x, yM) => {
        const from = { xM: x / 3, yM };
        const { at, guides } = snapPlace(from, { arena: ARENA, others, labelOf: String, reachM: 0.3 });
        expect(distanceM(from, at)).toBeLessThanOrEqual(guides.length === 0 ? 0.0072 : 0.3 * Math.SQRT2 + 1e-9);
      }),
    );
  });

  test('a fence is drawn to a whole count of strides: 72 ft is five of 12 (common practice, no source)', () => {
    const line = layoutOf(fence('heron', 5, 15), fence('willow', 5, 15 + 21.8));
    const snapped = snapToCount(line, 'willow', HORSE, 0.3);
    expect(snapped?.words).toBe('easy five for Twelve');
    const after = applyEdits(line, snapped!.edits);
    expect(reckonItemTrack(after, after.tracks[0] as ItemTrack).legs[0]!.groundM).toBeCloseTo(72 * 0.3048, 5);
    expect(snapToCount(layoutOf(fence('heron', 5, 15), fence('willow', 5, 35)), 'willow', HORSE, 0.3)).toBeNull();
    // Behind another fence as well: it is the line to the one that is drawn.
    const third = layoutOf(fence('heron', 5, 15), fence('willow', 5, 24), fence('rowan', 5, 24 + 21.8));
    const behind = applyEdits(third, snapToCount(third, 'rowan', HORSE, 0.3)!.edits);
    const grounds = reckonItemTrack(behind, behind.tracks[0] as ItemTrack).legs.map(({ groundM }) => groundM);
    expect(grounds).toEqual([expect.closeTo(9, 5), expect.closeTo(72 * 0.3048, 5)]);
  });
});

describe('the call sheet', () => {
  test('says each fence, the side it is ridden from, and the way on', () => {
    const layout = layoutOf(fence('heron', 5, 15), fence('willow', 5, 33.5), fence('plover', 15, 45, -UP));
    const track = layout.tracks[0] as ItemTrack;
    const asked: ItemTrack = {
      ...track,
      through: track.through.map((stop, index) => ({ ...stop, reversed: index === 1 })),
      legs: [{ ...DEFAULT_LEG, asked: 4 }, DEFAULT_LEG],
    };
    const straight: Layout = { ...layout, tracks: [track] };
    const lines = callSheet(straight, track, reckonLayout(straight)[0] as ReckonedItemTrack);
    expect(lines[0]).toMatchObject({ number: 1, item: 'heron', what: 'vertical', fromBehind: false });
    expect(lines[0]!.next).toMatchObject({ turns: [], groundM: expect.closeTo(18.5, 9), asked: null });
    // Ten metres to the side are less than two radii of 6 m: it swings out to the left before it turns back.
    expect(lines[1]!.next).toMatchObject({ turns: ['left', 'right'] });
    expect(lines[2]!.next).toBeNull();
    const turned: Layout = { ...layout, tracks: [asked] };
    const called = callSheet(turned, asked, reckonLayout(turned)[0] as ReckonedItemTrack);
    expect(called[1]!.fromBehind).toBe(true);
    expect(called[0]!.next!.asked).toBe('four');
  });

  test('an S is no straight line, and distances are back to front', () => {
    // From a vertical to an oxer 0.80 m wide, offset by 6 m: one turn each way, and half a spread less than centre to centre.
    const oxer = { ...fence('willow', 11, 40), form: 'oxer' as const, spreadM: 0.8 };
    const layout = layoutOf(fence('heron', 5, 15), oxer);
    const track = layout.tracks[0] as ItemTrack;
    const reckoned = reckonLayout(layout)[0] as ReckonedItemTrack;
    const { next } = callSheet(layout, track, reckoned)[0]!;
    expect(next!.turns).toEqual(['right', 'left']);
    expect(turnWords(next!.turns)).toBe('turning right, then left');
    expect(next!.groundM).toBeCloseTo(reckoned.legs[0]!.trackM - 0.4, 9);
  });
});

describe('what changed', () => {
  const before = layoutOf(fence('heron', 5, 15), fence('willow', 5, 33.5));
  const changes = (after: Layout) =>
    planChanges(before, after).map(({ what, movedM }) => (movedM === null ? what : `${what} ${movedM.toFixed(2)}`));

  test('is told by name and by how much', () => {
    expect(changes(before)).toEqual([]);
    const [heron, willow] = before.items;
    const moved = { ...willow!, at: { xM: 5, yM: 34 } };
    expect(changes({ ...before, items: [heron!, moved] })).toEqual(['fence 2 moved 0.50']);
    expect(changes({ ...before, items: [heron!], tracks: [] })).toEqual(['fence 2 taken away', 'track taken away']);
    expect(changes({ ...before, items: [...before.items, newItem('cone', 'cone 1', { xM: 1, yM: 1 }, 0)] })).toEqual([
      'cone A added',
    ]);
    const turned = (byRad: number) =>
      changes({ ...before, items: [heron!, { ...willow!, headingRad: UP + byRad } as Layout['items'][number]] });
    expect([turned(0.01), turned(2 * Math.PI), turned(-2e-5)]).toEqual([['fence 2 turned'], [], []]);
    const higher = heron?.kind === 'fence' ? { ...heron, heightM: 0.9, headingRad: 0 } : heron!;
    expect(changes({ ...before, items: [higher, willow!] })).toEqual(['fence 1 turned', 'fence 1 built anew']);
    expect(changes({ ...before, name: 'other', horses: [] })).toEqual([
      'called “other”, before “line”',
      'for nobody, before for Twelve',
    ]);
  });
});

describe('parameters of exercises', () => {
  const ground = {
    arena: ARENA,
    school: 'whole-stride' as const,
    horses: [{ ...HORSE, strides: { 'trot-poles': defaultStride('trot-poles', 1.6, 'all-round')! } }],
  };

  test.each(SHELF.map(recipe => [recipe.kind, recipe] as const))(
    '%s: what may be asked has a name, and what the shelf wishes is allowed',
    (_, recipe) => {
      for (const wish of recipe.wishes(ground)) {
        expect(paramsFault(recipe, wish, wish)).toBeNull();
        const named = paramSpecs(recipe.kind, wish).map(({ key }) => key);
        const own = Object.keys(wish).filter(key => !named.includes(key));
        // What is not asked is what the recipe is made of.
        expect(own.every(key => ['gait', 'form', 'heightM', 'heightsM'].includes(key))).toBe(true);
      }
    },
  );

  test('whatever is allowed is laid out without a number that is none, or is refused as impossible', () => {
    const valueFor = (spec: ReturnType<typeof paramSpecs>[number], share: number): ExerciseParam => {
      const between = (min: number, max: number) => min + share * (max - min);
      switch (spec.kind) {
        case 'count':
          return Math.round(between(spec.min, spec.max));
        case 'length':
          return between(spec.minM, spec.maxM);
        case 'degrees':
        case 'share':
          return between(spec.min, spec.max);
        case 'choice':
          return spec.options[Math.floor(share * 0.999 * spec.options.length)]!;
        case 'flag':
          return share > 0.5;
        case 'lengths':
          return [between(spec.minM, spec.maxM), 0];
        case 'list':
          return [spec.options[Math.floor(share * 0.999 * spec.options.length)]!, spec.options[0]!];
      }
    };
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...SHELF), share, share, (recipe, first, second) => {
        const wish = recipe.wishes(ground)[0]!;
        const specs = paramSpecs(recipe.kind, wish);
        const params = Object.fromEntries(
          specs.map((spec, index) => [spec.key, valueFor(spec, index % 2 ? first : second)]),
        );
        for (const spec of specs) expect(paramFault(spec, params[spec.key]!)).toBeNull();
        try {
          const laid = exerciseOnSand(recipe, ground, { rein: 'right', params, place: recipe.place(ground, wish) });
          for (const { at } of laid.items) expect(Number.isFinite(at.xM + at.yM)).toBe(true);
        } catch (error) {
          expect(error).toBeInstanceOf(RangeError);
        }
      }),
      { numRuns: 400 },
    );
  });

  test.each([
    ['poles', 0],
    ['poles', 2.5],
    ['poles', 'four'],
    ['spacingM', 0.1],
    ['raised', ['up']],
    ['gait', 'canter'],
    ['glue', 1],
  ] as const)('%s = %s is refused', (key, value) => {
    const recipe = SHELF.find(({ kind }) => kind === 'trot-poles')!;
    const usual = recipe.wishes(ground)[0]!;
    expect(paramsFault(recipe, usual, { [key]: value })).toContain(key);
  });
});

test('a place lies on a line or a ring to the half centimetre', () => {
  const line = { kind: 'line', words: '', from: { xM: 0, yM: 0 }, to: { xM: 30, yM: 40 } } as const;
  expect(isOnGuide(line, { xM: 3, yM: 4 })).toBe(true);
  // 1 cm to the left of a line that runs 3 across on 4 along: 8 mm back across, 6 mm on along.
  expect(isOnGuide(line, { xM: 3 - 0.008, yM: 4 + 0.006 })).toBe(false);
  const ring = { kind: 'ring', words: '', centre: { xM: 10, yM: 10 }, radiusM: 10 } as const;
  expect(isOnGuide(ring, { xM: 16, yM: 18 })).toBe(true);
  expect(isOnGuide(ring, { xM: 16, yM: 18.02 })).toBe(false);
});
