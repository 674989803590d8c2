import {
  findRecipe,
  isRidden,
  layOutExercise,
  profileStride,
  reckonLayout,
  SHELF,
  stageLayout,
  type Arena,
  type ExerciseGround,
  type HorseProfile,
  type Item,
  type LayoutHorse,
  type PlacedExercise,
  type PointM,
  type StrideEntryKey,
} from '@/core';
import { readLayoutText, writeLayout } from '@/files/layoutFile';
import { DEMO_HORSES } from './demoYard';

/** Every exercise for each horse of the demo yard, in three arenas, on both reins. */
const ARENAS: Arena[] = [
  { widthM: 20, lengthM: 40, letters: '20x40' },
  { widthM: 20, lengthM: 60, letters: '20x60' },
  { widthM: 35, lengthM: 60, letters: 'none' },
];

const HORSES: LayoutHorse[] = DEMO_HORSES.map(({ name, heightM, type, trotStepM }) => ({
  ...{ id: name, name, heightM, type, level: 'novice' },
  strides:
    trotStepM === undefined
      ? {}
      : { 'trot-poles': { shortM: trotStepM * 0.75, normalM: trotStepM, longM: trotStepM * 1.12 } },
}));

const groundOf = (arena: Arena, horse: LayoutHorse): ExerciseGround => ({
  arena,
  school: 'whole-stride',
  horses: [horse],
});

function normalM(horse: LayoutHorse, entry: StrideEntryKey): number {
  const profile: HorseProfile = { heightM: horse.heightM, type: horse.type, strides: {} };
  return (horse.strides[entry] ?? profileStride(profile, entry)!).normalM;
}

const kinds = SHELF.map(({ kind }) => kind);

function each(
  kind: string,
  check: (left: PlacedExercise, right: PlacedExercise, ground: ExerciseGround) => void,
): void {
  for (const { left, right, ground } of placements(kind)) check(left, right, ground);
}

type Placement = { left: PlacedExercise; right: PlacedExercise; ground: ExerciseGround };
const laidOut = new Map<string, Placement[]>();

/** Laid out once, and looked at by every test. */
function placements(kind: string): Placement[] {
  const known = laidOut.get(kind);
  if (known) return known;
  const recipe = findRecipe(kind)!;
  const made = ARENAS.flatMap(arena =>
    HORSES.map(horse => {
      const ground = groundOf(arena, horse);
      const on = (rein: 'left' | 'right') => layOutExercise(recipe, ground, { rein });
      return { left: on('left'), right: on('right'), ground };
    }),
  );
  laidOut.set(kind, made);
  return made;
}

test.each(kinds)('%s: no caution of its own making, for any horse, in any arena, on either rein', kind => {
  each(kind, (left, right) => {
    expect(left.cautions).toEqual([]);
    expect(right.cautions).toEqual([]);
  });
});

const mirrored = (arena: Arena, { xM, yM }: PointM) => ({
  xM: expect.closeTo(arena.widthM - xM, 9),
  yM: expect.closeTo(yM, 9),
});

/** The way an item faces, as a vector, so that no whole turn matters. */
const faces = (item: Item) => ('headingRad' in item ? [Math.cos(item.headingRad), Math.sin(item.headingRad)] : [0, 0]);

test.each(kinds)('%s: the right rein is the mirror image of the left', kind => {
  each(kind, (left, right, { arena, horses, school }) => {
    const [a, b] = [left.exercise, right.exercise];
    expect(b.items.map(({ at }) => at)).toEqual(a.items.map(({ at }) => mirrored(arena, at)));
    expect(b.items.map(faces)).toEqual(
      a.items.map(item => {
        const [cos, sin] = faces(item) as [number, number];
        return [expect.closeTo(-cos, 9), expect.closeTo(sin, 9)];
      }),
    );
    expect(b.stand).toEqual(mirrored(arena, a.stand));
    // What is ridden has the same lengths, turn for turn.
    const last = a.stages.length - 1;
    const tracks = [a, b].map(exercise =>
      reckonLayout(stageLayout(kind, exercise, { arena, horses, school }, exercise.stages[last]!)),
    );
    expect(tracks[1]!.map(({ lengthM }) => lengthM)).toEqual(
      tracks[0]!.map(({ lengthM }) => expect.closeTo(lengthM, 6)),
    );
  });
});

test.each(kinds)('%s: at every stage it can be written as a layout file and read back', kind => {
  const ground = groundOf(ARENAS[2]!, HORSES[2]!);
  const { exercise } = layOutExercise(findRecipe(kind)!, ground, { rein: 'right' });
  for (const stage of exercise.stages) {
    const read = readLayoutText(JSON.stringify(writeLayout(stageLayout(kind, exercise, ground, stage))));
    expect(read.ok ? 'read' : read.reason).toBe('read');
  }
});

const MM = 0.001;

/** Ground between neighbours as taped: from rail to rail in a straight line. */
function tapedM(items: Item[]): number[] {
  const list = items.filter(isRidden);
  const depth = (item: (typeof list)[number]) => (item.kind === 'fence' && item.form === 'oxer' ? item.spreadM : 0);
  return list.slice(1).map((item, index) => {
    const before = list[index]!;
    const betweenM = Math.hypot(item.at.xM - before.at.xM, item.at.yM - before.at.yM);
    return betweenM - (depth(item) + depth(before)) / 2;
  });
}

