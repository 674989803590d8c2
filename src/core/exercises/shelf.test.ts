import type { Arena } from '../arena/arena';
import { poseAt } from '../geometry/chain';
import { distanceM } from '../geometry/pointM';
import { chainsOf } from '../layout/alongTrack';
import { kitOfAll } from '../items/kit';
import { ridingDepthM } from '../items/footprint';
import { isRidden, type RiddenItem } from '../items/item';
import type { LayoutHorse } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { readCount } from '../stride/readDistance';
import type { ExerciseGround, ExerciseParams } from './exercise';
import { FAILURE_POLICIES, PURPOSES, SEATS } from './exercise';
import { layOutExercise } from './layOutExercise';
import { findRecipe, SHELF } from './shelf';
import { stageLayout } from './stageLayout';
import { TWELVE_FT } from './testHorse';

const FT = 0.3048;
const YD = 0.9144;
const LONG: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const FIELD: Arena = { widthM: 35, lengthM: 60, letters: 'none' };

const ground = (arena: Arena, horses: LayoutHorse[] = [TWELVE_FT]): ExerciseGround => ({
  arena,
  school: 'whole-stride',
  horses,
});

function lay(kind: string, on: ExerciseGround, params?: ExerciseParams) {
  return layOutExercise(findRecipe(kind)!, on, { rein: 'left', ...(params ? { params } : {}) });
}
const ridden = (placed: ReturnType<typeof lay>) => placed.exercise.items.filter(isRidden);
const fact = (placed: ReturnType<typeof lay>, what: string) =>
  placed.exercise.facts.find(found => found.what === what)!.lengthM;

/** The gaps between what is ridden one after the other, from rail to rail, in a straight line. */
function gapsM(items: RiddenItem[]): number[] {
  return items
    .slice(1)
    .map((item, i) => distanceM(item.at, items[i]!.at) - (ridingDepthM(item) + ridingDepthM(items[i]!)) / 2);
}

test('every exercise has its own name and all that an instructor wants to know', () => {
  expect(new Set(SHELF.map(({ kind }) => kind)).size).toBe(SHELF.length);
  expect(new Set(SHELF.map(({ guidance }) => guidance.title)).size).toBe(SHELF.length);
  for (const { kind, guidance } of SHELF) {
    const { exercise } = lay(kind, ground(FIELD));
    expect(guidance.purposes.every(purpose => PURPOSES.includes(purpose))).toBe(true);
    expect(FAILURE_POLICIES).toContain(guidance.failure);
    expect(guidance.repetitions.eachRein).toBeGreaterThan(0);
    const lists = [guidance.purposes, guidance.knowFirst, guidance.watchHorse, guidance.watchRider, guidance.faults];
    for (const list of [...lists, exercise.stages]) expect(list.length).toBeGreaterThan(0);
    for (const { name, focus, seat } of exercise.stages) {
      expect(SEATS).toContain(seat);
      for (const words of [name, focus]) expect(words).not.toBe('');
    }
    for (const { fault, remedy } of guidance.faults)
      expect([fault, remedy].every(words => words.length > 5)).toBe(true);
    expect(guidance.stand).toMatch(/\.$/);
  }
  expect(findRecipe('somersault')).toBeNull();
});

test('every purpose is served by some exercise, and every level', () => {
  for (const purpose of PURPOSES) expect(SHELF.some(({ guidance }) => guidance.purposes.includes(purpose))).toBe(true);
  for (const level of ['green', 'novice', 'advanced'])
    expect(SHELF.some(({ guidance }) => guidance.level === level)).toBe(true);
});

test('where fences are jumped somebody is on the ground, and says so', () => {
  for (const { kind, guidance } of SHELF) {
    const jumped = lay(kind, ground(FIELD)).exercise.items.some(item => item.kind === 'fence');
    expect(guidance.cautions.some(words => words.includes('on the ground whenever fences'))).toBe(jumped);
  }
});

