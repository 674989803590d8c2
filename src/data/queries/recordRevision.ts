import { randomUUID } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import { oneForAll } from '../oneForAll';
import type { RoanDatabase } from '../database';
import { settings } from '../schema';
import type { Transaction } from '../database';

const KEY = 'recordRevision';
/** A revision has so many characters. */
const LENGTH = 36;

/** Another one after every change of the record, whichever copy of Roan made it: what was reckoned from it holds until then. */
export async function recordRevision(db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<string> {
  const [row] = await db
    .select({ value: settings.value })
    .from(settings)
    .where(and(eq(settings.yardId, yardId), eq(settings.key, KEY)));
  return revisionOf(row?.value);
}

/** It is kept with the one before it behind it; by a Roan of before alone. */
function revisionOf(value: unknown): string {
  return typeof value === 'string' ? value.slice(0, LENGTH) : '';
}

type Change = { from: string; to: string; passIds: readonly string[] };

/** What this copy of Roan changed lately: from which revision to which, and in which passes. Routes say it, and pages ask. */
const changes = oneForAll('changes of the record', (): Change[] => []);
const MOST_CHANGES = 500;

/** Says within a transaction that the record is another one now, since these passes changed. */
export async function newRecordRevision(tx: Transaction, yardId: string, passIds: readonly string[]): Promise<void> {
  const to = randomUUID();
  // One statement says both, since every tap asks.
  const [row] = await tx
    .insert(settings)
    .values({ yardId, key: KEY, value: to })
    .onConflictDoUpdate({
      target: [settings.yardId, settings.key],
      set: { value: sql`json_quote(${to} || ' ' || substr(${settings.value} ->> '$', 1, ${LENGTH}))` },
    })
    .returning({ value: settings.value });
  const from = String(row!.value).slice(LENGTH + 1);
  // Where the transaction fails nobody ever asks for this revision.
  changes.push({ from, to, passIds });
  if (changes.length > MOST_CHANGES) changes.shift();
}

/** The passes that changed from one revision to another; null where this copy of Roan does not know all of them. */
export function passesChanged(from: string, to: string): string[] | null {
  const ids = new Set<string>();
  let at = to;
  for (let index = changes.length - 1; index >= 0 && at !== from; index -= 1) {
    const change = changes[index]!;
    if (change.to !== at) continue;
    for (const id of change.passIds) ids.add(id);
    at = change.from;
  }
  return at === from ? [...ids] : null;
}
