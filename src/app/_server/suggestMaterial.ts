import 'server-only';
import {
  dayNumber,
  grouped,
  jumps,
  NO_EARLIER_WORK,
  ownExercise,
  riddenSteps,
  sumWork,
  type EarlierWork,
  type PairSeen,
  type Question,
  type RiddenStep,
  type SuggestMaterial,
} from '@/core';
import type { RoanDatabase } from '@/data/database';
import { present } from '@/data/present';
import { findArena } from '@/data/queries/arenas';
import { workByPair, type WorkOnDay } from '@/data/queries/earlierWork';
import { listGoals } from '@/data/queries/goals';
import { listHorses } from '@/data/queries/horses';
import { listKit } from '@/data/queries/kit';
import { standingLayout } from '@/data/queries/layoutVersions';
import { listLayouts } from '@/data/queries/layouts';
import type { Layout } from '@/data/queries/layout';
import { listLessons } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { kitCounts, planGround, planHorse } from '@/data/queries/planGround';
import { sumsOf } from '@/data/queries/kept/sums';
import { listRefusals, samePairs } from '@/data/queries/refusals';
import { riddenOver } from '@/data/queries/riddenOver';
import { layoutsOnSand } from '@/data/queries/sandNow';
import { yardRules } from '@/data/queries/settings';
import { yardCautionLimits } from './yardCautionLimits';
import { daysLater, lastDays, yardClock, yardTime } from './yardTime';

export type MaterialWish = {
  arenaId: string;
  startsAtMs: number;
  minutes: number;
  /** Pairs that ride together, and how many suggestions for them. */
  wishes: readonly { pairIds: readonly string[]; most: number }[];
};

type Yard = { id: string; timeZone: string };

/** So many layouts of the arena, the latest changed, are looked at for what is there already. */
const MOST_LAYOUTS = 30;
/** What lies farther back than this says nothing of what comes next, days. */
const LOOKED_BACK = 400;

/** All that suggestions for some pairs are made from, on an arena at a time; null where the arena is gone. */
export async function suggestMaterial(
  db: RoanDatabase,
  yard: Yard,
  { arenaId, startsAtMs, minutes, wishes }: MaterialWish,
  nowMs: number,
): Promise<SuggestMaterial | null> {
  const arena = await findArena(db, yard.id, arenaId);
  if (!arena) return null;
  const [horses, kit, rules, layouts, cautionLimits, onSand, refusals] = await Promise.all([
    listHorses(db, yard.id),
    listKit(db, yard.id).then(kitCounts),
    yardRules(db, yard.id),
    listLayouts(db, yard.id).then(all => present(all).filter(layout => layout.arena.id === arenaId)),
    yardCautionLimits(db, yard.id),
    layoutsOnSand(db, yard.id),
    listRefusals(db, yard.id, nowMs),
  ]);
  const stands = onSand.find(one => one.arenaId === arenaId && layouts.some(({ id }) => id === one.layoutId));
  const standing = layouts.find(({ id }) => id === stands?.layoutId);
  const looked = [...(standing ? [standing] : []), ...layouts.filter(one => one !== standing)].slice(0, MOST_LAYOUTS);
  return {
    day: dayNumber(yardTime(startsAtMs, yard.timeZone, 'YYYY-MM-DD')),
    ...{ minutes, limits: rules.limits, rule: rules.gate, cautionLimits },
    pairs: await pairsSeen(db, yard, { startsAtMs, nowMs, pairIds: wishes.flatMap(({ pairIds }) => pairIds) }),
    wishes: wishes.map(({ pairIds, most }) => ({
      ...{ pairIds, most },
      refused: refusals
        .filter(one => samePairs(one.pairIds, pairIds))
        .map(({ exercise, stage }) => ({ exercise, stage })),
    })),
    ground: planGround('', arena, horses, kit, rules),
    own: looked.map(({ id, name, plan }) => ({ id, name, plan, stands: id === standing?.id })),
    standing: standing ? (await standingLayout(db, yard.id, standing)).items : [],
  };
}

type Seen = { startsAtMs: number; nowMs: number; pairIds: readonly string[] };