// The full grid (common practice, no source): canter pole, 3 yd, cross-rail, 3 yd 1 ft, cross-rail, 3 yd 1 ft, cross-rail,
// 6 yd, vertical, 6 yd, vertical, 6 yd, oxer, with a canter pole halfway in each 6 yd gap after a vertical.
test('the full grid for a horse of 12 ft', () => {
  const placed = lay('grid', ground(LONG));
  expect(placed.adapted).toBe(false);
  const yards = [3, 3 + 1 / 3, 3 + 1 / 3, 6, 3, 3, 3, 3];
  expect(gapsM(ridden(placed))).toEqual(yards.map(yd => expect.closeTo(yd * YD, 9)));
  const forms = ridden(placed).map(item => (item.kind === 'pole' ? 'pole' : item.form));
  const verticals = ['vertical', 'pole', 'vertical', 'pole', 'oxer'];
  expect(forms).toEqual(['pole', 'cross-rail', 'cross-rail', 'cross-rail', ...verticals]);
  // Guide rails at the verticals and the oxer, fences at 0.90 m or lower.
  expect(placed.exercise.items.filter(({ kind }) => kind === 'guide')).toHaveLength(6);
  for (const item of ridden(placed)) if (item.kind === 'fence') expect(item.heightM).toBeLessThanOrEqual(0.9);
});

test('for drift: tunnel poles where the horse lands, and fillers are counted as kit', () => {
  const elements = ['place', 'cross', 'one vertical', 'two oxer'];
  const tunnel = lay('grid', ground(LONG), { elements, drift: 'tunnel', filler: true });
  expect(tunnel.cautions).toEqual([]);
  const guides = tunnel.exercise.items.filter(({ kind }) => kind === 'guide');
  expect(guides.map(({ id }) => id)).toEqual(
    ['g2', 'g3', 'g4'].flatMap(id => [`${id}-tunnel-left`, `${id}-tunnel-right`]),
  );
  // Counted by hand: the placing pole, two rails of the cross, two of the vertical, two and one of the oxer, six tunnel poles.
  expect(kitOfAll(tunnel.exercise.items)).toMatchObject({ poles: 14, stands: 8, fillers: 2 });
});

test('from trot the placing pole lies at 0.70 of a stride, and two strides are two and a half', () => {
  const elements = ['place', 'cross', 'two oxer', 'land'];
  const [placing, two, landing] = gapsM(
    ridden(lay('grid', ground(LONG), { elements, approach: 'trot', heightM: 0.6 })),
  );
  expect(placing).toBeCloseTo(0.7 * 12 * FT, 9);
  expect(two).toBeCloseTo(10 * YD, 9);
  // A landing pole about 3 m behind, for a stride of 12 ft (3.66 m).
  expect(landing).toBeCloseTo(3, 2);
});

// Four fences on a bend (common practice, no source): on the arc of a 20 m circle 18 ft, 31.4°; all poles in trot, then
// the second and fourth as cross-rails, then all four, then verticals; five passes each way.
test('four fences on a bend', () => {
  const placed = lay('fences-on-bend', ground(FIELD));
  const [first, second] = ridden(placed);
  expect(ridden(placed)).toHaveLength(4);
  const degrees = ((second!.headingRad - first!.headingRad) * 180) / Math.PI;
  expect(degrees).toBeCloseTo(31.4, 1);
  expect(fact(placed, 'along the track from one to the next') / FT).toBeCloseTo(18, 9);
  expect(fact(placed, 'at the inside stands') / FT).toBeCloseTo(15.3, 1);
  expect(fact(placed, 'at the outside stands') / FT).toBeCloseTo(20.7, 1);
  // The straight chord is 1.2 to 1.5 % less.
  expect(distanceM(first!.at, second!.at) / (18 * FT)).toBeCloseTo(1 - 0.0125, 3);
  const kinds = placed.exercise.stages.map(stage =>
    stageLayout('bend', placed.exercise, ground(FIELD), stage)
      .items.filter(isRidden)
      .map(item => (item.kind === 'pole' ? 'pole' : item.form)),
  );
  expect(kinds).toEqual([
    ['pole', 'pole', 'pole', 'pole'],
    ['pole', 'cross-rail', 'pole', 'cross-rail'],
    ['cross-rail', 'cross-rail', 'cross-rail', 'cross-rail'],
    ['vertical', 'vertical', 'vertical', 'vertical'],
  ]);
  expect(placed.exercise.stages[0]!.gait).toBe('trot');
  expect(findRecipe('fences-on-bend')!.guidance.repetitions.eachRein).toBe(5);
});

