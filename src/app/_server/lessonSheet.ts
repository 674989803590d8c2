import 'server-only';
import {
  askedToShow,
  type AskedToShow,
  changedAfterwards,
  howMany,
  isAtStage,
  type LayoutHorse,
  type LessonRecord,
  type LessonStage,
  pairEnd,
  type PassRecord,
  questionOfPair,
  questionsNow,
  readForPairs,
  type RecordLog,
  riddenShown,
  type RiddenShown,
  type ToldPass,
  type ToldStage,
  workCounts,
} from '@/core';
import { askedRide, placeName, type AskedRide } from '@/app/ride/askedRide';
import { gatedQuestions } from '@/app/ride/gatedQuestions';
import type { RoanDatabase } from '@/data/database';
import { findArena } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { lessonRecord, type Lesson } from '@/data/queries/lessons';
import { lessonLog } from '@/data/queries/recordLog';
import { listPairs } from '@/data/queries/pairs';
import { versionsById, type KeptVersions } from '@/data/queries/layoutVersions';
import { passWorks } from '@/data/queries/passWorks';
import { planHorse } from '@/data/queries/planGround';
import { wordsOfLesson, type RiderWords } from '@/data/queries/riderWords';
import { lengthUnit, yardRules, yardRulesAt } from '@/data/queries/settings';
import type { LessonSheet, SheetPair, SheetStage } from '@/files/pdf/lessonPdf';
import { lessonCautions } from '@/app/ride/lessons/[lessonId]/run/stagesToRide';
import { plannedStages, type PlannedStage } from './plannedStages';
import { yardTime } from './yardTime';

/** A pair on the sheet of a lesson, with who it is and the revision of what was said to it. */
export type PairOfSheet = SheetPair & { id: string; wordsRevision: number; shown: RiddenShown };

/** A lesson as its sheets and its end tell it: its pairs are those that are planned, and those that rode. */
export async function lessonSheet(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  lesson: Lesson,
): Promise<Omit<LessonSheet, 'pairs'> & { pairs: PairOfSheet[] }> {
  const record = await lessonRecord(db, yard.id, lesson);
  // A lesson is judged by the rules of its day.
  const { gate } = await yardRulesAt(db, yard.id, record.passes.at(-1)?.riddenAtMs ?? lesson.startsAtMs);
  const [unit, { gaitWords }, arena, horses, all, words, stages, versions, workOf] = await Promise.all([
    lengthUnit(db, yard.id),
    yardRules(db, yard.id),
    findArena(db, yard.id, lesson.arenaId),
    listHorses(db, yard.id),
    listPairs(db, yard.id),
    wordsOfLesson(db, yard.id, lesson.id),
    plannedStages(db, yard.id, lesson.plan.stages),
    versionsById(
      db,
      yard.id,
      record.passes.map(({ layoutVersionId }) => layoutVersionId),
    ),
    passWorks(db, yard.id, record.passes),
  ]);
  const rode = record.passes.map(({ pairId }) => pairId);
  // In the order that they ride in; who rode besides comes last.
  const order = [...new Set([...lesson.plan.pairIds, ...rode])];
  const riding = order
    .flatMap(id => all.find(pair => pair.id === id) ?? [])
    .map(pair => ({ ...pair, strides: planHorse(horses.find(({ id }) => id === pair.horseId)!) }));
  const lastMs = Math.max(lesson.startsAtMs, ...record.passes.map(({ riddenAtMs }) => riddenAtMs));
  const nobody: RiderWords = { words: '', revision: 0 };
  const planned = riding.filter(({ id }) => lesson.plan.pairIds.includes(id));
  return {
    name: lesson.name,
    when: `${yardTime(lesson.startsAtMs, yard.timeZone, 'dddd D MMMM YYYY, HH:mm')}. ${arena?.name ?? ''}`,
    unit,
    gaitWords,
    stages: stages.map(stage => sheetStage(stage, planned)),
    cautions: lessonCautions(
      stages.map(({ layout, asked }) => ({ layout, questions: asked })),
      planned.map(({ id, horseName, riderName, strides }) => ({ id, name: `${horseName} with ${riderName}`, strides })),
    ),
    putRight: putRightWords((await lessonLog(db, yard.id, lesson.id))!.log, yard.timeZone),
    pairs: riding.map(({ id, horseName, riderName, strides }) => {
      const passes = record.passes.filter(({ pairId }) => pairId === id);
      const counts = workCounts({ passes, workOf, breaksMs: [], startMs: lesson.startsAtMs, nowMs: lastMs });
      const rides = new Map(passes.map(pass => [pass.id, rideThen(pass, versions)]));
      const told = passes.map(pass => toldPass(pass, rides.get(pass.id) ?? null));
      const { words: said, revision } = words.get(id) ?? nobody;
      return {
        ...{ id, horse: horseName, rider: riderName, words: said, wordsRevision: revision },
        asked:
          passes.length > 0
            ? askedThen(lesson, record, passes, versions, strides)
            : stages.flatMap(stage => askedOfPair(stage, id, strides)),
        shown: riddenShown(passes, pass => rides.get(pass.id)?.track?.legs ?? []),
        end: pairEnd(told, toldStages(lesson, record, passes, versions), gate),
        work: `${howMany(counts.lowEfforts + counts.highEfforts, 'effort')}, ${counts.highEfforts} of them at 0.9 m and over; ${howMany(counts.raisedPasses, 'pass', 'passes')} over raised poles.`,
      };
    }),
  };
}

