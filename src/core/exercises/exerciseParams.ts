import { CHANGES_OF_REIN } from '../figures/figurePlaces';
import type { ExerciseParam, ExerciseParams, Recipe } from './exercise';
import { STRIDE_ENTRY_KEYS } from '../horse/strideEntry';
import { USUAL_STRIDE } from '../horse/usualStride';
import type { UsualLength } from '../units/parseLength';
import { ARRIVALS, ARRIVES_ANYWHERE, BY_LENGTH, FIGURE_LETTERS, isLineName, USUAL_PLACE } from './figureLetters';
import { FIGURE_GAITS } from './recipes/figureGaits';
import { GRID_ELEMENTS } from './recipes/grid';

/** What a parameter of an exercise may be, and what it is called. Lengths in metres. */
export type ParamSpec = { key: string; label: string } & (
  | { kind: 'count'; min: number; max: number }
  /** `zeroIs`: what nothing typed means, where that is something. */
  /** `usual`: what practice has of it, where a bare number in another unit could be meant. */
  | { kind: 'length'; minM: number; maxM: number; zeroIs: string | null; usual?: UsualLength }
  | { kind: 'degrees'; min: number; max: number }
  | { kind: 'share'; min: number; max: number }
  | { kind: 'choice'; options: readonly string[] }
  | { kind: 'flag' }
  /** A length for each part, 0 where it is as all the others or as reckoned. */
  | { kind: 'lengths'; minM: number; maxM: number; zeroIs: string; most: number }
  /** Several choices in a row, one for each part. */
  | { kind: 'list'; options: readonly string[]; most: number }
);

/** Which ends of a pole of a row are up. */
export const RAISED_WAYS = ['ground', 'left', 'right', 'both'] as const;

const count = (label: string, min: number, max: number) => ({ kind: 'count', label, min, max }) as const;
const length = (label: string, minM: number, maxM: number, zeroIs: string | null = null) =>
  ({ kind: 'length', label, minM, maxM, zeroIs }) as const;
const lengths = (label: string, minM: number, maxM: number, zeroIs: string) =>
  ({ kind: 'lengths', label, minM, maxM, zeroIs, most: 12 }) as const;
const choice = (label: string, options: readonly string[]) => ({ kind: 'choice', label, options }) as const;
const flag = (label: string) => ({ kind: 'flag', label }) as const;

type SpecWithoutKey = ParamSpec extends infer Spec ? (Spec extends ParamSpec ? Omit<Spec, 'key'> : never) : never;

