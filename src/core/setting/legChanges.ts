import type { Item } from '../items/item';
import { layoutLabels } from '../layout/labels';
import type { Layout } from '../layout/layout';
import { countName } from '../stride/callInWords';
import type { StrideWord } from '../stride/strideWord';
import { reckonLayout } from '../layout/reckonLayout';
import type { HorseReading } from '../layout/reckonedLeg';

/** What another place of the pieces does to one leg: longer or shorter, and each horse's words before and after. */
export type LegChange = {
  track: string;
  leg: number;
  /** What its two ends are called. */
  from: string;
  to: string;
  groundM: number;
  /** How much longer it is now, metres; negative is shorter. */
  longerM: number;
  horses: { horse: string; before: string; after: string; changed: boolean }[];
};

/** Less than this is not worth saying of a distance, metres. */
const WORTH_SAYING_M = 0.01;

/**
 * The legs of a layout that are another length when its pieces stand elsewhere.
 * @throws {RangeError} pieces that stand on each other, so that there is nothing to ride between them
 */
export function changedLegs(layout: Layout, items: readonly Item[]): LegChange[] {
  const { inWords } = layoutLabels(layout);
  const planned = reckonLayout(layout);
  const standing = reckonLayout({ ...layout, items: [...items] });
  return planned.flatMap((track, index) => {
    const now = standing[index];
    if (track.kind !== 'items' || now?.kind !== 'items') return [];
    return track.legs.flatMap((leg, at) => {
      const longerM = now.legs[at]!.groundM - leg.groundM;
      const horses = leg.readings.flatMap((reading, horse) => {
        const after = now.legs[at]!.readings[horse];
        const [was, is] = [saidOf(reading), after ? saidOf(after) : null];
        return is === null ? [] : [{ horse: reading.horse, before: was, after: is, changed: was !== is }];
      });
      if (Math.abs(longerM) < WORTH_SAYING_M && !horses.some(({ changed }) => changed)) return [];
      const [from, to] = [inWords(leg.from), inWords(leg.to)];
      return [{ track: track.id, leg: at, from, to, groundM: now.legs[at]!.groundM, longerM, horses }];
    });
  });
}

const HARDNESS: Record<StrideWord, number> = {
  ...{ easy: 0, quiet: 1, forward: 1, short: 2, long: 2 },
  ...{ 'too tight': 3, 'too far': 3 },
};

/** How hard a distance is by its words: 0 easy to 3 out of reach; by the asked count, else by the easiest to be had. */
export function hardnessOf({ asked, options }: HorseReading): number {
  const words = asked ? [asked.word] : options.map(({ word }) => word);
  return words.length === 0 ? 0 : Math.min(...words.map(word => HARDNESS[word]));
}

/** The call; where a count is asked, that count and its word: "easy one, as asked". */
export function saidOf({ call, asked, zeroIs }: HorseReading): string {
  return asked ? `${asked.word} ${countName(asked.strides, zeroIs)}, as asked` : call;
}