/** Pairs with what they rode, what they work towards, and what else their horses do. */
async function pairsSeen(db: RoanDatabase, yard: Yard, { startsAtMs, nowMs, pairIds }: Seen) {
  const [all, horses, goals] = await Promise.all([
    listPairs(db, yard.id),
    listHorses(db, yard.id),
    listGoals(db, yard.id),
  ]);
  const wanted = all.filter(({ id }) => pairIds.includes(id));
  const stepsOf = await stepsByPair(db, yard);
  const today = dayNumber(yardTime(startsAtMs, yard.timeZone, 'YYYY-MM-DD'));
  const others = await otherWork(db, yard, startsAtMs, nowMs);
  const planned = await plannedNear(db, yard, startsAtMs, nowMs);
  return wanted.map(({ id, horseId, horseName, riderName }): PairSeen => {
    const isTwice = wanted.some(other => other.id !== id && other.horseName === horseName);
    return {
      ...{ id, name: isTwice ? `${horseName} with ${riderName}` : horseName },
      horse: planHorse(horses.find(horse => horse.id === horseId)!),
      ridden: (stepsOf.get(id) ?? []).filter(({ day }) => today - day <= LOOKED_BACK),
      goals: goals.filter(({ pairId }) => pairId === id),
      ...workOfHorse(
        all.filter(pair => pair.horseId === horseId).map(pair => pair.id),
        others,
      ),
      planned: planned.filter(one => one.pairIds.includes(id)).map(({ day, exercise }) => ({ day, exercise })),
    };
  });
}

/** What every pair of the yard rode, as suggestions look at it, by pair. */
export async function stepsByPair(db: RoanDatabase, yard: Yard): Promise<Map<string, RiddenStep[]>> {
  const wish = { of: 'all', name: 'steps', key: '' } as const;
  return sumsOf(db, yard.id, yardClock(yard.timeZone), wish, async passes => {
    const over = await riddenOver(
      db,
      yard.id,
      passes.map(({ layoutVersionId }) => layoutVersionId),
    );
    return new Map(
      [...grouped(passes, ({ pairId }) => pairId)].map(([pairId, own]) => [pairId, riddenSteps(own, over)]),
    );
  });
}

/** Six days before and behind: every seven days that a day lies in. */
const AROUND = 6;

type OtherWork = { on: WorkOnDay[]; today: number; firstDay: number };

async function otherWork(db: RoanDatabase, yard: Yard, startsAtMs: number, nowMs: number): Promise<OtherWork> {
  const lastMs = daysLater(startsAtMs, AROUND, yard.timeZone);
  const days = lastDays(lastMs, 2 * AROUND + 1, yard.timeZone);
  const on = await workByPair(db, yard.id, days, nowMs);
  return { on, today: AROUND, firstDay: dayNumber(yardTime(days[0]!, yard.timeZone, 'YYYY-MM-DD')) };
}

/** What a horse does besides, with whoever rides it. */
function workOfHorse(pairIds: readonly string[], { on, today, firstDay }: OtherWork) {
  const own = on.filter(({ pairId }) => pairIds.includes(pairId));
  const days = [...new Set(own.filter(({ work }) => jumps(work)).map(({ day }) => day))];
  const work = sumWork(own.filter(({ day }) => day === today).map(one => one.work));
  const earlier: EarlierWork = {
    ...{ ...NO_EARLIER_WORK, ...work },
    otherJumpingDays: days.filter(day => day < today).length,
  };
  return { earlier, jumpingDays: days.filter(day => day !== today).map(day => firstDay + day) };
}

/** What is planned on the day before, the day itself and the day after. */
async function plannedNear(db: RoanDatabase, yard: Yard, startsAtMs: number, nowMs: number) {
  const [from, to] = [daysLater(startsAtMs, -1, yard.timeZone), daysLater(startsAtMs, 1, yard.timeZone)];
  const lessons = (await listLessons(db, yard.id)).filter(
    one => !one.archived && one.endedAtMs === null && one.startsAtMs >= from && one.startsAtMs <= to,
  );
  const layouts = new Map((await listLayouts(db, yard.id)).map(layout => [layout.id, layout]));
  return lessons
    .filter(one => one.startsAtMs > nowMs)
    .flatMap(({ plan, startsAtMs: atMs }) =>
      plan.stages.flatMap(({ layoutId, questions }) =>
        questions.flatMap(({ question: { what } }) => {
          const layout = layoutId === null ? undefined : layouts.get(layoutId);
          const exercise = layout && exerciseAsked(layout, what);
          const day = dayNumber(yardTime(atMs, yard.timeZone, 'YYYY-MM-DD'));
          return exercise === undefined ? [] : [{ pairIds: plan.pairIds, day, exercise }];
        }),
      ),
    );
}

/** The exercise that a question of a layout asks. */
function exerciseAsked({ id, plan }: Layout, what: Question['what']): string | undefined {
  if (what.kind === 'made') return undefined;
  if (what.kind !== 'stage') return ownExercise(id, what.trackId);
  return plan.exercises.find(placed => placed.id === what.exerciseId)?.kind;
}
