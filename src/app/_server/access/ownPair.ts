import 'server-only';
import type { Pair } from '@/data/queries/pairs';
import type { Who } from './whoIsThere';

/** Whether somebody may read what belongs to a pair: a rider only their own. */
export function mayReadPair(who: Who, pair: Pick<Pair, 'riderId'>): boolean {
  return who.open || who.role !== 'rider' || pair.riderId === who.id;
}
