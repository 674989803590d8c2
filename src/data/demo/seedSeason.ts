import { randomUUID } from 'node:crypto';
import {
  askedLayout,
  hasReins,
  seededRandom,
  standInRide,
  USUAL_BREAK_MIN,
  USUAL_MISTAKES,
  waysToRide,
  type Layout as CoreLayout,
  type LayoutHorse,
  type LessonStage,
  type PassMark,
  type RideWay,
  type StandInManner,
} from '@/core';
import { writeLesson } from '@/files/writeLesson';
import { eq } from 'drizzle-orm';
import { listHorses } from '../queries/horses';
import { findLayout } from '../queries/layouts';
import { asToday, layoutOffers, type OfferedStage, type QuestionToday } from '../queries/layoutStages';
import { findVersion, keepVersion } from '../queries/layoutVersions';
import { markRow } from '../queries/markRow';
import { keepQuestion } from '../queries/questions';
import { planHorses } from '../queries/planGround';
import { lessons, marks, passes, strideRanges } from '../schema';
import type { Transaction } from '../database';
import { DEMO_PAIRS } from './demoYard';
import { SEASON_BAD_PLACE, SEASON_FLAT_PLACE, SEASON_LESSONS, SEASON_TRUTH, SEASON_WEEKS } from './demoSeason';

const DAY_MS = 24 * 3600 * 1000;
const PASS_MS = 2 * 60 * 1000;
const LESSON_MS = 10.5 * 3600 * 1000;
/** So many rows are written with one statement. */
const ROWS = 500;

type Ids = ReadonlyMap<string, string>;
type SeasonRows = {
  lessons: (typeof lessons.$inferInsert)[];
  passes: (typeof passes.$inferInsert)[];
  marks: (typeof marks.$inferInsert)[];
};

/**
 * A season of lessons behind the demo yard, ridden by the stand-in: nothing of it is written by hand but how each pair
 * really goes.
 */
export async function seedSeason(
  tx: Transaction,
  yardId: string,
  ids: Ids,
  layoutIds: Ids,
  nowMs: number,
): Promise<void> {
  const random = seededRandom(2026);
  // What is known of the horses was known before the season began.
  const knownSince = new Date(mondayMs(nowMs) - (SEASON_WEEKS + 1) * 7 * DAY_MS);
  await tx.update(strideRanges).set({ createdAt: knownSince }).where(eq(strideRanges.yardId, yardId));
  const horses = planHorses(await listHorses(tx, yardId));
  const rows: SeasonRows = { lessons: [], passes: [], marks: [] };
  for (const plan of SEASON_LESSONS) {
    const layout = (await findLayout(tx, yardId, layoutIds.get(plan.layout)!))!;
    const offers = await layoutOffers(tx, yardId, layout);
    const versionId = await keepVersion(tx, yardId, layout, 'ridden');
    const version = (await findVersion(tx, yardId, versionId))!;
    for (let week = plan.from; week < SEASON_WEEKS; week += plan.every) {
      const startsAtMs = mondayMs(nowMs) + ((week - SEASON_WEEKS) * 7 + plan.dayOfWeek - 1) * DAY_MS + LESSON_MS;
      const stages: SeasonStage[] = [];
      for (const offer of stagesOf(plan.stages(week), offers.stages)) {
        const stage = asStage(offer, plan.eachRein);
        const today = asToday(stage.questions[0]!.question, offers.resolved)!;
        stages.push({ plan: stage, today, questionId: await keepQuestion(tx, yardId, today.question) });
      }
      rideLesson(rows, {
        ...{ yardId, ids, layout: version.layout, versionId, startsAtMs, horses, random, arenaId: layout.arena.id },
        ...{ name: plan.name, pairs: plan.pairs, share: week / (SEASON_WEEKS - 1), stages },
        badPlace: plan.layout === 'flat-session' ? SEASON_FLAT_PLACE : badPlaceIn(ids, layout.arena.id),
      });
    }
  }
  for (const [table, all] of [
    [lessons, rows.lessons],
    [passes, rows.passes],
    [marks, rows.marks],
  ] as const)
    for (let first = 0; first < all.length; first += ROWS)
      await tx.insert(table).values(all.slice(first, first + ROWS) as never);
}

function stagesOf(wanted: number[] | 'every figure in trot', offered: readonly OfferedStage[]): OfferedStage[] {
  if (wanted === 'every figure in trot') return offered.filter(({ name }) => name.endsWith(': in trot'));
  return wanted.map(index => offered[index]!);
}

const badPlaceIn = (ids: Ids, arenaId: string) =>
  arenaId === ids.get(SEASON_BAD_PLACE.arena) ? SEASON_BAD_PLACE : null;

/** The Monday of this week; the first day of 1970 was a Thursday. */
function mondayMs(nowMs: number): number {
  const today = Math.floor(nowMs / DAY_MS);
  return (today - ((today + 3) % 7)) * DAY_MS;
}

