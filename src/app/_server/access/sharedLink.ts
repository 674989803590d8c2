import 'server-only';
import { isToken } from '@/data/access/tokens';
import { findShareLink, seeShareLink, type ShareLink } from '@/data/queries/shareLinks';
import { openedYard } from '../yardContext';

/** A link is noted as read no more often than this. */
const SEEN_EVERY_MS = 5 * 60_000;

/** The link of this yard that a token stands for, noted as read; null for one that is not good, or never was. */
export async function sharedLink(token: string, nowMs: number): Promise<ShareLink | null> {
  const { db, write, yard } = await openedYard();
  const link = isToken(token) ? await findShareLink(db, token, nowMs) : null;
  if (link?.yardId !== yard.id) return null;
  if (nowMs - (link.lastUsedAtMs ?? 0) > SEEN_EVERY_MS) await write(tx => seeShareLink(tx, link.id, nowMs));
  return link;
}