/** By the name of the parameter. What is not here belongs to the recipe itself and is not asked. */
const SPECS: Record<string, SpecWithoutKey> = {
  poles: count('Poles', 1, 12),
  fences: count('Fences', 2, 6),
  strides: count('Strides', 0, 30),
  more: flag('Also one stride more'),
  fewer: flag('Also one stride fewer'),
  ratio: { kind: 'share', label: 'Distance, as a share of the even one', min: 0.85, max: 1.15 },
  diagonal: flag('On the diagonal'),
  first: count('Strides in the first part', 0, 3),
  second: count('Strides in the second part (0 for a double)', 0, 3),
  turnDeg: { kind: 'degrees', label: 'Turn', min: 5, max: 360 },
  spacingM: length('Spacing, from one to the next', 0.4, 14, 'as the horses go'),
  poleM: length('Pole length', 1, 5),
  raised: { kind: 'list', label: 'Raised', options: RAISED_WAYS, most: 12 },
  blockM: length('Height of the blocks', 0.02, 0.5),
  radiusM: length('Radius', 2, 40),
  middleRadiusM: length('Radius at the middle of the poles', 2, 40),
  widthM: length('Width of the fences', 1, 6),
  heightM: length('Height of the fences', 0.1, 1.6),
  heightsM: lengths('Heights, fence by fence', 0.1, 1.6, 'as all'),
  gapsM: lengths('Distances, one by one', 0.3, 60, 'reckoned'),
  distanceM: length('Distance', 1, 120, 'reckoned'),
  placingM: length('Placing pole to fence', 0.5, 6, 'reckoned'),
  landingM: length('Fence to landing pole', 1, 8, 'reckoned'),
  aimFromFlagM: length('Aim from the flag', 0.2, 3),
  guides: flag('Guide rails'),
  filler: flag('Fillers'),
  elements: { kind: 'list', label: 'Elements', options: GRID_ELEMENTS, most: 12 },
  approach: choice('Ridden in', ['canter', 'trot']),
  drift: choice('Against drifting', ['rails', 'tunnel', 'none']),
  placingPole: flag('Placing pole'),
  landingPole: flag('Landing pole'),
  chordM: length('Along the long side, pole to pole', 2, 40, 'reckoned'),
  acrossM: length('Across, pole to pole', 2, 40, 'reckoned'),
  lengthM: length('Length', 3, 190),
  diameterM: length('Diameter', 4, 60),
  largeM: length('Diameter of the large circle', 4, 60),
  smallM: length('Diameter of the small circle', 4, 60),
  smallestM: length('Diameter of the smallest circle', 4, 60),
  rounds: count('Rounds', 1, 12),
  times: count('Times', 1, 12),
  school: choice('Inwards', ['bend', 'yield']),
  eachSize: choice('Each size for', ['half a round', 'a whole round']),
  arrives: choice('Arrives at', ARRIVALS),
  loops: count('Loops', 2, 8),
  depthM: length('Depth of the loop', 1, 30),
  yieldM: length('Yield out of each loop', 0.5, 6, 'none'),
  offsetM: length('Out on each side', 1, 12),
  cones: count('Cones', 2, 12),
  withCones: flag('Cones to ride round'),
  lineFirst: flag('The line first, then the half circle'),
  way: choice('Way across', CHANGES_OF_REIN),
  asideM: length('Sideways', 0.5, 40),
  aheadM: length('Forwards', 1, 100),
  movement: choice('Movement', ['shoulder-in', 'counter-shoulder-in', 'travers', 'renvers']),
  forM: length('Counter bend for', 2, 60),
  alongM: length('Along the rail', 2, 60),
  offM: length('Off the rail', 1, 20),
  steps: count('Steps', 1, 20),
  eachSide: count('Each side', 1, 12),
  rungs: count('Rungs', 1, 12),
  stretches: count('Stretches of each gait', 1, 8),
  seconds: count('Seconds', 1, 600),
};

/** Rows of poles, and what is reckoned where nothing is typed. */
const OWN: Record<string, SpecWithoutKey> = {
  'walk-poles spacingM': length('Spacing, pole to pole', 0.4, 5, 'as the horses step'),
  'trot-poles spacingM': length('Spacing, pole to pole', 0.4, 5, 'as the horses step'),
  'canter-poles spacingM': length('Spacing, pole to pole', 0.4, 5, 'as the horses step'),
  'gaited-poles poles': count('Poles', 1, 2),
  'gaited-poles spacingM': length('Spacing, pole to pole', 0.4, 8, 'two of the horses’ steps'),
  'gaited-canter radiusM': length('Radius', 2, 40, 'reckoned'),
  'two-poles-on-circle radiusM': length('Radius', 2, 40, 'reckoned'),
  'two-fences-on-circle radiusM': length('Radius', 2, 40, 'reckoned'),
  'canter-pole-three-strides radiusM': length('Radius', 2, 40, 'reckoned'),
};

/** Fences alone have heights. */
const OF_FENCES = new Set(['heightM', 'heightsM']);
const POLES_ONLY = new Set(['canter-poles-line', 'two-poles-on-circle']);

/** The gait is a parameter only where the exercise is not made of it. */
const GAIT = choice('Gait', ['walk', 'trot', 'canter']);
const WITH_GAIT = new Set(['fan', 'stride-test-lane']);

/** What poles are usually spaced by in the gait of an exercise. */
function usualSpacing(kind: string, { gait }: ExerciseParams): UsualLength | undefined {
  const entry = STRIDE_ENTRY_KEYS.find(key => key === (typeof gait === 'string' ? `${gait}-poles` : kind));
  return entry && USUAL_STRIDE[entry];
}

/** Where a figure begins and ends, by its letters. */
function placeSpec(kind: string, key: 'from' | 'to'): SpecWithoutKey | undefined {
  const places = FIGURE_LETTERS[kind]?.[key];
  if (!places) return undefined;
  return key === 'from' ? choice('Begins at', [USUAL_PLACE, ...places]) : choice('Ends at', [BY_LENGTH, ...places]);
}