test('bounces on a bend: five sixths of a stride, two passes each rein, and a circle back to the first', () => {
  const placed = lay('bounces-on-bend', ground(FIELD));
  expect(fact(placed, 'along the track from one to the next') / FT).toBeCloseTo(10, 9);
  expect(findRecipe('bounces-on-bend')!.guidance.repetitions.eachRein).toBe(2);
  const layout = stageLayout('b', placed.exercise, ground(FIELD), placed.exercise.stages.at(-1)!);
  const [track] = reckonLayout(layout);
  // Once round the circle of 20 m in all.
  expect(track!.lengthM).toBeCloseTo(20 * Math.PI, 6);
});

// Poles on a circle (common practice, no source): 10 yd between neighbours is a radius of 6.47 m and a quarter of 10.16 m.
test('four poles on a circle, by the chord between neighbours and by the way across the middle', () => {
  const byChord = lay('poles-on-circle', ground(LONG), { strides: 0, chordM: 10 * YD, acrossM: 0 });
  expect(fact(byChord, 'radius')).toBeCloseTo(6.47, 2);
  expect(fact(byChord, 'round each quarter')).toBeCloseTo(10.16, 2);
  const items = ridden(byChord);
  for (const [a, b] of [
    [0, 1],
    [1, 2],
    [2, 3],
    [3, 0],
  ] as const)
    expect(distanceM(items[a]!.at, items[b]!.at)).toBeCloseTo(10 * YD, 9);
  const across = fact(byChord, 'straight across the middle');
  expect(distanceM(items[0]!.at, items[2]!.at)).toBeCloseTo(across, 9);
  const byMiddle = lay('poles-on-circle', ground(LONG), { strides: 0, chordM: 0, acrossM: across });
  expect(ridden(byMiddle).map(({ at }) => at)).toEqual(
    items.map(({ at }) => ({ xM: expect.closeTo(at.xM, 9), yM: expect.closeTo(at.yM, 9) })),
  );
});

test('a fan: each horse rides the radius at which the spacing is its own step', () => {
  const horse = (name: string, stepM: number): LayoutHorse => ({
    ...TWELVE_FT,
    name,
    strides: { 'trot-poles': { shortM: stepM * 0.75, normalM: stepM, longM: stepM * 1.12 } },
  });
  const placed = lay('fan', ground(LONG, [horse('short', 1.2), horse('long', 1.5)]));
  const [first, second] = ridden(placed);
  const sweepRad = second!.headingRad - first!.headingRad;
  for (const { horse: name, lengthM } of placed.exercise.facts.filter(({ what }) => what === 'radius to ride'))
    expect(lengthM * sweepRad).toBeCloseTo(name === 'short' ? 1.2 : 1.5, 9);
  expect(placed.exercise.facts.filter(({ what }) => what === 'radius to ride')).toHaveLength(2);
  const tiny = lay('fan', ground(LONG, [horse('short', 0.7), horse('long', 1.6)]));
  expect(tiny.exercise.facts.map(({ what }) => what)).toEqual(
    expect.arrayContaining(['the inside ends are still long', 'the outside ends are still short']),
  );
});

test('a related line is ridden in n, one more and one fewer, each in reach, and meant to be', () => {
  const placed = lay('canter-poles-line', ground(FIELD));
  const { stages } = placed.exercise;
  const words = stages.map(stage => {
    const layout = stageLayout('line', placed.exercise, ground(FIELD), stage);
    const [track] = reckonLayout(layout);
    return track?.kind === 'items' ? track.legs[0]!.readings[0]!.asked : null;
  });
  const n = words[0]!.strides;
  expect(words.map(word => word!.strides)).toEqual([n, n + 1, n - 1]);
  expect(words.map(word => word!.word)).toEqual(['quiet', 'short', 'long']);
});

test('a corner is ridden over an aim 0.9 m from the flag, straight for six strides', () => {
  const placed = lay('corner-fence', ground(LONG));
  const fence = ridden(placed)[0]!;
  // The track runs up the centre line; the flag is 0.9 m to its left.
  expect(fence.at.xM + 2.6 / 2).toBeCloseTo(10 + (2.6 - 0.9), 9);
  expect(fact(placed, 'straight before the fence')).toBeCloseTo(72 * FT, 9);
  const cones = placed.exercise.items.filter(({ kind }) => kind === 'cone');
  expect(cones).toHaveLength(6);
});

