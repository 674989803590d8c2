import { randomUUID } from 'node:crypto';
import {
  countInLane,
  EMPTY_PLAN,
  exerciseGround,
  findRecipe,
  headingFromFacing,
  layOutExercise,
  profileFromTest,
  readStrideTest,
  riddenRow,
  seededNormal,
  seededRandom,
  simulateRide,
  USUAL_BREAK_MIN,
  type ExerciseGround,
  type PlacedRecipe,
  type Plan,
} from '@/core';
import type { OpenDatabase } from '../database';
import { findArena } from '../queries/arenas';
import { findHorse, listHorses } from '../queries/horses';
import { addLayout, findLayout, freezeLayout } from '../queries/layouts';
import { layoutOffers } from '../queries/layoutStages';
import { saveLesson } from '../queries/lessons';
import { findVersion } from '../queries/layoutVersions';
import { addStepWalk } from '../queries/people';
import { planHorses } from '../queries/planGround';
import { keepQuestion } from '../queries/questions';
import { addStrideTest, addTestedStride } from '../queries/strideTests';
import { arenas, horses, kit, marks, pairs, passes, people, strideRanges, yards } from '../schema';
import type { Transaction } from '../database';
import { versionQuestion } from '../upgrade/versionQuestion';
import { seedSeason } from './seedSeason';
import { DEMO_LAYOUTS } from './demoLayouts';
import { DEMO_TESTS } from './demoTests';
import {
  DEMO_ARENAS,
  DEMO_HORSES,
  DEMO_KIT,
  DEMO_LESSON,
  DEMO_PAIRS,
  DEMO_PEOPLE,
  DEMO_RIDES,
  DEMO_WALKS,
  DEMO_YARD,
} from './demoYard';

const DAY_MS = 24 * 3600 * 1000;
const MINUTE_MS = 60 * 1000;
/** Lessons of the demo begin at half past ten, UTC. */
const LESSON_MS = 10.5 * 3600 * 1000;

/**
 * Fills an empty database with the demo yard, in one transaction. A database that has a yard is left as it is.
 * @param nowMs - the rides are dated backwards from here
 * @param season - whether a season of lessons lies behind it
 * @returns whether the yard was made
 */
export async function seedDemo({ write }: OpenDatabase, nowMs: number, season = false): Promise<boolean> {
  return write(async tx => {
    const [already] = await tx.select({ id: yards.id }).from(yards).limit(1);
    if (already) return false;
    const yardId = randomUUID();
    await tx.insert(yards).values({ id: yardId, ...DEMO_YARD });
    const ids = await seedPeopleAndHorses(tx, yardId);
    const layoutIds = await seedLayouts(tx, yardId, ids);
    await seedStepsAndTests(tx, yardId, ids, nowMs);
    for (const ride of DEMO_RIDES)
      await seedRide(tx, yardId, ride, { pairId: ids.get(ride.pair)!, layoutId: layoutIds.get(ride.layout)!, nowMs });
    await seedLesson(tx, yardId, ids, layoutIds, nowMs);
    if (season) await seedSeason(tx, yardId, ids, layoutIds, nowMs);
    return true;
  });
}

/** A lesson that is coming: the demo's pairs over the stages of the bend, tomorrow. */
async function seedLesson(tx: Transaction, yardId: string, ids: Ids, layoutIds: Ids, nowMs: number): Promise<void> {
  const { name, layout: key, pairs: riding, eachRein } = DEMO_LESSON;
  const layout = (await findLayout(tx, yardId, layoutIds.get(key)!))!;
  const stages = (await layoutOffers(tx, yardId, layout)).stages.map(({ asks, ...stage }) => ({
    ...{ ...stage, id: randomUUID(), eachRein },
    questions: [{ question: { id: randomUUID(), ...asks }, ofPairs: {} }],
  }));
  await saveLesson(tx, yardId, {
    ...{ name, arenaId: layout.arena.id },
    startsAtMs: (Math.floor(nowMs / DAY_MS) + 1) * DAY_MS + LESSON_MS,
    plan: { pairIds: riding.map(pair => ids.get(pair)!), stages, breakEveryMin: USUAL_BREAK_MIN },
  });
}

