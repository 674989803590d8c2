import type { Setting } from '../../stride/school';
import type { TestedStride } from '../../stride/readDistance';
import type { ExerciseGround, Guidance, LaidExercise, Recipe } from '../exercise';
import {
  ahead,
  diagonalLine,
  fenceAt,
  groundFor,
  lowHeightM,
  poleAt,
  quarterLine,
  stage,
  stridesOf,
  trackThrough,
  usualHeights,
  type Heights,
} from './parts';

/**
 * `ratio`: the distance over what the count wants at a normal stride, so that the other counts are in reach too; `distanceM`: the
 * distance itself where it is typed, else 0.
 */
type Params = Heights & {
  strides: number;
  more: boolean;
  fewer: boolean;
  ratio: number;
  diagonal: boolean;
  distanceM: number;
};

const POLES: Guidance = {
  title: 'Canter poles in a related line',
  purposes: ['adjustability', 'rhythm'],
  level: 'novice',
  knowFirst: ['One canter pole at three stride lengths'],
  repetitions: { eachRein: 6, stop: { when: 'first clear improvement' } },
  failure: 'same question again',
  watchHorse: ['The strides between are all of one length', 'It stays straight when it shortens'],
  watchRider: ['The count is decided before the first pole', 'The change is made early, not at the second pole'],
  stand: 'Side-on, halfway, to count and to see the strides even out.',
  faults: [
    { fault: 'The added stride comes at the end', remedy: 'Shorten in the first two strides, then leave it alone.' },
    { fault: 'It drifts when it shortens', remedy: 'Ride the line once in trot, then with guide poles.' },
  ],
  cautions: ['A count made by adding strides is harder work than it looks: count it so.'],
};

const FENCES: Guidance = {
  ...POLES,
  title: 'A related line in several counts',
  purposes: ['adjustability', 'accuracy'],
  knowFirst: ['Canter poles in a related line', 'A single fence in balance on both reins'],
  watchRider: ['The count is decided before the first fence', 'The change is made early, not at the second fence'],
  repetitions: { eachRein: 4, stop: { when: 'first clear improvement' } },
  failure: 'lower only what failed',
  faults: [
    ...POLES.faults,
    { fault: 'The second fence is chipped', remedy: 'A pole on the ground in its place, and the count again.' },
  ],
  cautions: ['Somebody is on the ground whenever fences are jumped.', ...POLES.cautions],
};

const guidance = (over: 'poles' | 'fences') => (over === 'poles' ? POLES : FENCES);
const setting = (over: 'poles' | 'fences'): Setting => (over === 'poles' ? 'poles' : 'course');
const gait = (over: 'poles' | 'fences') => (over === 'poles' ? ('canter' as const) : ('course-canter' as const));

/** How far the needed stride may be from normal for every horse, kept a little inside what each can do. */
function reach(strides: readonly TestedStride[]): { least: number; most: number } {
  const margin = 0.005;
  return {
    least: Math.max(...strides.map(({ shortM, normalM }) => shortM / normalM)) + margin,
    most: Math.min(...strides.map(({ longM, normalM }) => longM / normalM)) - margin,
  };
}

/** The ratio at which n, and one more or one fewer where they are asked, are in reach; null where no ratio is. */
function ratioFor(
  strides: number,
  more: boolean,
  fewer: boolean,
  { least, most }: ReturnType<typeof reach>,
): number | null {
  const low = more ? (least * (strides + 2)) / (strides + 1) : 0.97;
  const high = fewer ? (most * strides) / (strides + 1) : 1.03;
  const wished = Math.min(Math.max(1, low), high);
  return low <= high && wished >= 0.92 && wished <= 1.08 ? wished : null;
}

type Asks = Pick<Params, 'more' | 'fewer'>;

const THREE: Asks = { more: true, fewer: true };
const TWO: Asks = { more: true, fewer: false };
const ONE: Asks = { more: false, fewer: false };

