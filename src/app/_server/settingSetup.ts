import 'server-only';
import { applyEdits, MEASURE_BY, setStages, type Layout, type LayoutEdit, type PointM, type SettingWish } from '@/core';
import { present } from '@/data/present';
import { findLayout } from '@/data/queries/layouts';
import type { Layout as YardLayout } from '@/data/queries/layout';
import { madePlan } from '@/data/queries/layoutVersions';
import { listPeople } from '@/data/queries/people';
import { findStanding, type Standing } from '@/data/queries/standings';
import type { RoanDatabase } from '@/data/database';
import { standingEdits } from '@/files/standing';

/** Somebody whose step is known: how long, and how far the true one may be from that, as a share. */
export type Walker = { id: string; name: string; stepLengthM: number; stepShare: number };

/** Common practice, no source: how far somebody's step may be from a length that was only typed in. */
const TYPED_SHARE = 0.05;

/** Everybody whose own step is known. */
export async function walkersOf(db: RoanDatabase, yardId: string): Promise<Walker[]> {
  return present(await listPeople(db, yardId)).flatMap(({ id, name, stepLengthM, typedStepM, walked }) => {
    if (stepLengthM === null) return [];
    const stepShare = typedStepM === null && walked ? (walked.highM - walked.lowM) / 2 / walked.stepM : TYPED_SHARE;
    return [{ id, name, stepLengthM, stepShare: Math.min(0.5, stepShare) }];
  });
}

export type SettingSetup = {
  yardLayout: YardLayout;
  /** As drawn: its numbers are used at every stage. */
  whole: Layout;
  /** As planned for the stage that is set; as drawn where none is chosen. */
  layout: Layout;
  /** The stages that it can be set for, and which of them is; null as drawn. */
  stages: { key: string; name: string; isAsDrawn: boolean }[];
  stage: string | null;
  /** Where the kit comes from. */
  from: PointM;
  /** What really stands, where that is not as planned. */
  standing: { kept: Standing; layout: Layout } | null;
};

/** A layout of the yard with all that setting it needs; null where it is gone. */
export async function settingSetup(
  db: RoanDatabase,
  yardId: string,
  layoutId: string,
  stageKey: unknown = null,
): Promise<SettingSetup | null> {
  const yardLayout = await findLayout(db, yardId, layoutId);
  if (!yardLayout) return null;
  const resolved = await madePlan(db, yardId, yardLayout);
  const stages = setStages(resolved);
  const stage = stages.find(({ key }) => key === stageKey) ?? null;
  const layout = stage?.layout ?? resolved.layout;
  const kept = await findStanding(db, yardId, layoutId, yardLayout.revision);
  const { entrance } = yardLayout.arena.marks;
  return {
    yardLayout,
    ...{ whole: resolved.layout, layout, stage: stage?.key ?? null },
    stages: stages.map(({ key, name, isAsDrawn }) => ({ key, name, isAsDrawn })),
    from: entrance ?? { xM: layout.arena.widthM / 2, yM: 0 },
    standing: kept && { kept, layout: applyEdits(layout, editsHere(standingEdits(kept.standing), layout)) },
  };
}

/** What stands elsewhere at this stage: a piece that it leaves out stands nowhere. */
function editsHere(edits: readonly LayoutEdit[], { items }: Layout): LayoutEdit[] {
  return edits.filter(edit => !('item' in edit) || items.some(({ id }) => id === edit.item));
}

/** The way of measuring that an address or a request names. */
export function measureByOf(text: unknown): SettingWish['measureBy'] {
  return MEASURE_BY.find(by => by === text) ?? 'line';
}
