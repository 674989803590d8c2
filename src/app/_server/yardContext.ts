import 'server-only';
import { sayGaits, sayLengths } from '@/core';
import { cache } from 'react';
import { DatabaseRefused } from '@/data/databaseRefused';
import { lengthUnit, yardRules } from '@/data/queries/settings';
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

/** What a yard calls the gaits. */
export const yardGaitWords = cache(async (yardId: string) => {
  const { db } = await roan();
  return (await yardRules(db, yardId)).gaitWords;
});

/** How a yard says a sentence of Roan's: in its unit, with its words for the gaits. For what is not shown on a page. */
export const yardSay = cache(async (yardId: string) => {
  const [{ unit }, words] = await Promise.all([yardOf(yardId), yardGaitWords(yardId)]);
  return (sentence: string) => sayGaits(sayLengths(sentence, unit), words);
});

/**
 * The database, the yard that whoever asks is in, the unit that yard reads in, and who asks.
 * @param rule - who may come here; a route or action has its own, and what names none is for instructors
 */
export async function yardContext(rule?: Rule) {
  const who = await entered(rule);
  return { ...(await yardOf(who.yardId)), who };
}
