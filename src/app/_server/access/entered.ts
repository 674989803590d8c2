import 'server-only';
import { AsyncLocalStorage } from 'node:async_hooks';
import { redirect } from 'next/navigation';
import { AccessRefused } from './accessRefused';
import { askedHeaders } from './asking';
import { byItsLink, may, type Rule } from './rules';
import { whoIsThere, type Who } from './whoIsThere';

/** The rule of a route or an action, and who asks it: found once, however often the yard is asked for. */
type Entry = { rule: Rule; who: Promise<Who | null> | null };

const holder = globalThis as typeof globalThis & { roanEntries?: AsyncLocalStorage<Entry> };
const entries = (holder.roanEntries ??= new AsyncLocalStorage<Entry>());

/**
 * Runs a route or an action under its rule: whoever may not come is refused before it begins, and what it asks the yard for is
 * looked at by the same rule.
 * @throws {AccessRefused} nobody is signed in, or somebody who may not
 */
export function underRule<Result>(rule: Rule, work: () => Result | Promise<Result>): Promise<Result> {
  return entries.run({ rule, who: null }, async () => {
    if (rule !== byItsLink) await entered();
    return work();
  });
}

/**
 * Lets whoever asks in, by a rule: the one that is named, that of the route or action, or else the narrowest. Pages send who
 * may not come in to where they can; everything else is refused.
 * @throws {AccessRefused} nobody is signed in, or somebody who may not
 */
export async function entered(named?: Rule): Promise<Who> {
  const entry = entries.getStore();
  const rule = named ?? entry?.rule ?? may.instruct;
  // What is shown by a link has no yard of whoever asks: it opens the yard by itself.
  if (rule === byItsLink) throw new AccessRefused(401);
  const who = await (entry ? (entry.who ??= whoIsThere()) : whoIsThere());
  if (who && (who.open || rule.includes(who.role))) return who;
  const asked = await askedHeaders();
  // Told by the proxy, for pages alone; an action comes to a page's address and answers for itself.
  const page = asked.get('x-roan-page');
  if (page === null || asked.get('next-action') !== null || entry) throw new AccessRefused(who ? 403 : 401);
  redirect(who ? '/mine' : `/sign-in?to=${encodeURIComponent(page)}`);
}
