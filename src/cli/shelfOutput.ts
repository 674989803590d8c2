import {
  arenaFault,
  findRecipe,
  HORSE_LEVELS,
  HORSE_TYPES,
  layOutExercise,
  SHELF,
  stageLayout,
  type Arena,
  type ExerciseGround,
} from '@/core';
import { writeLayout } from '@/files/layoutFile';
import type { LayoutOnPaper } from '@/files/layoutOnPaper';
import { z } from 'zod';

export const SHELF_OPTIONS = {
  arena: { type: 'string' },
  'height-cm': { type: 'string' },
  type: { type: 'string' },
  level: { type: 'string' },
  school: { type: 'string' },
  rein: { type: 'string' },
  stage: { type: 'string' },
} as const;

/** The shelf as a list: what there is and what it is for. */
export function shelfList() {
  return SHELF.map(({ kind, guidance: { title, purposes, level } }) => ({ kind, title, purposes, level }));
}

const Wish = z.object({
  arena: z
    .string()
    .regex(/^\d{1,3}(\.\d+)?x\d{1,3}(\.\d+)?$/, 'arena: say its sides in metres, as in 20x60.')
    .default('20x60'),
  'height-cm': z
    .string()
    .regex(/^\d{2,3}(\.\d+)?$/, 'height-cm: say the height of the horse in centimetres, as in 160.')
    .transform(Number)
    .pipe(z.number().min(60, 'height-cm: 60 to 220.').max(220, 'height-cm: 60 to 220.'))
    .default(160),
  type: z.enum(HORSE_TYPES, `type: one of ${HORSE_TYPES.join(', ')}.`).default('all-round'),
  level: z.enum(HORSE_LEVELS, `level: one of ${HORSE_LEVELS.join(', ')}.`).default('novice'),
  school: z.enum(['whole-stride', 'two-metre'], 'school: whole-stride or two-metre.').default('whole-stride'),
  rein: z.enum(['left', 'right'], 'rein: left or right.').default('left'),
  stage: z
    .string()
    .regex(/^\d{1,2}$/, 'stage: a number from 1.')
    .transform(Number)
    .optional(),
});

/**
 * One exercise as a layout file, at its last stage unless another is asked.
 * @returns a sentence where something that was asked is not there
 */
export function shelfLayout(kind: string, options: Record<string, unknown>): LayoutOnPaper | string {
  const recipe = findRecipe(kind);
  if (!recipe) return `There is no exercise “${kind}” on the shelf; without a name the shelf is listed.`;
  const wish = Wish.safeParse(options);
  if (!wish.success) return wish.error.issues[0]!.message;
  const { arena: sides, rein, school, type, level, stage } = wish.data;
  const arena = arenaOf(sides);
  const fault = arenaFault(arena);
  if (fault) return `arena: ${fault.reason}`;
  const horse = { id: 'horse', name: 'Horse', heightM: wish.data['height-cm'] / 100, type, level, strides: {} };
  const ground: ExerciseGround = { arena, school, horses: [horse] };
  const { exercise } = layOutExercise(recipe, ground, { rein });
  const chosen = exercise.stages[(stage ?? exercise.stages.length) - 1];
  if (!chosen) return `stage: this exercise has ${exercise.stages.length} stages.`;
  return writeLayout(stageLayout(`${recipe.guidance.title}: ${chosen.name}`, exercise, ground, chosen));
}

/** Sand of a published size has its letters. */
function arenaOf(sides: string): Arena {
  const [widthM, lengthM] = sides.split('x').map(Number) as [number, number];
  const letters = sides === '20x60' || sides === '20x40' ? sides : 'none';
  return { widthM, lengthM, letters };
}
