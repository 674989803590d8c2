import 'server-only';
import {
  applyEdits,
  MEASURE_BY,
  settingSheet,
  type Layout,
  type PointM,
  type SettingSheet,
  type SettingWish,
} from '@/core';
import { present } from '@/data/present';
import { findLayout, type Layout as YardLayout } from '@/data/queries/layouts';
import { madeLayout } from '@/data/queries/layoutVersions';
import { listPeople } from '@/data/queries/people';
import { findStanding, type Standing } from '@/data/queries/standings';
import type { RoanDatabase } from '@/data/openDatabase';
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
  /** As planned. */
  layout: Layout;
  /** Where the kit comes from. */
  from: PointM;
  /** What really stands, where that is not as planned. */
  standing: { kept: Standing; layout: Layout } | null;
};

/** A layout of the yard with all that setting it needs; null where it is gone. */
export async function settingSetup(db: RoanDatabase, yardId: string, layoutId: string): Promise<SettingSetup | null> {
  const yardLayout = await findLayout(db, yardId, layoutId);
  if (!yardLayout) return null;
  const layout = await madeLayout(db, yardId, yardLayout);
  const kept = await findStanding(db, yardId, layoutId, yardLayout.revision);
  const { entrance } = yardLayout.arena.marks;
  return {
    yardLayout,
    layout,
    from: entrance ?? { xM: layout.arena.widthM / 2, yM: 0 },
    standing: kept && { kept, layout: applyEdits(layout, standingEdits(kept.standing)) },
  };
}

/** The way of measuring that an address or a request names. */
export function measureByOf(text: unknown): SettingWish['measureBy'] {
  return MEASURE_BY.find(by => by === text) ?? 'line';
}

export function sheetOf({ layout, from }: SettingSetup, measureBy: SettingWish['measureBy']): SettingSheet {
  return settingSheet(layout, { measureBy, from });
}