test('a lane of 60 ft, or of any other length', () => {
  expect(fact(lay('stride-test-lane', ground(LONG)), 'length of the lane')).toBeCloseTo(18.288, 9);
  const cones = lay('stride-test-lane', ground(LONG), { lengthM: 20, gait: 'walk' }).exercise.items;
  expect(distanceM(cones[0]!.at, cones[2]!.at)).toBeCloseTo(20, 9);
});

test('the best spacing for a mixed group is as good as an exhaustive search, millimetre by millimetre', () => {
  const steps = [1.05, 1.28, 1.37, 1.43];
  const horses = steps.map((stepM, index): LayoutHorse => ({
    ...TWELVE_FT,
    name: `h${index}`,
    strides: { 'trot-poles': { shortM: stepM * 0.75, normalM: stepM, longM: stepM * 1.12 } },
  }));
  const found = gapsM(ridden(lay('trot-poles', ground(LONG, horses))))[0]!;
  const pole = ridden(lay('trot-poles', ground(LONG)))[0]!;
  const distance = { school: 'whole-stride', setting: 'poles', approach: 'canter', from: pole, to: pole } as const;
  const score = (spacingM: number) => {
    const readings = horses.map(({ strides }) => readCount(spacingM, 0, distance, strides['trot-poles']!)!);
    const served = readings.filter(({ word }) => ['quiet', 'easy', 'forward'].includes(word)).length;
    return { served, off: Math.max(...readings.map(({ q }) => Math.abs(Math.log(q)))) };
  };
  const all = Array.from({ length: 901 }, (_, mm) => score(0.8 + mm / 1000));
  const most = Math.max(...all.map(({ served }) => served));
  const least = Math.min(...all.filter(({ served }) => served === most).map(({ off }) => off));
  expect(score(found).served).toBe(most);
  expect(score(found).off).toBeLessThan(least + 0.001);
});

test('parameters that are given are taken as they are, and the cautions say what they ask', () => {
  const tight = lay('fences-on-bend', ground(FIELD), { fences: 4, radiusM: 4, widthM: 3 });
  expect(tight.params).toMatchObject({ radiusM: 4 });
  expect(tight.cautions.map(({ code }) => code)).toEqual(expect.arrayContaining(['cannot-be-ridden']));
});

test('an exercise moves as one piece to where it is put', () => {
  const recipe = findRecipe('trot-poles')!;
  const place = { at: { xM: 10, yM: 10 }, headingRad: 0.3 };
  const placed = layOutExercise(recipe, ground(LONG), { rein: 'left', place });
  const usual = layOutExercise(recipe, ground(LONG), { rein: 'left' });
  expect(ridden(placed)[0]!.at).toEqual({ xM: expect.closeTo(10, 12), yM: expect.closeTo(10, 12) });
  expect(gapsM(ridden(placed))).toEqual(gapsM(ridden(usual)).map(gap => expect.closeTo(gap, 9)));
});

test('an exercise for no horse is refused', () => {
  expect(() => lay('circle', ground(LONG, []))).toThrow(RangeError);
});

test('every cone of an exercise stands 0.6 m and more clear of what is ridden, and those of a serpentine inside its loops', () => {
  for (const arena of [LONG, FIELD, { widthM: 25, lengthM: 50, letters: 'none' as const }])
    for (const { kind } of SHELF) {
      const { exercise } = lay(kind, ground(arena));
      const cones = exercise.items.filter(item => item.kind === 'cone');
      if (cones.length === 0) continue;
      const layout = { name: kind, arena, fall: null, school: 'whole-stride' as const, kit: null, ...exercise };
      const ways = reckonLayout({ ...layout, horses: [] }).flatMap(track =>
        track.kind === 'items'
          ? track.legs.map(({ chain }) => chain)
          : track.session.ok
            ? track.session.pieces.flatMap(piece => (piece.kind === 'stretch' ? [piece.chain] : []))
            : [],
      );
      for (const chain of ways)
        for (let alongM = 0; alongM <= chain.lengthM; alongM += 0.05)
          for (const { at } of cones) {
            const clear = distanceM(poseAt(chain, alongM).at, at) >= 0.6 - 0.001;
            if (!clear) throw new Error(`${kind}: a cone in what is ridden`);
          }
    }
  // Three loops of 20 m in 60: their tips at 10, 30 and 50 m, right, left and right coming from A on the left rein.
  const cones = lay('serpentine', ground(LONG), { loops: 3 }).exercise.items.filter(item => item.kind === 'cone');
  expect(cones.map(({ at }) => [at.xM > 10, Math.round(at.yM)])).toEqual([
    [true, 10],
    [false, 30],
    [true, 50],
  ]);
});

