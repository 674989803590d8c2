import { randomUUID } from 'node:crypto';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import { newToken, tokenHash } from '../access/tokens';
import type { RoanDatabase } from '../database';
import { layouts, lessons, people, shareLinks } from '../schema';
import type { Transaction } from '../database';

type Reader = Pick<RoanDatabase, 'select'>;
export const SHARE_KINDS = ['rider', 'lesson', 'layout', 'calendar'] as const;
export type ShareKind = (typeof SHARE_KINDS)[number];
export type ShareLink = {
  id: string;
  yardId: string;
  kind: ShareKind;
  subjectId: string;
  expiresAtMs: number | null;
  createdAtMs: number;
  lastUsedAtMs: number | null;
};

/** Common practice, no source: a link that was sent is forgotten about after three months. */
export const SHARE_DAYS = 90;
const DAY_MS = 24 * 3600 * 1000;

/** A link that shows something; its token is told once and kept as a hash. A feed is read on until it is revoked. */
export async function addShareLink(
  tx: Transaction,
  yardId: string,
  kind: ShareKind,
  subjectId: string,
  nowMs: number,
): Promise<{ id: string; token: string }> {
  if (!(await isOfYard(tx, yardId, kind, subjectId)))
    throw new DatabaseRefused('What the link would show is not in the yard any more.');
  const [id, token] = [randomUUID(), newToken()];
  const expiresAt = kind === 'calendar' ? null : new Date(nowMs + SHARE_DAYS * DAY_MS);
  await tx.insert(shareLinks).values({ id, yardId, kind, subjectId, tokenHash: tokenHash(token), expiresAt });
  return { id, token };
}

/** What a link shows is named without a reference: that it is of the yard is looked at. */
async function isOfYard(tx: Transaction, yardId: string, kind: ShareKind, subjectId: string): Promise<boolean> {
  if (kind === 'calendar') return subjectId === yardId;
  const table = { rider: people, lesson: lessons, layout: layouts }[kind];
  const [row] = await tx
    .select({ id: table.id })
    .from(table)
    .where(and(eq(table.yardId, yardId), eq(table.id, subjectId)));
  return row !== undefined;
}

type Row = typeof shareLinks.$inferSelect;

const asLink = ({ id, yardId, kind, subjectId, expiresAt, createdAt, lastUsedAt }: Row): ShareLink => ({
  ...{ id, yardId, kind, subjectId, createdAtMs: createdAt.getTime() },
  ...{ expiresAtMs: expiresAt?.getTime() ?? null, lastUsedAtMs: lastUsedAt?.getTime() ?? null },
});

const isGood = ({ expiresAt }: Row, nowMs: number) => expiresAt === null || expiresAt.getTime() > nowMs;

/** What a token shows, while its link is good; null for one that is revoked, too old, or never was. */
export async function findShareLink(db: Reader, token: string, nowMs: number): Promise<ShareLink | null> {
  const [row] = await db
    .select()
    .from(shareLinks)
    .where(and(eq(shareLinks.tokenHash, tokenHash(token)), isNull(shareLinks.revokedAt)));
  return row && isGood(row, nowMs) ? asLink(row) : null;
}

/** The links of a yard that are good, the newest first. */
export async function listShareLinks(db: Reader, yardId: string, nowMs: number): Promise<ShareLink[]> {
  const rows = await db
    .select()
    .from(shareLinks)
    .where(and(eq(shareLinks.yardId, yardId), isNull(shareLinks.revokedAt)))
    .orderBy(desc(shareLinks.createdAt));
  return rows.filter(row => isGood(row, nowMs)).map(asLink);
}

/** Nobody reads by it any more. */
export async function revokeShareLink(tx: Transaction, yardId: string, linkId: string, nowMs: number): Promise<void> {
  await tx
    .update(shareLinks)
    .set({ revokedAt: new Date(nowMs) })
    .where(and(eq(shareLinks.yardId, yardId), eq(shareLinks.id, linkId)));
}

/** Notes that a link was read. */
export async function seeShareLink(tx: Transaction, yardId: string, linkId: string, nowMs: number): Promise<void> {
  await tx
    .update(shareLinks)
    .set({ lastUsedAt: new Date(nowMs) })
    .where(and(eq(shareLinks.yardId, yardId), eq(shareLinks.id, linkId)));
}
