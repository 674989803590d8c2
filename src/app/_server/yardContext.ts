import 'server-only';
import { cache } from 'react';
import { lengthUnit } from '@/data/queries/settings';
import { currentYard } from '@/data/queries/yards';
import { roan } from '@/data/roan';
import { entered } from './access/entered';
import type { Rule } from './access/rules';

const opened = cache(async () => {
  const database = await roan();
  const yard = await currentYard(database);
  return { db: database.db, write: database.write, yard, unit: await lengthUnit(database.db, yard.id) };
});

/**
 * The database, the yard it belongs to, the unit that yard reads in, and who asks.
 * @param rule - who may come here; a route or action has its own, and what names none is for instructors
 */
export async function yardContext(rule?: Rule) {
  const who = await entered(rule);
  return { ...(await opened()), who };
}

/** The same for what is shown before anybody is let in: the page to sign in at, and what a link shows. */
export const openedYard = opened;