function asStage({ asks, ...stage }: OfferedStage, eachRein: number): LessonStage {
  const questions = [{ question: { id: randomUUID(), ...asks }, ofPairs: {} }];
  return { ...stage, id: randomUUID(), eachRein, questions };
}

type SeasonStage = { plan: LessonStage; today: QuestionToday; questionId: string };

type SeasonLesson = {
  yardId: string;
  ids: Ids;
  /** As it was kept. */
  layout: CoreLayout;
  versionId: string;
  arenaId: string;
  name: string;
  startsAtMs: number;
  pairs: readonly string[];
  /** How far the season has come, 0 to 1. */
  share: number;
  stages: SeasonStage[];
  horses: ReturnType<typeof planHorses>;
  badPlace: typeof SEASON_BAD_PLACE | null;
  random: () => number;
};

function rideLesson(rows: SeasonRows, lesson: SeasonLesson): void {
  const { yardId, ids, name, arenaId, startsAtMs, stages, pairs } = lesson;
  const lessonId = randomUUID();
  const startsAt = new Date(startsAtMs);
  const plan = { pairIds: pairs.map(pair => ids.get(pair)!), stages: stages.map(stage => stage.plan) };
  const document = writeLesson({ ...plan, breakEveryMin: USUAL_BREAK_MIN });
  rows.lessons.push({ id: lessonId, yardId, name, arenaId, startsAt, document, acknowledgedAt: startsAt });
  let passesSoFar = 0;
  for (const stage of stages) {
    const ways = waysRidden(lesson, stage);
    for (let index = 0; index < ways.length * stage.plan.eachRein; index += 1)
      for (const pair of pairs) {
        ridePass(rows, lesson, { lessonId, stage, pair, way: ways[index % ways.length]!, number: passesSoFar });
        passesSoFar += 1;
      }
  }
}

/** Each rein in turn, the first way of it; where the track changes the rein there is only one. */
function waysRidden({ layout }: SeasonLesson, { today: { question } }: SeasonStage): RideWay[] {
  const ways = waysToRide(askedLayout(layout, question)!);
  if (!hasReins(ways)) return ways.slice(0, 1);
  return (['left', 'right'] as const).map(rein => ways.find(way => way.rein === rein)!);
}

type SeasonPass = { lessonId: string; stage: SeasonStage; pair: string; way: RideWay; number: number };

function ridePass(rows: SeasonRows, lesson: SeasonLesson, pass: SeasonPass): void {
  const { yardId, ids, layout, versionId: layoutVersionId, startsAtMs, random } = lesson;
  const { lessonId, stage, pair, way, number } = pass;
  const { question } = stage.today;
  const asked = askedLayout(layout, question, way.direction)!;
  const wish = { ...way, manner: mannerOf(lesson, pair), mistakes: USUAL_MISTAKES };
  const ridden = standInRide(asked, horseOf(lesson, pair), wish, random);
  const id = randomUUID();
  const riddenAt = new Date(startsAtMs + number * PASS_MS);
  rows.passes.push({
    ...{ id, yardId, pairId: ids.get(pair)!, layoutVersionId, lessonId, riddenAt, ...way },
    ...{ stageId: stage.plan.id, stage: stage.plan.name, questionId: stage.questionId },
  });
  for (const [order, mark] of ridden.marks.entries()) {
    const row = markRow({ id: randomUUID(), ...mark } as PassMark);
    rows.marks.push({ ...row, yardId, passId: id, markedAt: new Date(riddenAt.getTime() + order * 1000) });
  }
}

const between = ([first, last]: readonly [number, number], share: number) => first + (last - first) * share;

function horseOf({ horses, ids, share }: SeasonLesson, pair: string): LayoutHorse {
  const key = DEMO_PAIRS.find(one => one.key === pair)!.horse;
  const horse = horses.find(({ id }) => id === ids.get(key))!;
  const truth = SEASON_TRUTH[pair]!;
  const range = (normalM: number) => ({ shortM: normalM * 0.85, normalM, longM: normalM * 1.12 });
  const strideM = between(truth.strideM, share);
  const strides = {
    ...horse.strides,
    ...{ 'course-canter': range(strideM), 'trot-poles': range(between(truth.trotStepM, share)) },
  };
  return { ...horse, strides };
}

function mannerOf({ share, badPlace }: SeasonLesson, pair: string): StandInManner {
  const { mishap, quality, worseRein, slip = null, gaits = null } = SEASON_TRUTH[pair]!;
  return {
    ...{ mishap: between(mishap, share), quality: between(quality, share) },
    worseRein: worseRein && { rein: worseRein.rein, times: between(worseRein.times, share) },
    badPlace,
    ...{ slip, gaits },
  };
}
