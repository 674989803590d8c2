import 'server-only';
import { isToken } from '@/data/access/tokens';
import { keeperOf } from '@/data/queries/kept/findings';
import { findShareLink, type ShareLink } from '@/data/queries/shareLinks';
import { yardOf } from '../yardContext';
import { roan } from '@/data/roan';

/** A link is noted as read no more often than this. */
const SEEN_EVERY_MS = 5 * 60_000;

/** The link that a token stands for, noted as read, with the yard that it is of; null for one that is not good, or never was. */
export async function sharedLink(token: string, nowMs: number) {
  const { db } = await roan();
  const link: ShareLink | null = isToken(token) ? await findShareLink(db, token, nowMs) : null;
  if (!link) return null;
  if (nowMs - (link.lastUsedAtMs ?? 0) > SEEN_EVERY_MS)
    await keeperOf(db)?.({ what: 'link read', yardId: link.yardId, linkId: link.id, atMs: nowMs }).catch(
      () => undefined,
    );
  return { link, ...(await yardOf(link.yardId)) };
}
