import { createHash, randomUUID } from 'node:crypto';
import { rowSpacing, type Arena } from '@/core';
import { readPlan, writePlan, type PlanDocument } from '@/files/planDocument';
import { and, desc, eq } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../openDatabase';
import { layouts, layoutVersions } from '../schema';
import type { Transaction } from '../writeQueue';
import { findArena, type NamedArena } from './arenas';
import { findHorse } from './horses';

export type Layout = {
  id: string;
  name: string;
  revision: number;
  plan: PlanDocument;
  arena: NamedArena;
  updatedAt: Date;
};

export async function listLayouts(db: RoanDatabase, yardId: string): Promise<Layout[]> {
  const rows = await db
    .select({ id: layouts.id })
    .from(layouts)
    .where(eq(layouts.yardId, yardId))
    .orderBy(desc(layouts.updatedAt), layouts.id);
  const found = await Promise.all(rows.map(row => findLayout(db, yardId, row.id)));
  return found.filter(layout => layout !== null);
}

export async function findLayout(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layoutId: string,
): Promise<Layout | null> {
  const [row] = await db
    .select()
    .from(layouts)
    .where(and(eq(layouts.yardId, yardId), eq(layouts.id, layoutId)));
  if (!row) return null;
  const arena = await findArena(db, yardId, row.arenaId);
  if (!arena) throw new DatabaseRefused(`The arena of the layout “${row.name}” is missing.`);
  const { id, name, revision, updatedAt } = row;
  return { id, name, revision, updatedAt, arena, plan: storedPlan(row.document) };
}

/** What was stored was parsed before it went in: a fault here is a fault of the file. */
function storedPlan(document: unknown): PlanDocument {
  const read = readPlan(document);
  if (!read.ok) throw new DatabaseRefused(read.reason);
  return read.plan;
}

export async function addLayout(
  tx: Transaction,
  yardId: string,
  layout: { name: string; arenaId: string; plan: PlanDocument },
): Promise<string> {
  const id = randomUUID();
  const { name, arenaId, plan } = layout;
  await tx.insert(layouts).values({ id, yardId, name, arenaId, document: writePlan(plan) });
  return id;
}

export type SaveOutcome =
  | { kind: 'saved'; revision: number }
  | { kind: 'missing' }
  /** Somebody saved in between: nothing was written, and theirs comes back. */
  | { kind: 'stale'; theirs: Layout };

/** Saves a layout that was edited from `baseRevision`; refuses to write over a newer one. */
export async function saveLayout(
  tx: Transaction,
  yardId: string,
  change: { layoutId: string; baseRevision: number; name: string; plan: PlanDocument },
): Promise<SaveOutcome> {
  const theirs = await findLayout(tx, yardId, change.layoutId);
  if (!theirs) return { kind: 'missing' };
  if (theirs.revision !== change.baseRevision) return { kind: 'stale', theirs };
  const revision = theirs.revision + 1;
  await tx
    .update(layouts)
    .set({ name: change.name, document: writePlan(change.plan), revision, updatedAt: new Date() })
    .where(and(eq(layouts.yardId, yardId), eq(layouts.id, change.layoutId)));
  return { kind: 'saved', revision };
}

/** What the arena and the horses made of a plan on the day it was ridden. */
export type FrozenLayout = { arena: Arena; rows: Record<string, { spacingM: number; horseName: string }> };

export type LayoutVersion = {
  id: string;
  layoutId: string;
  name: string;
  revision: number;
  plan: PlanDocument;
  frozen: FrozenLayout;
};

/** Keeps the layout as it stands, for records to hang on; the same state is kept once. Returns the version's id. */
export async function freezeLayout(tx: Transaction, yardId: string, layoutId: string): Promise<string | null> {
  const layout = await findLayout(tx, yardId, layoutId);
  if (!layout) return null;
  const frozen = await frozenState(tx, yardId, layout);
  const document = writePlan(layout.plan);
  const fingerprint = createHash('sha256')
    .update(JSON.stringify({ name: layout.name, document, frozen }))
    .digest('hex');
  const already = await tx
    .select({ id: layoutVersions.id })
    .from(layoutVersions)
    .where(and(eq(layoutVersions.layoutId, layoutId), eq(layoutVersions.fingerprint, fingerprint)));
  if (already[0]) return already[0].id;
  const id = randomUUID();
  const { name, revision } = layout;
  await tx.insert(layoutVersions).values({ id, yardId, layoutId, revision, fingerprint, name, document, frozen });
  return id;
}

async function frozenState(tx: Transaction, yardId: string, { arena, plan }: Layout): Promise<FrozenLayout> {
  const rows: FrozenLayout['rows'] = {};
  for (const row of plan.rows) {
    const horse = await findHorse(tx, yardId, row.horseId);
    if (!horse) throw new DatabaseRefused('The horse this layout is set for is missing.');
    rows[row.id] = { spacingM: rowSpacing(row, horse).spacingM, horseName: horse.name };
  }
  const { widthM, lengthM, letters } = arena;
  return { arena: { widthM, lengthM, letters }, rows };
}

export async function findVersion(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  versionId: string,
): Promise<LayoutVersion | null> {
  const [row] = await db
    .select()
    .from(layoutVersions)
    .where(and(eq(layoutVersions.yardId, yardId), eq(layoutVersions.id, versionId)));
  return row ? asVersion(row) : null;
}

export function asVersion(row: typeof layoutVersions.$inferSelect): LayoutVersion {
  const { id, layoutId, name, revision } = row;
  return { id, layoutId, name, revision, plan: storedPlan(row.document), frozen: row.frozen as FrozenLayout };
}