type Ids = Map<string, string>;

async function seedPeopleAndHorses(tx: Transaction, yardId: string): Promise<Ids> {
  const ids: Ids = new Map();
  const idOf = (key: string) => {
    const id = randomUUID();
    ids.set(key, id);
    return id;
  };
  await tx.insert(arenas).values(DEMO_ARENAS.map(({ key, ...arena }) => ({ id: idOf(key), yardId, ...arena })));
  await tx.insert(people).values(DEMO_PEOPLE.map(({ key, ...person }) => ({ id: idOf(key), yardId, ...person })));
  for (const { key, trotStepM, ...horse } of DEMO_HORSES) {
    const horseId = idOf(key);
    await tx.insert(horses).values({ id: horseId, yardId, ...horse });
    if (trotStepM === undefined) continue;
    const range = { shortM: trotStepM * 0.75, normalM: trotStepM, longM: trotStepM * 1.12 };
    await tx
      .insert(strideRanges)
      .values({ id: randomUUID(), yardId, horseId, entry: 'trot-poles', source: 'typed', ...range });
  }
  await tx.insert(pairs).values(
    DEMO_PAIRS.map(({ key, rider, horse }) => ({
      id: idOf(key),
      yardId,
      riderId: ids.get(rider)!,
      horseId: ids.get(horse)!,
    })),
  );
  return ids;
}

async function seedStepsAndTests(tx: Transaction, yardId: string, ids: Ids, nowMs: number): Promise<void> {
  await tx.insert(kit).values(DEMO_KIT.map(piece => ({ id: randomUUID(), yardId, ...piece })));
  const dayMs = (daysAgo: number) => (Math.floor(nowMs / DAY_MS) - daysAgo) * DAY_MS + LESSON_MS;
  for (const { person, daysAgo, steps } of DEMO_WALKS)
    for (const [index, count] of steps.entries())
      await addStepWalk(tx, yardId, ids.get(person)!, {
        ...{ id: randomUUID(), lengthM: 20, steps: count },
        walkedAtMs: dayMs(daysAgo) + index * MINUTE_MS,
      });
  for (const test of DEMO_TESTS)
    await seedTest(tx, yardId, ids, test, dayMs(test.daysAgo) + (test.after ? 60 : -20) * MINUTE_MS);
}

const TEST_LANE_M = 20;
const TEST_PASSES = 5;

/** A test ridden by the stand-in: the counts are what its rides come to, not numbers that were made up. */
async function seedTest(
  tx: Transaction,
  yardId: string,
  ids: Ids,
  { horse: key, rider, entry, stridesM, rhythm, accepted, seed, after }: (typeof DEMO_TESTS)[number],
  testedAtMs: number,
): Promise<void> {
  const random = seededRandom(seed);
  const passes = (['short', 'normal', 'long'] as const).flatMap((pace, index) =>
    Array.from({ length: TEST_PASSES }, () => {
      const strideM = stridesM[index]! * (1 + 0.02 * seededNormal(random));
      const ride = simulateRide({ gait: entry, strideM, laneM: TEST_LANE_M, spread: 0.015 }, random);
      return { pace, count: countInLane(ride, 'LF', TEST_LANE_M), behind: null, part: null, voided: false };
    }),
  );
  const testId = randomUUID();
  const horseId = ids.get(key)!;
  const lane = { kind: 'taped' as const, lengthM: TEST_LANE_M };
  await addStrideTest(tx, yardId, {
    ...{ id: testId, horseId, riderId: ids.get(rider)!, entry, lane, stepperId: null, note: '' },
    moment: after ? 'after' : 'before',
    ...{ rhythm, roundness: null, balance: rhythm, testedAtMs, passes },
  });
  const horse = accepted ? await findHorse(tx, yardId, horseId) : null;
  const stride = horse && profileFromTest(readStrideTest(lane, passes), horse, entry);
  if (stride) await addTestedStride(tx, yardId, { horseId, testId, entry, stride, knownAtMs: testedAtMs });
}

