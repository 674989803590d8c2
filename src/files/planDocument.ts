import {
  findRecipe,
  headingFromFacing,
  paramsFault,
  pointAlong,
  type Arena,
  type ExerciseParams,
  type PlacedRecipe,
  type Plan,
} from '@/core';
import { z } from 'zod';
import { trackFault } from './layoutFaults';
import { ItemOnPaper, PaperName, TrackOnPaper } from './layoutOnPaper';
import { itemFromPaper, trackFromPaper, withNames } from './layoutPaper';
import { RowPlanOnPaper, type RowOnPaper } from './rowPlan';

/** A layout as it is stored while it is designed: exercises that stay parametric beside what was laid by hand. */

const Id = z.string().min(1).max(60);
const Param = z.union([
  z.number().min(-1000).max(1000),
  z.string().max(60),
  z.boolean(),
  z.array(z.string().max(60)).max(40),
  z.array(z.number().min(0).max(1000)).max(40),
]);

/** On paper a direction is `facingDeg`, clockwise from "towards C". */
const ExerciseOnPaper = z.strictObject({
  id: Id,
  name: PaperName.optional(),
  kind: z.string().min(1).max(60),
  rein: z.enum(['left', 'right']),
  params: z.record(z.string().max(40), Param),
  at: z.strictObject({ xM: z.number().min(-400).max(400), yM: z.number().min(-400).max(400) }),
  facingDeg: z.number().min(0).lt(360),
  horses: z.array(Id).min(1).max(200).nullable(),
  session: Id.nullable(),
});

export const PlanOnPaper = z.strictObject({
  format: z.literal('roan-plan'),
  version: z.literal(3),
  school: z.enum(['whole-stride', 'two-metre']),
  group: z.array(Id).max(200),
  items: z.array(ItemOnPaper).max(2000),
  tracks: z.array(TrackOnPaper).max(200),
  exercises: z.array(ExerciseOnPaper).max(200),
  locked: z.array(Id).max(2000),
});
export type PlanOnPaper = z.infer<typeof PlanOnPaper>;

export type ReadPlan = { ok: true; plan: Plan } | { ok: false; reason: string };

const refuse = (reason: string): ReadPlan => ({ ok: false, reason });

/**
 * Reads a stored or sent plan, whole or not at all.
 * @returns the plan, or a sentence naming the first value that is wrong
 */
export function readPlan(json: unknown, arena: Arena): ReadPlan {
  const parsed = PlanOnPaper.safeParse(json);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return refuse(`The plan has a fault at ${issue?.path.join('.') || 'its start'}: ${issue?.message}.`);
  }
  const fault = planTiesFault(parsed.data, arena);
  if (fault) return refuse(`The plan has a fault at ${fault}`);
  const { school, group, items, tracks, exercises, locked } = parsed.data;
  return {
    ok: true,
    plan: {
      school,
      groupIds: group,
      items: items.map(itemFromPaper),
      tracks: tracks.map(track => trackFromPaper(track, arena)),
      exercises: exercises.map(exerciseFromPaper),
      lockedIds: locked,
    },
  };
}

function exerciseFromPaper({ at, facingDeg, horses, name, ...placed }: z.infer<typeof ExerciseOnPaper>): PlacedRecipe {
  return { ...placed, name: name ?? null, place: { at, headingRad: headingFromFacing(facingDeg) }, horseIds: horses };
}

/** What the parts say of each other. A track may name what an exercise no longer has: it is skipped when it is ridden. */
function planTiesFault({ items, tracks, exercises }: PlanOnPaper, arena: Arena): string | null {
  const seen = new Set<string>();
  for (const [where, list] of Object.entries({ items, exercises, tracks }))
    for (const [index, { id }] of list.entries()) {
      if (seen.has(id)) return `${where}.${index}.id: “${id}” is there twice.`;
      seen.add(id);
    }
  for (const [index, track] of tracks.entries()) {
    const fault = trackFault(track, arena);
    if (fault) return `tracks.${index}${fault.startsWith(':') ? '' : '.'}${fault}`;
  }
  for (const [index, { kind, params }] of exercises.entries()) {
    const fault = exerciseFault(kind, params, arena);
    if (fault) return `exercises.${index}.${fault}.`;
  }
  return null;
}

/** Any horse will do to know which parameters a recipe has. */
const ANY_HORSE = { id: 'any', name: 'any', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} } as const;

function exerciseFault(kind: string, params: ExerciseParams, arena: Arena): string | null {
  const recipe = findRecipe(kind);
  if (!recipe) return `kind: the shelf has no exercise “${kind}”`;
  const usual = recipe.wishes({ arena, school: 'whole-stride', horses: [ANY_HORSE] })[0];
  const fault = usual && paramsFault(recipe, usual, params);
  return fault ? `params.${fault}` : null;
}

/** A plan as Roan stored it when ids were names, as it would be stored now; anything else as it is. */
export function namedPlan(json: unknown): unknown {
  if (typeof json !== 'object' || json === null || (json as { version?: unknown }).version !== 2) return json;
  const named = (parts: unknown) =>
    Array.isArray(parts) && parts.every(part => typeof (part as { id?: unknown } | null)?.id === 'string')
      ? withNames(parts as { id: string }[])
      : parts;
  const old = json as Record<string, unknown>;
  return {
    ...{ ...old, version: 3 },
    ...{ items: named(old.items), tracks: named(old.tracks), exercises: named(old.exercises) },
  };
}

/**
 * A plan as an older Roan stored it, as it would be stored now; anything else as it is. Older ones had ids for names, and
 * before that a layout was one row of poles.
 * @param spacingOf - how far apart the poles of the row lie, metres: it places its first pole
 */
export function upgradedPlan(json: unknown, spacingOf: (row: RowOnPaper) => number): unknown {
  const old = RowPlanOnPaper.safeParse(json);
  if (!old.success) return namedPlan(json);
  const row = old.data.rows[0]!;
  const headingRad = headingFromFacing(row.facingDeg);
  const at = pointAlong(row.at, headingRad, (-(row.raised.length - 1) * spacingOf(row)) / 2);
  const ways = row.raised.map(({ leftM, rightM }) =>
    leftM > 0 ? (rightM > 0 ? 'both' : 'left') : rightM > 0 ? 'right' : 'ground',
  );
  const blockM = Math.max(...row.raised.flatMap(({ leftM, rightM }) => [leftM, rightM]));
  const plan: PlanOnPaper = {
    ...{ format: 'roan-plan', version: 3, school: 'whole-stride', group: [row.horseId] },
    ...{ items: [], tracks: [], locked: [] },
    exercises: [
      {
        ...{ id: row.id, kind: `${row.gait}-poles`, rein: 'left', at, facingDeg: row.facingDeg },
        ...{ horses: null, session: null },
        params: {
          gait: row.gait,
          poles: row.raised.length,
          spacingM: row.spacing.by === 'hand' ? row.spacing.spacingM : 0,
          poleM: row.poleLengthM,
          raised: ways,
          blockM: blockM > 0 ? Math.max(0.02, blockM) : 0.15,
        },
      },
    ],
  };
  return plan;
}
