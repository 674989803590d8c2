import 'server-only';
import { pairSummary, passWork, workCounts, type Layout, type LessonRecord, type ToldStage } from '@/core';
import type { RoanDatabase } from '@/data/openDatabase';
import { findArena } from '@/data/queries/arenas';
import { lessonRecord, type Lesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { yardRules } from '@/data/queries/settings';
import { versionsRidden } from '@/data/queries/passes';
import type { LessonSheet } from '@/files/pdf/lessonPdf';
import { yardTime } from './yardTime';

/** A lesson as its sheet tells it, with the ids of its pairs. */
export async function lessonSheet(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  lesson: Lesson,
): Promise<LessonSheet & { pairIds: string[] }> {
  const record = await lessonRecord(db, yard.id, lesson);
  const { gate } = await yardRules(db, yard.id);
  const arena = await findArena(db, yard.id, lesson.arenaId);
  const layouts = await layoutsRidden(db, yard.id, record);
  const works = new Map([...layouts].map(([id, layout]) => [id, passWork(layout)]));
  const pairs = (await listPairs(db, yard.id)).filter(({ id }) => lesson.plan.pairIds.includes(id));
  const stages = lesson.plan.stages.map(({ name }) => toldStage(name, record, layouts));
  const lastMs = Math.max(lesson.startsAtMs, ...record.passes.map(({ riddenAtMs }) => riddenAtMs));
  return {
    name: lesson.name,
    when: `${yardTime(lesson.startsAtMs, yard.timeZone, 'dddd D MMMM YYYY, HH:mm')}. ${arena?.name ?? ''}`,
    stages: lesson.plan.stages.map(({ name, focus, seat, eachRein, minutes }) => ({
      name,
      line: [focus, seat, eachRein > 0 ? `${eachRein} times on each rein` : '', `${minutes} min`]
        .filter(Boolean)
        .join('; '),
    })),
    pairIds: pairs.map(({ id }) => id),
    pairs: pairs.map(({ id, horseName, riderName }) => {
      const passes = record.passes.filter(({ pairId }) => pairId === id);
      const counts = workCounts({
        passes,
        workOf: version => works.get(version) ?? null,
        breaksMs: [],
        startMs: lesson.startsAtMs,
        nowMs: lastMs,
      });
      return {
        ...{ horse: horseName, rider: riderName, summary: pairSummary(passes, stages, gate) },
        work: `${counts.lowEfforts + counts.highEfforts} efforts, ${counts.highEfforts} of them at 0.9 m and over; ${counts.raisedPasses} passes over raised poles.`,
      };
    }),
  };
}

async function layoutsRidden(db: RoanDatabase, yardId: string, record: LessonRecord): Promise<Map<string, Layout>> {
  const versions = await versionsRidden(
    db,
    yardId,
    record.passes.map(({ layoutVersionId }) => layoutVersionId),
  );
  return new Map([...versions].map(([id, { layout }]) => [id, layout]));
}

/** A stage in the names and asked counts of what was ridden there last. */
function toldStage(name: string, { passes }: LessonRecord, layouts: ReadonlyMap<string, Layout>): ToldStage {
  const last = passes.findLast(({ stage }) => stage === name);
  const track = (last && layouts.get(last.layoutVersionId))?.tracks.find(one => one.kind === 'items');
  if (track?.kind !== 'items') return { name, asked: [], nameOf: String };
  return {
    name,
    asked: track.legs.map(({ asked }) => asked),
    nameOf: place => track.through[place - 1]?.item ?? String(place),
  };
}