async function seedLayouts(tx: Transaction, yardId: string, ids: Ids): Promise<Ids> {
  const layoutIds: Ids = new Map();
  const horses = planHorses(await listHorses(tx, yardId));
  for (const { key, name, arena: arenaKey, group, tags, exercises, items, tracks } of DEMO_LAYOUTS) {
    const arenaId = ids.get(arenaKey)!;
    const arena = (await findArena(tx, yardId, arenaId))!;
    const plan: Plan = { ...EMPTY_PLAN, groupIds: group.map(horse => ids.get(horse)!), items, tracks };
    const on = exerciseGround(plan, { horseIds: null }, { arena, horses });
    const made = { ...plan, exercises: exercises.map(one => placedDemo(one, on)) };
    layoutIds.set(key, await addLayout(tx, yardId, { name, arenaId, plan: made, tags }));
  }
  return layoutIds;
}

/** What an exercise asks where the demo does not say is what the shelf would choose. */
function placedDemo(
  { id, kind, rein, params, first, session }: (typeof DEMO_LAYOUTS)[number]['exercises'][number],
  ground: ExerciseGround,
): PlacedRecipe {
  const recipe = findRecipe(kind);
  if (!recipe) throw new Error(`seedDemo: no exercise ${kind}`);
  const place = first && { at: { xM: first.xM, yM: first.yM }, headingRad: headingFromFacing(first.facingDeg) };
  const own = Object.keys(params).length > 0 ? { params } : {};
  const laid = layOutExercise(recipe, ground, { rein, ...own, ...(place ? { place } : {}) });
  return { id, name: null, kind, rein, session, horseIds: null, params: laid.params, place: laid.place };
}

type RidePlace = { pairId: string; layoutId: string; nowMs: number };

async function seedRide(tx: Transaction, yardId: string, ride: (typeof DEMO_RIDES)[number], place: RidePlace) {
  const versionId = await freezeLayout(tx, yardId, place.layoutId);
  const version = versionId && (await findVersion(tx, yardId, versionId));
  const row = version && riddenRow(version.layout);
  if (!versionId || !row || row.spacingM === null) throw new Error(`seedRide: no row in ${ride.layout}`);
  const { spacingM } = row;
  const question = versionQuestion(version.layout, null, randomUUID())!;
  const questionId = await keepQuestion(tx, yardId, question);
  const random = seededRandom(ride.seed);
  const startMs = (Math.floor(place.nowMs / DAY_MS) - ride.daysAgo) * DAY_MS + LESSON_MS;
  for (let index = 0; index < ride.passes; index += 1) {
    const passId = randomUUID();
    const riddenAt = new Date(startMs + index * 3 * MINUTE_MS);
    await tx.insert(passes).values({
      id: passId,
      yardId,
      pairId: place.pairId,
      layoutVersionId: versionId,
      questionId,
      stage: row.raised ? 'raised' : 'on the ground',
      rein: index % 2 === 0 ? 'left' : 'right',
      direction: 'as-drawn',
      riddenAt,
    });
    await tx.insert(marks).values(
      rideMarks(ride, { spacingM, gaps: row.items - 1, random }).map((mark, order) => ({
        ...mark,
        id: randomUUID(),
        yardId,
        passId,
        markedAt: new Date(riddenAt.getTime() + order * 1000),
      })),
    );
  }
}

type RideRandom = { spacingM: number; gaps: number; random: () => number };

/** The feet of one pass: the horse enters a little differently each time and falls back or gains by its own step. */
function rideMarks(ride: (typeof DEMO_RIDES)[number], { spacingM, gaps, random }: RideRandom) {
  const stepM = ride.stepM * (1 + 0.008 * seededNormal(random));
  const entry = ride.entry + 0.04 * seededNormal(random);
  const footfalls = Array.from({ length: gaps }, (_, gap) => {
    const fraction = entry + gap * (stepM / spacingM - 1) + 0.02 * seededNormal(random);
    return {
      kind: 'footfall' as const,
      place: gap + 1,
      fraction: Math.round(Math.min(0.95, Math.max(0.05, fraction)) * 20) / 20,
    };
  });
  const rapped = ride.raps > 0 && random() < 0.6;
  return rapped ? [...footfalls, { kind: 'hit' as const, place: ride.raps, fraction: null }] : footfalls;
}
