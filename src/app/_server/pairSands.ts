import 'server-only';
import { isShownPlace, placeClaims, sayLengths, type LengthUnit } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listArenas } from '@/data/queries/arenas';
import type { Pair } from '@/data/queries/pairs';
import { sandRecord } from '@/data/queries/sandRecord';
import type { PairSand } from '../review/_pair/sandCards';
import { yardClock } from './yardTime';

/** The sands that a pair rode on, the most ridden first: where it was, and where it has trouble that others do not have. */
export async function pairSands(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  pair: Pick<Pair, 'id' | 'horseName'>,
  unit: LengthUnit,
): Promise<PairSand[]> {
  const sands: (PairSand & { passes: number })[] = [];
  for (const today of await listArenas(db, yard.id)) {
    const clock = yardClock(yard.timeZone);
    const own = await sandRecord(db, yard.id, today, clock, undefined, pair.id);
    const ridden = own.places.filter(isShownPlace);
    if (ridden.length === 0) continue;
    const all = await sandRecord(db, yard.id, today, clock);
    const isOwn = all.places.filter(({ whose, pairId }) => whose === 'pair' && pairId === pair.id);
    const claims = placeClaims(isOwn, own.arena, () => pair.horseName);
    const standing = new Set(isOwn.map(({ at }) => `${at.xM} ${at.yM}`));
    sands.push({
      ...{ arenaId: today.id, arena: { ...today, ...own.arena, name: today.name }, spots: own.spots, unit },
      passes: own.passes,
      // Held against the others, not against its own rides: a ring where it alone has trouble.
      places: ridden.map(place => ({ ...place, standsOut: standing.has(`${place.at.xM} ${place.at.yM}`) })),
      claims: claims.map(claim => ({ ...claim, text: sayLengths(claim.text, unit) })),
    });
  }
  return sands.sort((a, b) => b.passes - a.passes);
}