/**
 * What is asked, the likeliest first. Over poles all three counts. Over fences one fewer is in reach beside one more in seven strides
 * at the earliest, which is a long line: there a count and one more come first, then a count that serves the group.
 */
const ASKED: Record<'poles' | 'fences', [Asks, number[]][]> = {
  poles: [THREE, TWO, ONE].map(asks => [asks, [4, 5, 6, 7, 8, 3, 2]]),
  fences: [
    [TWO, [5, 4, 6]],
    [ONE, [5, 4, 6]],
    [THREE, [7, 8]],
    [TWO, [7, 8, 3, 2]],
    [ONE, [7, 8, 3, 2]],
  ],
};

/** On the quarter line, else on the diagonal. */
function wishes(ground: ExerciseGround, over: 'poles' | 'fences'): Params[] {
  const horses = reach(stridesOf(ground, gait(over), setting(over)));
  const roomM = Math.hypot(ground.arena.widthM, ground.arena.lengthM) - 20;
  return ASKED[over].flatMap(([asks, counts]) =>
    counts.flatMap(strides => {
      const ratio = ratioFor(strides, asks.more, asks.fewer, horses);
      if (ratio === null) return [];
      return [false, true]
        .map(diagonal => ({ strides, ...asks, ratio, diagonal, distanceM: 0, ...usualHeights(ground) }))
        .filter(params => groundM(ground, over, params) < roomM);
    }),
  );
}

function groundM(ground: ExerciseGround, over: 'poles' | 'fences', { strides, ratio, distanceM }: Params): number {
  if (distanceM > 0) return distanceM;
  const [from, to] = ends(over, 0, lowHeightM(ground));
  return groundFor(ground, strides, { gait: gait(over), setting: setting(over), from, to }) * ratio;
}

function ends(over: 'poles' | 'fences', apartM: number, heightM: number) {
  if (over === 'poles') return [poleAt('first', ahead(0)), poleAt('second', ahead(apartM))] as const;
  return [
    fenceAt('first', 'vertical', ahead(0), { heightM }),
    fenceAt('second', 'vertical', ahead(apartM), { heightM }),
  ] as const;
}

function layOut(ground: ExerciseGround, over: 'poles' | 'fences', params: Params): LaidExercise {
  const apartM = groundM(ground, over, params);
  const { strides, more, fewer } = params;
  const counts = [
    stage(`In ${strides}`, 'One rhythm from first to second', 'half-seat', { asked: [strides] }),
    ...(more ? [stage('One stride more', 'Shorten at once, then wait', 'sitting', { asked: [strides + 1] })] : []),
    ...(fewer ? [stage('One stride fewer', 'Ride on from the landing', 'half-seat', { asked: [strides - 1] })] : []),
  ];
  const low = stage('Cross-rails first', 'Straight over both middles', 'half-seat', {
    set: { form: 'cross-rail' },
    asked: [strides],
  });
  return {
    items: [...ends(over, apartM, params.heightM)],
    tracks: [
      trackThrough(
        'line',
        gait(over),
        ['first', 'second'],
        { setting: setting(over), asked: strides },
        guidance(over).repetitions.eachRein,
      ),
    ],
    stages: over === 'poles' ? counts : [low, ...counts],
    stand: { xM: apartM / 2, yM: 6 },
    facts: [{ what: 'from the first to the second', horse: null, lengthM: apartM }],
  };
}

function recipe(over: 'poles' | 'fences'): Recipe<Params> {
  return {
    kind: over === 'poles' ? 'canter-poles-line' : 'related-line',
    guidance: guidance(over),
    wishes: ground => wishes(ground, over),
    place: (ground, params) => {
      const lengthM = groundM(ground, over, params);
      return params.diagonal ? diagonalLine(ground, lengthM) : quarterLine(ground, lengthM);
    },
    layOut: (ground, params) => layOut(ground, over, params),
    typed: (params, _, groundM) => ({ ...params, distanceM: groundM }),
  };
}

export const canterPolesLine = recipe('poles');
export const relatedLine = recipe('fences');
