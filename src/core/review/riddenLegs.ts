import type { Rein } from '../track/rein';
import { isVoid, lineRidden, passFaults } from '../record/passJudged';
import { standingMarks } from '../record/passMark';
import type { PassRecord } from '../record/passRecord';
import type { Share } from '../statistics/proportions';
import { countsInOrder, countsRidden, type RiddenCounts } from './layoutReview';
import { daysOf } from './byDay';
import { countsOf } from './countReview';
import { grouped, type DayPass } from './reviewPass';

/** A leg between two things, how far it lay, and the counts that a pair rode in it. */
export type RiddenLegCounts = { fromId: string; toId: string; groundM: number; pairId: string; counts: RiddenCounts };

/** What was counted in the legs of a layout, by what they go from and to, however it was set, pair by pair. */
export function riddenLegs(passes: readonly DayPass[]): RiddenLegCounts[] {
  const counted = daysOf(passes).flatMap(countsOf);
  const legs = grouped(counted, ({ pass, place }) => `${pass.layoutVersionId} ${pass.key} ${pass.pairId} ${place}`);
  return [...legs.values()].flatMap(own => {
    const { pass, place } = own[0]!;
    const { ground, pairId } = pass;
    const [from, to] = [ground.stops[place - 1], ground.stops[place]];
    const { groundM } = ground.legs[place - 1]!;
    const counts = countsInOrder(timesTogether(own.map(one => one.counts)));
    return from && to ? [{ fromId: from.id, toId: to.id, groundM, pairId, counts }] : [];
  });
}

function timesTogether(all: readonly ReadonlyMap<number, number>[]): Map<number, number> {
  const sums = new Map<number, number>();
  for (const counts of all) for (const [count, times] of counts) sums.set(count, (sums.get(count) ?? 0) + times);
  return sums;
}

/** What some passes come to as pictures: the counts of each leg, and how much went clean on each rein. */
export type RiddenShown = {
  legs: { key: string; name: string; asked: number | null; counts: RiddenCounts }[];
  clean: Record<Rein, Share>;
};

type Leg = { from: string; to: string; asked: number | null };

/**
 * Passes of a lesson as they are shown to whoever rode or taught them; those that do not count, and lines by themselves, are
 * left out.
 * @param legsOf - the legs of what a pass was ridden over, as they are called
 */
export function riddenShown(passes: readonly PassRecord[], legsOf: (pass: PassRecord) => readonly Leg[]): RiddenShown {
  const counted = passes
    .filter(pass => !isVoid(pass) && lineRidden(pass) === null)
    .map(pass => ({ ...pass, marks: standingMarks(pass.marks) }));
  const legs = new Map<string, { leg: Leg; counts: Map<number, number> }>();
  for (const pass of counted)
    for (const [index, leg] of legsOf(pass).entries())
      for (const [count, times] of countsRidden([pass], index + 1)) {
        const key = `${leg.from} ${leg.to} ${leg.asked ?? ''}`;
        const own = legs.get(key) ?? { leg, counts: new Map<number, number>() };
        own.counts.set(count, (own.counts.get(count) ?? 0) + times);
        legs.set(key, own);
      }
  const cleanOn = (rein: Rein): Share => {
    const own = counted.filter(pass => pass.rein === rein);
    return { of: own.length, hits: own.filter(pass => passFaults(pass).length === 0).length };
  };
  return {
    legs: [...legs].map(([key, { leg, counts }]) => ({
      ...{ key, name: `${leg.from} to ${leg.to}${leg.asked === null ? '' : `, ${leg.asked} asked`}`, asked: leg.asked },
      counts: countsInOrder(counts),
    })),
    clean: { left: cleanOn('left'), right: cleanOn('right') },
  };
}
