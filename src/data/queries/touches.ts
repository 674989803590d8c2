import { itemsOutside, layoutLabels, lessonState, resolvePlan, type Arena, type LessonPlan } from '@/core';
import { and, count, eq, inArray, isNull, max } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { layouts, layoutVersions, pairs, passes } from '../schema';
import type { NamedArena } from './arenas';
import { listHorses, type Horse } from './horses';
import { listLayouts } from './layouts';
import { listLessons, timesOfLessons } from './lessons';
import { planGround } from './planGround';

/** What a change would touch, in sentences, before it is made; none where it touches nothing. */
export type Touches = string[];

const times = (n: number, one: string, many: string) => (n === 1 ? `One ${one}` : `${n} ${many}`);
/** "a, b and c". */
function list(words: readonly string[]): string {
  const last = words[words.length - 1] ?? '';
  return words.length < 2 ? last : `${words.slice(0, -1).join(', ')} and ${last}`;
}

/** What an arena of another size touches: what was ridden on it, what lies on it, and what is planned on it. */
export async function arenaTouches(
  db: RoanDatabase,
  yardId: string,
  before: NamedArena,
  after: Arena,
  sizeWords: (arena: Arena) => string,
  nowMs: number,
): Promise<Touches> {
  const own = (await listLayouts(db, yardId)).filter(({ arena, archived }) => arena.id === before.id && !archived);
  const [ridden] = await db
    .select({ n: count() })
    .from(passes)
    .innerJoin(layoutVersions, eq(layoutVersions.id, passes.layoutVersionId))
    .innerJoin(layouts, eq(layouts.id, layoutVersions.layoutId))
    .where(and(eq(passes.yardId, yardId), eq(layouts.arenaId, before.id), isNull(passes.undoneAt)));
  const horses = await listHorses(db, yardId);
  const outside = own.flatMap(({ name, plan }) => {
    const arena = { ...before, ...after };
    const { layout } = resolvePlan(plan, planGround(name, arena, horses, null));
    const { inWords } = layoutLabels(layout);
    const out = itemsOutside(after, layout.items);
    return out.length === 0 ? [] : [`Outside of it then, in “${name}”: ${list(out.map(({ id }) => inWords(id)))}.`];
  });
  const coming = await plannedWith(db, yardId, nowMs, plan =>
    plan.stages.some(stage => own.some(({ id }) => id === stage.layoutId)),
  );
  const n = ridden?.n ?? 0;
  return [
    ...(n > 0 ? [`${times(n, 'pass was', 'passes were')} ridden on it: they keep ${sizeWords(before)}.`] : []),
    ...(own.length > 0
      ? [`${times(own.length, 'layout lies', 'layouts lie')} on it, and will lie on ${sizeWords(after)}.`]
      : []),
    ...outside,
    ...(coming.length > 0 ? [`Planned on it: ${list(coming.map(name => `“${name}”`))}.`] : []),
  ];
}

/** What another height, type or stride of a horse touches. */
export async function horseTouches(db: RoanDatabase, yardId: string, horse: Horse, nowMs: number): Promise<Touches> {
  const own = (await listLayouts(db, yardId)).filter(
    ({ plan, archived }) =>
      !archived &&
      (plan.groupIds.includes(horse.id) || plan.exercises.some(({ horseIds }) => horseIds?.includes(horse.id))),
  );
  const ofHorse = await db
    .select({ id: pairs.id })
    .from(pairs)
    .where(and(eq(pairs.yardId, yardId), eq(pairs.horseId, horse.id)));
  const ids = ofHorse.map(({ id }) => id);
  const [ridden] =
    ids.length === 0
      ? []
      : await db
          .select({ n: count() })
          .from(passes)
          .where(and(eq(passes.yardId, yardId), inArray(passes.pairId, ids), isNull(passes.undoneAt)));
  const n = ridden?.n ?? 0;
  const coming = await plannedWith(db, yardId, nowMs, plan => plan.pairIds.some(id => ids.includes(id)));
  return [
    ...(n > 0 ? [`${times(n, 'pass keeps', 'passes keep')} the strides that were known on its day.`] : []),
    ...(own.length > 0
      ? [`Reckoned anew with it: ${list(own.map(({ name }) => `“${name}”`))}; what is spaced for it moves.`]
      : []),
    ...(coming.length > 0 ? [`It rides in ${list(coming.map(name => `“${name}”`))}.`] : []),
  ];
}

/** What a layout that is changed touches: what was ridden over it, and the lessons that will be. */
export async function layoutTouches(
  db: RoanDatabase,
  yardId: string,
  layoutId: string,
  nowMs: number,
): Promise<{ ridden: number; lastMs: number | null; coming: string[] }> {
  const [ridden] = await db
    .select({ n: count(), last: max(passes.riddenAt) })
    .from(passes)
    .innerJoin(layoutVersions, eq(layoutVersions.id, passes.layoutVersionId))
    .where(and(eq(passes.yardId, yardId), eq(layoutVersions.layoutId, layoutId), isNull(passes.undoneAt)));
  const coming = await plannedWith(db, yardId, nowMs, plan => plan.stages.some(stage => stage.layoutId === layoutId));
  return { ridden: ridden?.n ?? 0, lastMs: ridden?.last?.getTime() ?? null, coming };
}

/** The lessons that are planned or running and have something to do with it. */
async function plannedWith(
  db: RoanDatabase,
  yardId: string,
  nowMs: number,
  has: (plan: LessonPlan) => boolean,
): Promise<string[]> {
  const lessons = (await listLessons(db, yardId)).filter(({ plan, archived }) => !archived && has(plan));
  const timesOf = await timesOfLessons(db, yardId, lessons);
  return lessons.flatMap(({ id, name }) => {
    const state = lessonState(timesOf.get(id)!, nowMs);
    return state === 'planned' || state === 'running' ? [name] : [];
  });
}
