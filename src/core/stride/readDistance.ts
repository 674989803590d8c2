import type { StrideRange } from '../horse/strideEntry';
import { distanceRule, neededShare, type DistanceCase, type DistanceRule } from './distanceRule';
import { callInWords } from './callInWords';
import { countChance } from './countChance';
import { strideWord, type StrideWord } from './strideWord';

/** A horse's stride for a distance, with how much it varies from stride to stride (a share of normal; 4 % untested). */
export type TestedStride = StrideRange & { spread?: number };

export type DistanceOption = {
  strides: number;
  /** The stride this count needs, metres: q × normal. */
  needM: number;
  /** Needed stride ÷ normal stride. */
  q: number;
  word: StrideWord;
};

export type DistanceReading = {
  normalM: number;
  /** The fractional count at which q = 1. */
  evenCount: number;
  options: DistanceOption[];
  /** What no stride at all is called here. */
  zeroIs: 'bounce' | 'step';
  /** In plain speech: "easy four", "forward four or short five", "between four and five". */
  call: string;
};

/** Common practice, no source: how much a stride varies in a horse that has not been tested. */
export const USUAL_SPREAD = 0.04;

/** A count this near to a whole number is that number. */
const WHOLE = 1e-9;

/** Below this the nearest count is none. */
const HALFWAY_TO_ONE = 0.5;

/**
 * What a distance asks of a horse.
 * @param groundM - from the back of the first to the front of the second, along the track; finite, ≥ 0
 * @throws {RangeError} a ground that is negative or not finite, or a normal stride that is not positive
 */
export function readDistance(groundM: number, distance: DistanceCase, stride: TestedStride): DistanceReading {
  if (!(groundM >= 0 && groundM < Infinity && stride.normalM > 0 && stride.normalM < Infinity))
    throw new RangeError(`readDistance(${groundM}, normal ${stride.normalM})`);
  const rule = distanceRule(distance);
  const inStrides = groundM / stride.normalM;
  const evenCount = (inStrides - rule.fixed) / rule.perStride;
  // Where no stride is meant and none is not rated (a landing pole), one stride would be judged by mistake.
  const unrated = rule.zeroStrides === null && evenCount < HALFWAY_TO_ONE;
  const options = (unrated ? [] : nearestCounts(evenCount)).flatMap(strides => {
    const q = shareForCount(inStrides, strides, rule);
    if (q === null) return [];
    return [{ strides, needM: q * stride.normalM, q, word: strideWord(q, stride) }];
  });
  return { normalM: stride.normalM, evenCount, options, zeroIs: rule.zeroIs, call: callInWords(options, rule.zeroIs) };
}

/** The floor and the ceiling of the even count; its neighbours too where it is whole; never below none. */
function nearestCounts(evenCount: number): number[] {
  const nearest = Math.round(evenCount);
  const counts =
    Math.abs(evenCount - nearest) < WHOLE
      ? [nearest - 1, nearest, nearest + 1]
      : [Math.floor(evenCount), Math.ceil(evenCount)];
  return counts.some(count => count >= 0) ? counts.filter(count => count >= 0) : [0];
}

/** q for a count: the ground over what the count wants; null where no stride at all is not rated. */
function shareForCount(inStrides: number, strides: number, rule: DistanceRule): number | null {
  if (strides === 0) return rule.zeroStrides === null ? null : inStrides / rule.zeroStrides;
  return Math.max(0, neededShare(inStrides, strides, rule));
}

/**
 * The ground that a count wants of a horse at its normal stride, metres: the inverse of the reading at q = 1.
 * @param strides - a whole number, ≥ 0
 * @returns null for no stride at all where that is not rated
 * @throws {RangeError} a count that is not a whole number of strides
 */
export function groundForCountM(strides: number, distance: DistanceCase, normalM: number): number | null {
  if (!(Number.isInteger(strides) && strides >= 0)) throw new RangeError(`groundForCountM: strides ${strides}`);
  const rule = distanceRule(distance);
  if (strides === 0) return rule.zeroStrides === null ? null : rule.zeroStrides * normalM;
  return (rule.fixed + strides * rule.perStride) * normalM;
}

/**
 * The ground at which a count needs this share of the normal stride, metres: the inverse of q.
 * @throws {RangeError} a count that is not rated here, or a share that is negative or not finite
 */
export function groundAtShareM(strides: number, distance: DistanceCase, normalM: number, q: number): number {
  const evenM = groundForCountM(strides, distance, normalM);
  if (evenM === null || !(q >= 0 && q < Infinity)) throw new RangeError(`groundAtShareM(${strides}, q ${q})`);
  if (strides === 0 || !distanceRule(distance).keepsFixed) return q * evenM;
  return evenM + (q - 1) * strides * normalM;
}

/**
 * How likely a count is for this horse left to itself, 0 to 1. Kept apart from the reading, which is reckoned between
 * two frames while a fence is dragged.
 */
export function chanceOfCount(groundM: number, strides: number, distance: DistanceCase, stride: TestedStride): number {
  return countChance(groundM / stride.normalM, strides, distanceRule(distance), stride.spread ?? USUAL_SPREAD);
}

/** q of one asked count, for judging what was asked and not what lies nearest. */
export function readCount(
  groundM: number,
  strides: number,
  distance: DistanceCase,
  stride: TestedStride,
): { q: number; word: StrideWord } | null {
  const q = shareForCount(groundM / stride.normalM, strides, distanceRule(distance));
  return q === null ? null : { q, word: strideWord(q, stride) };
}