test('the ladder of transitions goes by the trot in the lane, where one was tested', () => {
  const tested: LayoutHorse = {
    ...TWELVE_FT,
    strides: { ...TWELVE_FT.strides, trot: { shortM: 2.6, normalM: 3.3, longM: 3.6 } },
  };
  const partsOf = (horse: LayoutHorse) => {
    const [track] = lay('transitions-ladder', ground(FIELD, [horse])).exercise.tracks;
    if (track?.kind !== 'figures') throw new Error('the ladder is ridden on the flat');
    return track.figures[0]!.parts.filter(({ gait }) => gait === 'trot').map(({ fromM, toM }) => toM - fromM);
  };
  // 8, 6, 4 and 2 strides of 3.30 m.
  expect(partsOf(tested).map(lengthM => Math.round(lengthM * 100) / 100)).toEqual([26.4, 19.8, 13.2, 6.6]);
});

test('over a fan each horse is read on its own line', () => {
  const pony: LayoutHorse = {
    ...{ id: 'pony', name: 'pony', heightM: 1.35, type: 'all-round', level: 'novice' },
    strides: { 'trot-poles': { shortM: 1, normalM: 1.22, longM: 1.4 } },
  };
  const horses = [TWELVE_FT, pony];
  const { exercise } = lay('fan', ground(FIELD, horses), { gait: 'trot', poles: 4, middleRadiusM: 6 });
  const layout = { name: 'fan', arena: FIELD, fall: null, school: 'whole-stride' as const, kit: null };
  const [track] = reckonLayout({ ...layout, ...exercise, horses });
  if (track?.kind !== 'items') throw new Error('a fan is ridden over poles');
  for (const leg of track.legs) {
    expect(leg.readings.map(({ call }) => call)).toEqual(['easy single step', 'easy single step']);
    // The spacing at the middle is the geometric mean of the two steps, 1.294 m: radii in proportion to the steps.
    const middleM = Math.sqrt(1.22 * 4.5 * FT);
    expect(leg.readings[0]!.ownLine!.radiusM).toBeCloseTo((6 * 4.5 * FT) / middleM, 6);
    expect(leg.readings[1]!.ownLine).toMatchObject({ groundM: expect.closeTo(1.22, 6) });
  }
});

test('in many arenas no exercise brings a caution of its own making', () => {
  const arenas: Arena[] = [
    { widthM: 20, lengthM: 40, letters: '20x40' },
    LONG,
    { widthM: 25, lengthM: 50, letters: 'none' },
    { widthM: 40, lengthM: 80, letters: 'none' },
  ];
  const said: string[] = [];
  for (const arena of arenas)
    for (const heightM of [1.3, 1.68]) {
      const horse: LayoutHorse = { ...TWELVE_FT, heightM, strides: {} };
      for (const { kind } of SHELF)
        for (const { level, code } of lay(kind, ground(arena, [horse])).cautions)
          if (level !== 'note') said.push(`${kind} in ${arena.widthM} × ${arena.lengthM}: ${code}`);
    }
  expect(said).toEqual([]);
});

test('over a fan so small that its own line is tighter than it carries, a horse has no count', () => {
  // A novice carries 4 m at trot (common practice, no source): a fan of 3 m is tighter for everybody.
  const { exercise } = lay('fan', ground(FIELD), { gait: 'trot', poles: 3, middleRadiusM: 3 });
  const layout = { name: 'fan', arena: FIELD, fall: null, school: 'whole-stride' as const, kit: null };
  const [track] = reckonLayout({ ...layout, ...exercise, horses: [TWELVE_FT] });
  if (track?.kind !== 'items') throw new Error('a fan is ridden over poles');
  expect(track.legs[0]!.readings[0]).toMatchObject({
    options: [],
    cannot: { radiusM: expect.closeTo(3, 6), leastM: 4 },
  });
});

