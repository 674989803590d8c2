import { createHash, randomUUID } from 'node:crypto';
import {
  applyEdits,
  layOutPoleRow,
  headingFromFacing,
  resolvePlan,
  type Arena,
  type Layout as CoreLayout,
  type Plan,
  type ResolvedPlan,
} from '@/core';
import { readLayout, writeLayout } from '@/files/layoutFile';
import { writePlan } from '@/files/planPaper';
import { FrozenRows, RowPlanOnPaper } from '@/files/rowPlan';
import { standingEdits } from '@/files/standing';
import { and, desc, eq, inArray } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { remembered } from '../remembered';
import { layoutVersions } from '../schema';
import type { Transaction } from '../database';
import { listHorses } from './horses';
import { kitCounts, planGround } from './planGround';
import { listKit } from './kit';
import type { Layout } from './layout';
import { findStanding } from './standings';
import { yardRules } from './settings';
import { storedPlan } from './storedPlan';

export type VersionReason = 'ridden' | 'kept' | 'before-change';

/** A layout as it was on a day: the plan, and the layout that arena and horses made of it then. */
export type LayoutVersion = {
  id: string;
  layoutId: string;
  name: string;
  revision: number;
  reason: VersionReason;
  createdAtMs: number;
  plan: Plan;
  layout: CoreLayout;
};

/** What the plan of a layout comes to today. */
export async function madeLayout(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layout: Layout,
): Promise<CoreLayout> {
  return (await madePlan(db, yardId, layout)).layout;
}

/** The same with the exercises that it is made of. */
export async function madePlan(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  { name, arena, plan }: Layout,
): Promise<ResolvedPlan> {
  const horses = await listHorses(db, yardId);
  const kit = kitCounts(await listKit(db, yardId));
  const rules = await yardRules(db, yardId);
  return resolvePlan(plan, planGround(name, arena, horses, kit, rules));
}

/** What a plan comes to today, with its pieces where they really stand. */
export async function standingLayout(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layout: Layout,
): Promise<CoreLayout> {
  const made = await madeLayout(db, yardId, layout);
  const found = await findStanding(db, yardId, layout.id, layout.revision);
  return found ? applyEdits(made, standingEdits(found.standing)) : made;
}

/**
 * Keeps a layout; the same state is kept once. What is ridden is kept as it really stands on the sand, everything else as
 * planned. Returns the version's id.
 */
export async function keepVersion(
  tx: Transaction,
  yardId: string,
  layout: Layout,
  reason: VersionReason,
): Promise<string> {
  const make = reason === 'ridden' ? standingLayout : madeLayout;
  return keepMade(tx, yardId, layout, await make(tx, yardId, layout), reason);
}

/** What a layout comes to as it really stands, where that is kept already: nothing is written. */
export async function versionAsItStands(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layout: Layout,
): Promise<string | null> {
  return keptAlready(db, layout, asKept(layout, await standingLayout(db, yardId, layout)).fingerprint);
}

/** A layout as a version has it, and what tells it from any other state. */
function asKept(layout: Layout, made: CoreLayout) {
  const frozen = { layout: writeLayout(made) };
  const document = writePlan(layout.plan);
  const fingerprint = createHash('sha256')
    .update(JSON.stringify({ name: layout.name, document, frozen }))
    .digest('hex');
  return { frozen, document, fingerprint };
}

async function keptAlready(
  db: Pick<RoanDatabase, 'select'>,
  { id }: Layout,
  fingerprint: string,
): Promise<string | null> {
  const [row] = await db
    .select({ id: layoutVersions.id })
    .from(layoutVersions)
    .where(and(eq(layoutVersions.layoutId, id), eq(layoutVersions.fingerprint, fingerprint)));
  return row?.id ?? null;
}