function gaitSpec(kind: string): SpecWithoutKey | undefined {
  const gaits = FIGURE_GAITS[kind];
  return gaits ? choice('Gait', gaits) : WITH_GAIT.has(kind) ? GAIT : undefined;
}

function specOf(kind: string, key: string): SpecWithoutKey | undefined {
  if (key === 'gait') return gaitSpec(kind);
  if (key === 'from' || key === 'to') return placeSpec(kind, key);
  return OWN[`${kind} ${key}`] ?? SPECS[key];
}

/** A length that the letters or lines of a figure give is not typed. */
function isGivenByLetters(kind: string, key: string, { from, to, arrives }: ExerciseParams): boolean {
  const begins = typeof from === 'string' && from !== USUAL_PLACE;
  const ends = typeof to === 'string' && to !== BY_LENGTH;
  if (key === 'lengthM') return ends;
  if (kind === 'leg-yield' && key === 'asideM') return begins;
  if (kind === 'leg-yield' && key === 'aheadM') return begins && !isLineName(from) && arrives !== ARRIVES_ANYWHERE;
  if (kind === 'half-pass' && key === 'asideM') return ends;
  return kind === 'half-pass' && key === 'aheadM' && begins && ends && !isLineName(to);
}

/** What may be changed of an exercise, in the order its recipe has it. */
export function paramSpecs(kind: string, params: ExerciseParams): ParamSpec[] {
  return Object.keys(params).flatMap(key => {
    if (OF_FENCES.has(key) && POLES_ONLY.has(kind)) return [];
    if (isGivenByLetters(kind, key, params)) return [];
    const spec = specOf(kind, key);
    if (!spec) return [];
    const usual = key === 'spacingM' ? usualSpacing(kind, params) : undefined;
    return [{ ...spec, key, ...(usual ? { usual } : {}) } as ParamSpec];
  });
}

/** Why a value cannot be what this parameter is, in words that follow its label; null where it can. */
export function paramFault(spec: ParamSpec, value: ExerciseParam): string | null {
  const within = (min: number, max: number, whole: boolean) =>
    typeof value === 'number' && value >= min && value <= max && (!whole || Number.isInteger(value));
  switch (spec.kind) {
    case 'count':
      return within(spec.min, spec.max, true) ? null : `is a whole number from ${spec.min} to ${spec.max}`;
    case 'length':
      if (spec.zeroIs !== null && value === 0) return null;
      return within(spec.minM, spec.maxM, false) ? null : `is ${spec.minM} to ${spec.maxM} m`;
    case 'degrees':
    case 'share':
      return within(spec.min, spec.max, false) ? null : `is ${spec.min} to ${spec.max}`;
    case 'choice':
      return typeof value === 'string' && spec.options.includes(value) ? null : `is one of ${spec.options.join(', ')}`;
    case 'flag':
      return typeof value === 'boolean' ? null : 'is yes or no';
    case 'lengths': {
      const isLength = (one: unknown) =>
        typeof one === 'number' && (one === 0 || (one >= spec.minM && one <= spec.maxM));
      const isGood = Array.isArray(value) && value.length <= spec.most && value.every(isLength);
      return isGood ? null : `is a list of at most ${spec.most} lengths of ${spec.minM} to ${spec.maxM} m`;
    }
    case 'list': {
      const good = Array.isArray(value) && value.length <= spec.most && value.every(one => spec.options.includes(one));
      return good ? null : `is a list of at most ${spec.most}, of ${spec.options.join(', ')}`;
    }
  }
}

/** What is wrong with the parameters of an exercise that came from outside, or null. Missing ones are the recipe's own. */
export function paramsFault(recipe: Recipe, usual: ExerciseParams, params: ExerciseParams): string | null {
  const specs = paramSpecs(recipe.kind, usual);
  for (const [key, value] of Object.entries(params)) {
    if (!(key in usual)) return `${key}: “${recipe.guidance.title}” has no such parameter`;
    const spec = specs.find(candidate => candidate.key === key);
    // What the recipe is made of is not for changing.
    if (!spec && JSON.stringify(value) !== JSON.stringify(usual[key]))
      return `${key}: “${recipe.guidance.title}” is made of ${String(usual[key])}`;
    const fault = spec ? paramFault(spec, value) : null;
    if (fault) return `${key}: ${spec!.label} ${fault}`;
  }
  return null;
}