test.each(SHELF.map(recipe => [recipe.guidance.title, recipe] as const))(
  '%s is watched from inside the arena, off the way that is ridden and off what stands there',
  (_, recipe) => {
    for (const arena of [LONG, FIELD]) {
      const { exercise } = layOutExercise(recipe, ground(arena), { rein: 'left' });
      const { stand, items, tracks } = exercise;
      expect(stand.xM >= 0 && stand.xM <= arena.widthM && stand.yM >= 0 && stand.yM <= arena.lengthM).toBe(true);
      const layout = stageLayout('', exercise, ground(arena), exercise.stages.at(-1)!);
      const chains = reckonLayout({ ...layout, tracks }).flatMap(chainsOf);
      for (const chain of chains)
        for (let alongM = 0; alongM <= chain.lengthM; alongM += 0.25)
          expect(distanceM(poseAt(chain, alongM).at, stand)).toBeGreaterThan(0.75);
      for (const item of items) if (isRidden(item)) expect(distanceM(item.at, stand)).toBeGreaterThan(2);
    }
  },
);

test('what an exercise says of its fences is said of fences, and what it plans is what it says', () => {
  for (const recipe of SHELF) {
    const { exercise } = layOutExercise(recipe, ground(FIELD), { rein: 'left' });
    const { guidance } = recipe;
    const [track] = exercise.tracks;
    const hasFence = exercise.items.some(({ kind }) => kind === 'fence');
    const watched = [...guidance.watchHorse, ...guidance.watchRider].join(' ');
    if (hasFence && track?.kind === 'items' && track.through.length === 2) expect(watched).not.toMatch(/pole/);
    if (track && track.passes > 1) expect(track.passes).toBe(guidance.repetitions.eachRein);
    const fences = exercise.items.filter(({ kind }) => kind === 'fence').length;
    for (const { name } of exercise.stages) {
      const upTo = /Up to fence (\d+)/.exec(name);
      if (upTo) expect(Number(upTo[1])).toBeLessThanOrEqual(fences);
    }
  }
});

test('a line over fences is ridden over cross-rails first and then in its counts; strides are long for three fifths of a side', () => {
  const placed = lay('related-line', ground(FIELD));
  const kindsAndCounts = placed.exercise.stages.map(stage => {
    const layout = stageLayout('line', placed.exercise, ground(FIELD), stage);
    const [track] = layout.tracks;
    const forms = layout.items.filter(isRidden).map(item => (item.kind === 'fence' ? item.form : item.kind));
    return [...new Set(forms), track?.kind === 'items' ? track.legs[0]!.asked : null];
  });
  const strides = Number(placed.params.strides);
  expect(kindsAndCounts.slice(0, 3)).toEqual([
    ['cross-rail', strides],
    ['vertical', strides],
    ['vertical', strides + 1],
  ]);
  const [track] = lay('lengthen-and-shorten', ground(LONG)).exercise.tracks;
  if (track?.kind !== 'figures') throw new Error('ridden on the flat');
  const { figure, parts } = track.figures.at(-1)!;
  if (figure.kind !== 'straight') throw new Error('a straight line');
  expect(parts).toEqual([
    { fromM: 0, toM: figure.lengthM * 0.6, pace: 'long' },
    { fromM: figure.lengthM * 0.6, toM: figure.lengthM, pace: 'short' },
  ]);
});

test('a grid is built up fence by fence, each time with something else to think of, without its guides', () => {
  const { stages } = lay('grid', ground(LONG)).exercise;
  const built = stages.filter(({ set }) => set.only !== null && set.only !== undefined);
  expect(built.map(({ name }) => name)).toEqual([
    'The first fence alone',
    ...Array.from({ length: built.length - 1 }, (_, index) => `Up to fence ${index + 2}`),
  ]);
  expect(built.length).toBeGreaterThan(4);
  built.slice(1).forEach(({ focus }, index) => expect(focus).not.toBe(built[index]!.focus));
  expect(built[4]!.focus).toBe(built[0]!.focus);
  for (const { set } of built) expect(set.guides).toBe(false);
  // Each stage has all of the one before it.
  built.slice(1).forEach(({ set }, index) => {
    const before = built[index]!.set.only as readonly string[];
    expect(set.only).toEqual(expect.arrayContaining([...before]));
    expect((set.only as readonly string[]).length).toBeGreaterThan(before.length);
  });
});
