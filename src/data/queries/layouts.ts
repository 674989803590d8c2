import { randomUUID } from 'node:crypto';
import type { Plan } from '@/core';
import { writePlan } from '@/files/planPaper';
import { and, desc, eq } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { remembered } from '../remembered';
import { layouts } from '../schema';
import type { Transaction } from '../database';
import { findArena, listArenas, type NamedArena } from './arenas';
import { listHorses, type Horse } from './horses';
import { keepVersion, type VersionReason } from './layoutVersions';
import { isRowPlan, rowSpacingFor, storedPlan } from './storedPlan';
import type { Layout } from './layout';

type Reader = Pick<RoanDatabase, 'select'>;

/** Every layout of a yard, put-away ones among them, the latest changed first. */
export async function listLayouts(db: RoanDatabase, yardId: string): Promise<Layout[]> {
  const rows = await db
    .select()
    .from(layouts)
    .where(eq(layouts.yardId, yardId))
    .orderBy(desc(layouts.updatedAt), layouts.id);
  const arenas = new Map((await listArenas(db, yardId)).map(arena => [arena.id, arena]));
  const horses = await horsesFor(db, yardId, rows);
  return rows.map(row => layoutOf(row, arenas.get(row.arenaId), horses));
}

/** Only what lies by a horse's step asks for horses. */
async function horsesFor(db: Reader, yardId: string, rows: readonly { document: unknown }[]): Promise<Horse[]> {
  return rows.some(({ document }) => isRowPlan(document)) ? listHorses(db, yardId) : [];
}

export async function findLayout(db: Reader, yardId: string, layoutId: string): Promise<Layout | null> {
  const [row] = await db
    .select()
    .from(layouts)
    .where(and(eq(layouts.yardId, yardId), eq(layouts.id, layoutId)));
  if (!row) return null;
  const arena = await findArena(db, yardId, row.arenaId);
  return layoutOf(row, arena ?? undefined, await horsesFor(db, yardId, [row]));
}

/** The arena of a layout; null where the layout is gone. */
export async function arenaOfLayout(db: Reader, yardId: string, layoutId: string): Promise<NamedArena | null> {
  const [row] = await db
    .select({ arenaId: layouts.arenaId })
    .from(layouts)
    .where(and(eq(layouts.yardId, yardId), eq(layouts.id, layoutId)));
  return row ? findArena(db, yardId, row.arenaId) : null;
}

/** Whether a yard has a layout, archived or not. */
export async function isLayout(db: Reader, yardId: string, layoutId: string): Promise<boolean> {
  const rows = await db
    .select({ id: layouts.id })
    .from(layouts)
    .where(and(eq(layouts.yardId, yardId), eq(layouts.id, layoutId)));
  return rows.length > 0;
}

function layoutOf(row: typeof layouts.$inferSelect, arena: NamedArena | undefined, horses: readonly Horse[]): Layout {
  if (!arena) throw new DatabaseRefused(`The arena of the layout “${row.name}” is missing.`);
  const { id, name, revision, updatedAt, tags, archivedAt } = row;
  const plan = planOf(row, arena, horses);
  return { id, name, revision, updatedAt, tags, archived: archivedAt !== null, arena, plan };
}

/** Every page reads the same plans: as long as a layout was not saved, its plan is what was read out of it before. */
const read = remembered<Plan>(300);

function planOf(row: typeof layouts.$inferSelect, arena: NamedArena, horses: readonly Horse[]): Plan {
  if (isRowPlan(row.document)) return storedPlan(row.document, arena, rowSpacingFor(horses));
  const key = JSON.stringify([row.yardId, row.id, row.revision, row.updatedAt, arena]);
  const plan = read.recall(key) ?? storedPlan(row.document, arena, rowSpacingFor(horses));
  read.hold(key, plan);
  return plan;
}

export type NewLayout = { name: string; arenaId: string; plan: Plan; tags?: string[] };

export async function addLayout(tx: Transaction, yardId: string, layout: NewLayout): Promise<string> {
  const id = randomUUID();
  const { name, arenaId, plan, tags = [] } = layout;
  await tx.insert(layouts).values({ id, yardId, name, arenaId, document: writePlan(plan), tags });
  return id;
}

export type SaveOutcome =
  | { kind: 'saved'; revision: number }
  | { kind: 'missing' }
  /** Somebody saved in between: nothing was written, and theirs comes back. */
  | { kind: 'stale'; theirs: Layout };

/** After so long a layout is taken up anew: what it was before is kept as a version. */
const NEW_SITTING_MS = 30 * 60 * 1000;

/** Saves a layout that was edited from `baseRevision`; refuses to write over a newer one. */
export async function saveLayout(
  tx: Transaction,
  yardId: string,
  change: { layoutId: string; baseRevision: number; name: string; plan: Plan },
  nowMs: number,
): Promise<SaveOutcome> {
  const own = and(eq(layouts.yardId, yardId), eq(layouts.id, change.layoutId));
  const [before] = await tx
    .select({ revision: layouts.revision, updatedAt: layouts.updatedAt })
    .from(layouts)
    .where(own);
  if (!before) return { kind: 'missing' };
  const theirs = async () => (await findLayout(tx, yardId, change.layoutId))!;
  if (before.revision !== change.baseRevision) return { kind: 'stale', theirs: await theirs() };
  if (nowMs - before.updatedAt.getTime() > NEW_SITTING_MS)
    await keepVersion(tx, yardId, await theirs(), 'before-change');
  const revision = before.revision + 1;
  await tx
    .update(layouts)
    .set({ name: change.name, document: writePlan(change.plan), revision, updatedAt: new Date(nowMs) })
    .where(own);
  return { kind: 'saved', revision };
}

/** The words a layout is found by. */
export async function tagLayout(tx: Transaction, yardId: string, layoutId: string, tags: string[]): Promise<void> {
  await tx
    .update(layouts)
    .set({ tags })
    .where(and(eq(layouts.yardId, yardId), eq(layouts.id, layoutId)));
}

/** Keeps the layout as it stands, for records to hang on. Returns the version's id, or null where it is gone. */
export async function freezeLayout(
  tx: Transaction,
  yardId: string,
  layoutId: string,
  reason: VersionReason = 'ridden',
): Promise<string | null> {
  const layout = await findLayout(tx, yardId, layoutId);
  return layout && keepVersion(tx, yardId, layout, reason);
}
