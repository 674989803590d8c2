import 'server-only';
import { AsyncLocalStorage } from 'node:async_hooks';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { AccessRefused } from './accessRefused';
import { byItsLink, may, type Rule } from './rules';
import { whoIsThere, type Who } from './whoIsThere';

const holder = globalThis as typeof globalThis & { roanRules?: AsyncLocalStorage<Rule> };
const rules = (holder.roanRules ??= new AsyncLocalStorage<Rule>());

/** Runs a route or an action under its rule: what it asks the yard for is looked at by it. */
export function underRule<Result>(rule: Rule, work: () => Promise<Result>): Promise<Result> {
  return rules.run(rule, work);
}

/**
 * Lets whoever asks in, by a rule: the one that is named, that of the route or action, or else the narrowest. Pages send who
 * may not come in to where they can; everything else is refused.
 * @throws {AccessRefused} nobody is signed in, or somebody who may not
 */
export async function entered(named?: Rule): Promise<Who> {
  const rule = named ?? rules.getStore() ?? may.instruct;
  // What is shown by a link has no yard of whoever asks: it opens the yard by itself.
  if (rule === byItsLink) throw new AccessRefused(401);
  const who = await whoIsThere();
  if (who && (who.open || rule.includes(who.role))) return who;
  const asked = await headers();
  // Told by the proxy, for pages alone; an action comes to a page's address and answers for itself.
  const page = asked.get('x-roan-page');
  if (page === null || asked.get('next-action') !== null || rules.getStore()) throw new AccessRefused(who ? 403 : 401);
  redirect(who ? '/mine' : `/sign-in?to=${encodeURIComponent(page)}`);
}
