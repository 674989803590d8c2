'use client';

import { LegCounts } from '@/components/pictures/LegCounts';
import { countsInOrder, type ItemTrack, type RiddenLegCounts } from '@/core';
import { Text } from '@mantine/core';
import classes from './Reading.module.css';

/** What a horse was counted in over a leg of this layout. */
export type RiddenLegOfHorse = Omit<RiddenLegCounts, 'pairId'> & { horse: string };

/** Set within this of how it lies now, it was the same leg, metres. */
const SAME_M = 0.1;

type LegCountsHereProps = {
  track: ItemTrack;
  leg: number;
  groundM: number;
  riddenLegs: readonly RiddenLegOfHorse[];
};

/** How the leg was ridden as far as it lies now, horse by horse; nothing where nobody counted in it. */
export function LegCountsHere({ track, leg, groundM, riddenLegs }: LegCountsHereProps) {
  const ends = [track.through[leg]?.item, track.through[leg + 1]?.item];
  const same = riddenLegs.filter(
    one =>
      Math.abs(one.groundM - groundM) <= SAME_M &&
      ((one.fromId === ends[0] && one.toId === ends[1]) || (one.fromId === ends[1] && one.toId === ends[0])),
  );
  if (same.length === 0) return null;
  return (
    <section aria-label="Ridden here" className={classes.asRidden}>
      <Text size="sm" fw={600}>
        Ridden here, as it lies now
      </Text>
      <LegCounts
        legs={[...byHorse(same)].map(([horse, counts]) => ({
          ...{ key: horse, name: horse, asked: null, predicted: null },
          counts: countsInOrder(counts),
        }))}
        label="Strides counted in this leg"
      />
    </section>
  );
}

function byHorse(legs: readonly RiddenLegOfHorse[]): Map<string, Map<number, number>> {
  const found = new Map<string, Map<number, number>>();
  for (const { horse, counts } of legs) {
    const own = found.get(horse) ?? new Map<number, number>();
    for (const { count, times } of counts) own.set(count, (own.get(count) ?? 0) + times);
    found.set(horse, own);
  }
  return found;
}
