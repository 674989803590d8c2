import 'server-only';
import {
  changedAfterwards,
  isAtStage,
  pairSummary,
  questionsNow,
  workCounts,
  type LessonRecord,
  type PassRecord,
  type RecordLog,
  type ToldPass,
  type ToldStage,
} from '@/core';
import { askedRide, placeName } from '@/app/ride/askedRide';
import { gatedQuestions } from '@/app/ride/gatedQuestions';
import type { RoanDatabase } from '@/data/openDatabase';
import { findArena } from '@/data/queries/arenas';
import { lessonRecord, type Lesson } from '@/data/queries/lessons';
import { lessonLog } from '@/data/queries/recordLog';
import { listPairs } from '@/data/queries/pairs';
import { versionsRidden, type KeptVersions } from '@/data/queries/passes';
import { passWorks } from '@/data/queries/passWorks';
import { yardRulesAt } from '@/data/queries/settings';
import type { LessonSheet } from '@/files/pdf/lessonPdf';
import { yardTime } from './yardTime';

/** A lesson as its sheet tells it, with the ids of its pairs: those that are planned, and those that rode. */
export async function lessonSheet(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  lesson: Lesson,
): Promise<LessonSheet & { pairIds: string[] }> {
  const record = await lessonRecord(db, yard.id, lesson);
  // A lesson is judged by the rules of its day.
  const { gate } = await yardRulesAt(db, yard.id, record.passes.at(-1)?.riddenAtMs ?? lesson.startsAtMs);
  const arena = await findArena(db, yard.id, lesson.arenaId);
  const versions = await versionsRidden(
    db,
    yard.id,
    record.passes.map(({ layoutVersionId }) => layoutVersionId),
  );
  const workOf = await passWorks(db, yard.id, record.passes);
  const all = await listPairs(db, yard.id);
  const rode = record.passes.map(({ pairId }) => pairId);
  const pairs = all.filter(({ id }) => lesson.plan.pairIds.includes(id) || rode.includes(id));
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
    putRight: putRightWords((await lessonLog(db, yard.id, lesson.id))!.log, yard.timeZone),
    pairIds: pairs.map(({ id }) => id),
    pairs: pairs.map(({ id, horseName, riderName }) => {
      const passes = record.passes.filter(({ pairId }) => pairId === id);
      const counts = workCounts({ passes, workOf, breaksMs: [], startMs: lesson.startsAtMs, nowMs: lastMs });
      const told = passes.map(pass => toldPass(pass, versions));
      return {
        ...{ horse: horseName, rider: riderName },
        summary: pairSummary(told, toldStages(lesson, record, passes, versions), gate),
        work: `${counts.lowEfforts + counts.highEfforts} efforts, ${counts.highEfforts} of them at 0.9 m and over; ${counts.raisedPasses} passes over raised poles.`,
      };
    }),
  };
}

/** How often something was put right afterwards, and when last. */
function putRightWords(log: RecordLog, timeZone: string): string | null {
  const changes = changedAfterwards(log);
  if (changes.length === 0) return null;
  const lastMs = Math.max(...changes.map(({ atMs }) => atMs));
  const times = changes.length === 1 ? 'once' : `${changes.length} times`;
  return `Put right afterwards ${times}, last on ${yardTime(lastMs, timeZone, 'D MMMM YYYY')}.`;
}

/** A pass in the names of what it was ridden over then. */
function toldPass(pass: PassRecord, versions: KeptVersions): ToldPass {
  const layout = versions.get(pass.layoutVersionId)?.layout;
  const ride = layout ? askedRide(layout, pass.question, null) : null;
  return { ...pass, questionWords: ride?.words ?? 'something else', nameOf: place => placeName(ride, place) };
}

/** The stages as a pair was asked them, over what it rode there last. */
function toldStages(
  { plan }: Lesson,
  { asks }: LessonRecord,
  passes: readonly PassRecord[],
  versions: KeptVersions,
): ToldStage[] {
  return plan.stages.map(stage => {
    const last = passes.findLast(pass => isAtStage(pass, stage));
    const layout = last && versions.get(last.layoutVersionId)?.layout;
    const questions = last ? questionsNow(stage.questions, asks, stage.id, last.pairId) : [];
    return { id: stage.id, name: stage.name, questions: layout ? gatedQuestions(layout, questions) : [] };
  });
}