async function keepMade(
  tx: Transaction,
  yardId: string,
  layout: Layout,
  made: CoreLayout,
  reason: VersionReason,
): Promise<string> {
  const { frozen, document, fingerprint } = asKept(layout, made);
  const already = await keptAlready(tx, layout, fingerprint);
  if (already !== null) return already;
  const id = randomUUID();
  const { name, revision } = layout;
  await tx
    .insert(layoutVersions)
    .values({ id, yardId, layoutId: layout.id, revision, fingerprint, name, reason, document, frozen });
  return id;
}

export type KeptVersions = ReadonlyMap<string, LayoutVersion>;

/** A version never changes, and every tap of a pass asks for its own: what was read once holds as long as Roan runs. */
const known = remembered<LayoutVersion>(1000);

/** Layout versions by their ids. */
export async function versionsById(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  versionIds: readonly string[],
): Promise<Map<string, LayoutVersion>> {
  return known.each(yardId, versionIds, async missing => {
    const rows = await db
      .select()
      .from(layoutVersions)
      .where(and(eq(layoutVersions.yardId, yardId), inArray(layoutVersions.id, missing)));
    return rows.map(row => [row.id, asVersion(row)] as const);
  });
}

export async function findVersion(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  versionId: string,
): Promise<LayoutVersion | null> {
  return (await versionsById(db, yardId, [versionId])).get(versionId) ?? null;
}

/** The versions that were kept of a layout, the latest first. */
export async function listVersions(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layoutId: string,
): Promise<LayoutVersion[]> {
  const rows = await db
    .select()
    .from(layoutVersions)
    .where(and(eq(layoutVersions.yardId, yardId), eq(layoutVersions.layoutId, layoutId)))
    .orderBy(desc(layoutVersions.createdAt), desc(layoutVersions.revision));
  return rows.map(asVersion);
}

export function asVersion(row: typeof layoutVersions.$inferSelect): LayoutVersion {
  const { id, layoutId, name, revision, reason } = row;
  const layout = frozenLayout(row);
  const frozen = FrozenRows.safeParse(row.frozen);
  const plan = storedPlan(
    row.document,
    layout.arena,
    old => (frozen.success ? frozen.data.rows[old.id]?.spacingM : 0) ?? 1,
  );
  return { id, layoutId, name, revision, reason, createdAtMs: row.createdAt.getTime(), plan, layout };
}

function frozenLayout({ name, document, frozen }: typeof layoutVersions.$inferSelect): CoreLayout {
  const { layout } = frozen as { layout?: unknown };
  if (layout === undefined) return frozenRow(name, document, frozen);
  const read = readLayout(layout);
  if (!read.ok) throw new DatabaseRefused(`The kept version of “${name}” cannot be read: ${read.reason}`);
  return read.layout;
}

/** A version from when a layout was one row of poles. */
function frozenRow(name: string, document: unknown, frozen: unknown): CoreLayout {
  const rows = RowPlanOnPaper.safeParse(document);
  const state = FrozenRows.safeParse(frozen);
  const row = rows.success ? rows.data.rows[0] : undefined;
  const spacingM = state.success && row ? state.data.rows[row.id]?.spacingM : undefined;
  if (!row || spacingM === undefined) throw new DatabaseRefused(`The kept version of “${name}” cannot be read.`);
  const { at, facingDeg, ...rest } = row;
  const poles = layOutPoleRow({ ...rest, centre: at, headingRad: headingFromFacing(facingDeg) }, spacingM);
  const leg = { track: 'natural', setting: 'poles', approach: 'canter', asked: null, circle: null } as const;
  return {
    ...{ name, arena: (frozen as { arena: Arena }).arena, fall: null, school: 'whole-stride', horses: [], kit: null },
    items: poles,
    tracks: [
      {
        ...{ kind: 'items', id: 'row', name: null, gait: row.gait, course: null, passes: 1 },
        through: poles.map(({ id }) => ({ item: id, reversed: false })),
        legs: poles.slice(1).map(() => leg),
      },
    ],
  };
}
