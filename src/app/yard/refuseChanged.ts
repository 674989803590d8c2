import { DatabaseRefused } from '@/data/databaseRefused';
import type { RoanDatabase } from '@/data/database';
import { isSaved } from '@/data/queries/saves';
import { SaveId } from '@/files/saveId';
import { z } from 'zod';

const Sent = z
  .object({ opened: z.string().max(100_000).nullable(), saveId: SaveId })
  .optional()
  .catch(undefined);

/**
 * Refuses a form where somebody else changed the same thing since it was opened, which nobody would see. A save whose answer was
 * lost is done already, and is no change of somebody else's.
 * @param now - the thing as it is now; undefined or null where something is added
 * @param name - what it is called
 * @returns the name of this save; undefined from a page of before an update
 * @throws {DatabaseRefused} where it was changed
 */
export async function refuseChanged(
  db: RoanDatabase,
  yardId: string,
  form: unknown,
  now: object | null | undefined,
  name: string,
): Promise<string | undefined> {
  const sent = Sent.parse(form);
  const isAsOpened = !sent || sent.opened === null || !now || canonical(sent.opened) === canonical(JSON.stringify(now));
  if (isAsOpened || (await isSaved(db, yardId, sent.saveId))) return sent?.saveId;
  throw new DatabaseRefused(
    `“${name}” was changed in another window since this was opened, and nothing was saved over it. What you typed is still here: note it, close this, and look at “${name}” as it is now.`,
  );
}

/** A thing as text, whatever order its parts were said in; what is no JSON is itself. */
function canonical(text: string): string {
  try {
    return JSON.stringify(JSON.parse(text), (_, value: unknown) =>
      typeof value === 'object' && value !== null && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
        : value,
    );
  } catch {
    return text;
  }
}