type RidingPair = { id: string; horseName: string; strides: LayoutHorse };

function stageLine({ focus, seat, eachRein, minutes }: LessonStage): string {
  return [focus, seat, eachRein > 0 ? `${howMany(eachRein, 'time')} on each rein` : '', `${minutes} min`]
    .filter(Boolean)
    .join('; ');
}

function sheetStage({ stage, layout, asked, watch }: PlannedStage, pairs: readonly RidingPair[]): SheetStage {
  return {
    ...{ name: stage.name, line: stageLine(stage), watch },
    asked: layout
      ? asked.flatMap(one => {
          const show = askedToShow(layout, one.question, null);
          if (!show) return [];
          const read = readForPairs(
            layout,
            one,
            pairs.map(({ id, strides }) => ({ id, horse: strides })),
          );
          const readings = read.flatMap(({ pairId, legs }) => {
            const words = (legs ?? []).map(leg => `${leg.from} to ${leg.to} ${leg.words}`);
            return words.length === 0 ? [] : [{ horse: pairs.find(({ id }) => id === pairId)!.horseName, legs: words }];
          });
          return [{ show, readings }];
        })
      : [],
  };
}

/** What a pair will be asked at a stage, as it is planned. */
function askedOfPair({ stage, layout, asked }: PlannedStage, pairId: string, horse: LayoutHorse): SheetPair['asked'] {
  const shows = layout ? asked.flatMap(one => askedToShow(layout, questionOfPair(one, pairId), horse) ?? []) : [];
  return shows.length === 0 ? [] : [{ stage: stage.name, line: stageLine(stage), shows }];
}

/** What a pair was asked at the stages that it rode, over what it rode there last. */
function askedThen(
  { plan }: Lesson,
  { asks }: LessonRecord,
  passes: readonly PassRecord[],
  versions: KeptVersions,
  horse: LayoutHorse,
): SheetPair['asked'] {
  return plan.stages.flatMap(stage => {
    const own = passes.filter(pass => isAtStage(pass, stage));
    const layout = versions.get(own.at(-1)?.layoutVersionId ?? '')?.layout;
    if (!layout) return [];
    const ridden = new Map(own.map(({ question }) => [question.id, question]));
    const shows = questionsNow(stage.questions, asks, stage.id, own[0]!.pairId).flatMap((question): AskedToShow[] => {
      const then = ridden.get(question.id);
      const show = then ? askedToShow(layout, then, horse) : null;
      return show ? [show] : [];
    });
    return [{ stage: stage.name, line: stageLine(stage), shows }];
  });
}

/** How often something was put right afterwards, and when last. */
function putRightWords(log: RecordLog, timeZone: string): string | null {
  const changes = changedAfterwards(log);
  if (changes.length === 0) return null;
  const lastMs = Math.max(...changes.map(({ atMs }) => atMs));
  const times = changes.length === 1 ? 'once' : `${changes.length} times`;
  return `Put right afterwards ${times}, last on ${yardTime(lastMs, timeZone, 'D MMMM YYYY')}.`;
}

/** What a pass was ridden over then; null where it is not known any more. */
function rideThen(pass: PassRecord, versions: KeptVersions): AskedRide | null {
  const layout = versions.get(pass.layoutVersionId)?.layout;
  return layout ? askedRide(layout, pass.question, null) : null;
}

/** A pass in the names of what it was ridden over then. */
function toldPass(pass: PassRecord, ride: AskedRide | null): ToldPass {
  return { ...pass, questionWords: ride?.words ?? 'something else', nameOf: place => placeName(ride, place) };
}

/** The stages as a pair was asked them, over what it rode there last. */
export function toldStages(
  { plan }: Pick<Lesson, 'plan'>,
  { asks }: Pick<LessonRecord, 'asks'>,
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
