import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { keeperOf } from './kept/findings';
import type { Layout } from './layout';
import { findLayout } from './layouts';
import { versionAsItStands } from './layoutVersions';

/**
 * The version of a layout as it stands, which what is ridden over it hangs on: it is kept by whoever is about to ride it first. Mostly
 * nothing is written. It may be asked for while a page is made: whoever writes for pages keeps it.
 * @throws {DatabaseRefused} where the layout is gone, or nothing may be kept here
 */
export async function keptAsItStands(db: RoanDatabase, yardId: string, layout: Layout): Promise<string> {
  const before = await versionAsItStands(db, yardId, layout);
  if (before !== null) return before;
  await keeperOf(db)?.({ what: 'as it stands', yardId, layoutId: layout.id });
  // It may have been changed in the meantime: then it is kept as it is now.
  const now = await findLayout(db, yardId, layout.id);
  const kept = now && (await versionAsItStands(db, yardId, now));
  if (!kept) throw new DatabaseRefused('The layout of this lesson cannot be kept as it stands.');
  return kept;
}
