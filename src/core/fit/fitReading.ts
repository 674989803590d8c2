import { isRidden, type RiddenItem } from '../items/item';
import { readCount } from '../stride/readDistance';
import type { StrideWord } from '../stride/strideWord';
import type { FitProblem } from './fitCost';
import { legAsRidden } from './legAsRidden';
import { movedLayout, type FitMove } from './pieces';

/** What a leg is for a horse in the count it is fitted for; null where that count is not rated, or the turn cannot be ridden. */
export type FitWord = StrideWord | null;

export type LegFit = {
  track: string;
  leg: number;
  from: string;
  to: string;
  strides: number;
  asked: boolean;
  horses: { horseId: string; horse: string; before: FitWord; after: FitWord }[];
};

/** What every leg is for every horse, before and after; and how many of all are quiet, easy or forward. */
export type FitReading = { legs: LegFit[]; all: number; rodeBefore: number; rideAfter: number };

const FINE: readonly FitWord[] = ['quiet', 'easy', 'forward'];

export function fitReading({ layout, pieces, legs, counts }: FitProblem, moves: readonly FitMove[]): FitReading {
  const [before, after] = [layout, movedLayout(layout, pieces, moves)].map(state => {
    const items = new Map(state.items.filter(isRidden).map(item => [item.id, item]));
    return (id: string): RiddenItem => items.get(id)!;
  });
  const read = legs.flatMap((leg, index): LegFit[] => {
    const strides = counts[index]!;
    if (strides === null) return [];
    const [was, is] = [before!, after!].map(itemOf => legAsRidden(layout, leg, itemOf));
    const horses = leg.horses.map(({ horse, stride, leastTurnM }) => {
      const [then, now] = [was!, is!].map(({ countedM, smallestRadiusM }): FitWord => {
        if (smallestRadiusM < leastTurnM - 1e-6) return null;
        return readCount(countedM, strides, leg.distance, stride)?.word ?? null;
      });
      return { horseId: horse.id, horse: horse.name, before: then!, after: now! };
    });
    const asked = leg.track.legs[leg.leg]!.asked !== null;
    return [{ ...{ track: leg.track.id, leg: leg.leg, from: leg.from, to: leg.to, strides, asked }, horses }];
  });
  const all = read.flatMap(({ horses }) => horses);
  const fine = (of: 'before' | 'after') => all.filter(horse => FINE.includes(horse[of])).length;
  return { legs: read, all: all.length, rodeBefore: fine('before'), rideAfter: fine('after') };
}
