import 'server-only';
import { cache } from 'react';
import { DatabaseRefused } from '@/data/databaseRefused';
import { lengthUnit } from '@/data/queries/settings';
import { findYard } from '@/data/queries/yards';
import { roan } from '@/data/roan';
import { entered } from './access/entered';
import type { Rule } from './access/rules';

/** A yard of the store, and the unit it reads in: for whoever was let into it, or has a link that names it. */
export const yardOf = cache(async (yardId: string) => {
  const { db, write } = await roan();
  const [yard, unit] = await Promise.all([findYard(db, yardId), lengthUnit(db, yardId)]);
  if (!yard) throw new DatabaseRefused('This yard is not here any more.');
  return { db, write, yard, unit };
});

/**
 * The database, the yard that whoever asks is in, the unit that yard reads in, and who asks.
 * @param rule - who may come here; a route or action has its own, and what names none is for instructors
 */
export async function yardContext(rule?: Rule) {
  const who = await entered(rule);
  return { ...(await yardOf(who.yardId)), who };
}
