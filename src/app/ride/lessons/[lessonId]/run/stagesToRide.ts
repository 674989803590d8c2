import 'server-only';
import {
  callSheet,
  headingFromFacing,
  layoutCautions,
  layoutLabels,
  nameWords,
  passWork,
  reckonLayout,
  usualCautions,
  type Layout,
  type LessonRecord,
  type PassWork,
  type ReckonedItemTrack,
} from '@/core';
import { yardContext } from '@/app/_server/yardContext';
import { findLayout, type Layout as YardLayout } from '@/data/queries/layouts';
import { worksOfVersions } from '@/data/queries/earlierWork';
import { keepStages } from '@/data/queries/layoutVersions';
import type { Lesson } from '@/data/queries/lessons';
import { versionsRidden } from '@/data/queries/passes';
import type { RunStage, RunTrack } from './runStage';

/**
 * The stages of a lesson as they stand today. Opening a lesson keeps what is ridden in it, so that its records have
 * something to hang on; the same state is kept once.
 */
export async function stagesToRide({ plan }: Lesson): Promise<RunStage[]> {
  const { db, write, yard } = await yardContext();
  const layoutIds = [...new Set(plan.stages.flatMap(({ layoutId }) => layoutId ?? []))];
  const layouts = (await Promise.all(layoutIds.map(id => findLayout(db, yard.id, id)))).filter(one => one !== null);
  const kept = new Map<string, string>();
  await write(async tx => {
    for (const layout of layouts) {
      const stages = plan.stages.filter(({ layoutId }) => layoutId === layout.id);
      const exercises = stages.map(({ exercise }) => exercise);
      const versionIds = await keepStages(tx, yard.id, layout, exercises);
      stages.forEach(({ id }, index) => kept.set(id, versionIds[index]!));
    }
  });
  const versions = await versionsRidden(db, yard.id, [...kept.values()]);
  return plan.stages.map(({ layoutId, exercise: _, ...own }) => {
    const layout = layouts.find(({ id }) => id === layoutId) ?? null;
    const version = versions.get(kept.get(own.id) ?? '') ?? null;
    return {
      ...own,
      ...{ layoutId: layout?.id ?? null, layoutName: layout?.name ?? null, versionId: version?.id ?? null },
      ride: version && layout ? rideOf(version.layout, layout) : null,
    };
  });
}

function rideOf(layout: Layout, { arena }: YardLayout): NonNullable<RunStage['ride']> {
  const tracks = reckonLayout(layout);
  return {
    layout,
    work: passWork(layout),
    track: trackOf(layout, tracks),
    figures: layout.tracks.flatMap(track =>
      track.kind === 'figures' ? track.figures.map(({ figure }) => figure.kind) : [],
    ),
    asDrawnHome: towardsHome(layout, arena.marks.homeFacingDeg),
    cautions: [...layoutCautions(layout, tracks).map(({ text }) => text), ...usualCautions(layout.items)],
  };
}

/** The first track over items, stop by stop. */
function trackOf(layout: Layout, tracks: ReturnType<typeof reckonLayout>): RunTrack | null {
  const track = layout.tracks.find(one => one.kind === 'items');
  const reckoned = tracks.find((one): one is ReckonedItemTrack => one.kind === 'items' && one.id === track?.id);
  if (track?.kind !== 'items' || !reckoned) return null;
  const itemOf = (id: string) => layout.items.find(item => item.id === id)!;
  return {
    id: track.id,
    gait: track.gait,
    reckoned,
    stops: track.through.map(({ item }) => ({
      item,
      words: nameWords(itemOf(item), layoutLabels(layout).short(item)),
      isFence: itemOf(item).kind === 'fence',
    })),
    legs: reckoned.legs.map((leg, index) => ({
      ...{ from: leg.from, to: leg.to, groundM: leg.groundM, asked: track.legs[index]!.asked },
      likely: likelyCount(leg.readings.map(({ evenCount }) => evenCount)),
      betweenPoles: [leg.from, leg.to].every(id => itemOf(id).kind === 'pole'),
      calls: leg.readings.map(({ horse, call }) => ({ horse, call })),
    })),
    calls: callSheet(layout, track, reckoned),
  };
}

function likelyCount(evenCounts: readonly number[]): number {
  if (evenCounts.length === 0) return 2;
  return Math.max(0, Math.round(evenCounts.reduce((sum, count) => sum + count, 0) / evenCounts.length));
}

/** Whether the first leg as drawn goes towards home; null where nobody has said which way home lies. */
function towardsHome(layout: Layout, homeFacingDeg: number | null): boolean | null {
  const track = layout.tracks.find(one => one.kind === 'items');
  const [from, to] = (track?.kind === 'items' ? track.through.slice(0, 2) : []).map(
    ({ item }) => layout.items.find(({ id }) => id === item)?.at,
  );
  if (homeFacingDeg === null || !from || !to) return null;
  const homeRad = headingFromFacing(homeFacingDeg);
  return (to.xM - from.xM) * Math.cos(homeRad) + (to.yM - from.yM) * Math.sin(homeRad) >= 0;
}

/** The work of one pass over every version that was or will be ridden. */
export async function worksOf(stages: readonly RunStage[], record: LessonRecord): Promise<Record<string, PassWork>> {
  const { db, yard } = await yardContext();
  return Object.fromEntries([
    ...(await worksOfVersions(db, yard.id, record.passes)),
    ...stages.flatMap(({ versionId, ride }) => (versionId && ride ? [[versionId, ride.work] as const] : [])),
  ]);
}
