import type { Fence } from '../items/item';
import type { DistanceCase } from '../stride/distanceRule';
import { groundAtShareM, readDistance } from '../stride/readDistance';
import type { School } from '../stride/school';
import type { StrideRange } from './strideEntry';

export type CountRange = {
  strides: number;
  /** The ground at which the count is as short as the horse goes, even from and to, normal, and as long as it goes. */
  shortestM: number;
  easyFromM: number;
  evenM: number;
  easyToM: number;
  longestM: number;
};

export type CommonDistance = { groundM: number; call: string };

export type DistanceCard = { school: School; counts: CountRange[]; common: CommonDistance[] };

const MOST_STRIDES = 6;
const EASY = { from: 0.97, to: 1.03 };

/** A vertical of 0.8 m: what a card is written for. */
const CARD_FENCE: Fence = {
  ...{
    kind: 'fence',
    id: 'card',
    name: null,
    form: 'vertical',
    at: { xM: 0, yM: 0 },
    headingRad: 0,
    widthM: 3,
    heightM: 0.8,
  },
  ...{ spreadM: 0, ridden: 'both-ways', filler: false, groundLineBeforeM: null, sideHeightM: null, corner: null },
};

/**
 * One horse's distances between low fences on a page: for each count from none to six the ground from its shortest to
 * its longest, and what it makes of distances that are often set.
 * @param groundsM - the common distances, metres
 */
export function distanceCard(stride: StrideRange, school: School, groundsM: readonly number[]): DistanceCard {
  const distance: DistanceCase = { school, setting: 'course', approach: 'canter', from: CARD_FENCE, to: CARD_FENCE };
  const at = (strides: number, q: number) => groundAtShareM(strides, distance, stride.normalM, q);
  const counts = Array.from({ length: MOST_STRIDES + 1 }, (_, strides) => ({
    strides,
    shortestM: at(strides, stride.shortM / stride.normalM),
    easyFromM: at(strides, EASY.from),
    evenM: at(strides, 1),
    easyToM: at(strides, EASY.to),
    longestM: at(strides, stride.longM / stride.normalM),
  }));
  return {
    school,
    counts,
    common: groundsM.map(groundM => ({ groundM, call: readDistance(groundM, distance, stride).call })),
  };
}