// Worked apart from the recipes, from the shares that the trade gives (common practice, no source).
test.each(['walk', 'trot', 'canter'] as const)('%s poles lie one step or stride of the horse apart', gait => {
  each(`${gait}-poles`, ({ exercise }, _, { horses }) => {
    for (const gapM of tapedM(exercise.items))
      expect(Math.abs(gapM - normalM(horses[0]!, `${gait}-poles`))).toBeLessThan(MM);
  });
});

test('every gap of a grid is its share of the stride: ¾ to a placing pole, ⅚ a bounce, 1½ for one stride', () => {
  each('grid', ({ exercise, params }, _, { horses }) => {
    const stride = normalM(horses[0]!, 'course-canter');
    const elements = params.elements as string[];
    const shares = elements.slice(1).map((name, index) => {
      const before = elements[index]!;
      if (name === 'half' || before === 'half' || before === 'place') return 0.75;
      return name.startsWith('bounce') ? 5 / 6 : 1.5;
    });
    tapedM(exercise.items).forEach((gapM, index) => expect(Math.abs(gapM - shares[index]! * stride)).toBeLessThan(MM));
  });
});

test('inside a combination n strides have n + 1 strides of ground', () => {
  each('combination', ({ exercise, params }, _, { horses }) => {
    const counts = [params.first, params.second] as number[];
    tapedM(exercise.items).forEach((gapM, index) =>
      expect(Math.abs(gapM - (counts[index]! + 1) * normalM(horses[0]!, 'course-canter'))).toBeLessThan(MM),
    );
  });
});

test.each([
  { kind: 'fences-on-bend', share: 1.5 },
  { kind: 'bounces-on-bend', share: 5 / 6 },
])('$kind: the arc between two is $share strides', ({ kind, share }) => {
  each(kind, ({ exercise, params }, _, { horses }) => {
    const radiusM = params.radiusM as number;
    for (const chordM of tapedM(exercise.items)) {
      const arcM = 2 * radiusM * Math.asin(chordM / (2 * radiusM));
      expect(Math.abs(arcM - share * normalM(horses[0]!, 'course-canter'))).toBeLessThan(MM);
    }
  });
});

test.each([
  { kind: 'poles-on-circle', parts: 4, entry: 'canter-poles' as const },
  { kind: 'two-poles-on-circle', parts: 2, entry: 'canter-poles' as const },
  { kind: 'two-fences-on-circle', parts: 2, entry: 'course-canter' as const },
])('$kind: each part of the circle is a whole count of strides', ({ kind, parts, entry }) => {
  each(kind, ({ exercise, params }, _, { horses }) => {
    const list = exercise.items.filter(isRidden);
    const acrossM = Math.hypot(list[parts / 2]!.at.xM - list[0]!.at.xM, list[parts / 2]!.at.yM - list[0]!.at.yM);
    const partM = (Math.PI * acrossM) / parts;
    expect(Math.abs(partM - ((params.strides as number) + 1) * normalM(horses[0]!, entry))).toBeLessThan(MM);
  });
});

test('a bending line has a whole count along its wide track', () => {
  each('bending-line', ({ exercise, params }, _, ground) => {
    const [track] = reckonLayout(stageLayout('bend', exercise, ground, exercise.stages[1]!));
    if (track?.kind !== 'items') throw new Error('a line');
    const wantedM = ((params.strides as number) + 1) * normalM(ground.horses[0]!, 'course-canter');
    expect(Math.abs(track.legs[0]!.groundM - wantedM)).toBeLessThan(MM);
    expect(track.legs[0]!.instead).toBeNull();
  });
});

test('a fan: along the middle of the poles the steps are the horse’s own', () => {
  each('fan', ({ exercise }, _, { horses }) => {
    for (const chordM of tapedM(exercise.items)) {
      const arcM = 12 * Math.asin(chordM / 12);
      expect(Math.abs(arcM - normalM(horses[0]!, 'trot-poles'))).toBeLessThan(MM);
    }
  });
});

test('the placing pole, and the round of a single canter pole', () => {
  each('single-fence', ({ exercise }, _, { horses }) => {
    const [placingM, landingM] = tapedM(exercise.items);
    expect(Math.abs(placingM! - 0.75 * normalM(horses[0]!, 'course-canter'))).toBeLessThan(MM);
    // 3 m for a stride of 3.66 m, in proportion for another.
    expect(landingM! / normalM(horses[0]!, 'course-canter')).toBeCloseTo(3 / 3.66, 9);
  });
  each('canter-pole-three-strides', ({ exercise, params }, _, ground) => {
    const [track] = reckonLayout(stageLayout('round', exercise, ground, exercise.stages[0]!));
    const wantedM = ((params.strides as number) + 1) * normalM(ground.horses[0]!, 'canter-poles');
    expect(Math.abs(track!.lengthM - wantedM)).toBeLessThan(MM);
  });
});
