import { layoutCautions } from '../cautions/layoutCautions';
import { mirroredPlace } from '../geometry/frame';
import type { Pose } from '../geometry/pose';
import { atHeight } from '../items/atHeight';
import { reckonLayout } from '../layout/reckonLayout';
import type { Rein } from '../track/rein';
import type { Caution } from '../cautions/caution';
import type { ExerciseGround, ExerciseParams, LaidExercise, Recipe } from './exercise';
import { exerciseAt, mirrorExercise } from './mirrorExercise';
import { stageLayout } from './stageLayout';

export type PlacedExercise = {
  kind: string;
  rein: Rein;
  params: ExerciseParams;
  place: Pose;
  exercise: LaidExercise;
  /** What is to be looked at, over all stages; none where it suits arena and horses. */
  cautions: Caution[];
  /** Whether it is not the first choice: the arena or the horses would not have it. */
  adapted: boolean;
};

export type ExerciseWish = { rein: Rein; params?: ExerciseParams; place?: Pose };

/**
 * Lays an exercise out for horses in an arena, on a rein. The other rein is the mirror image. Without parameters the
 * recipe's first wish that raises no caution is taken, or the one that raises fewest; parameters that are given are
 * taken as they are, and the cautions say what they ask.
 * @throws {RangeError} no horses
 */
export function layOutExercise(recipe: Recipe, ground: ExerciseGround, wish: ExerciseWish): PlacedExercise {
  if (ground.horses.length === 0) throw new RangeError(`layOutExercise ${recipe.kind}: no horses`);
  const wishes = recipe.wishes(ground);
  if (wish.params) return placed(recipe, ground, { ...wishes[0], ...wish.params }, wish);
  let best: PlacedExercise | null = null;
  for (const [index, params] of wishes.entries()) {
    const tried = { ...placed(recipe, ground, params, wish), adapted: index > 0 };
    if (tried.cautions.length === 0) return tried;
    if (best === null || tried.cautions.length < best.cautions.length) best = tried;
  }
  if (!best) throw new RangeError(`layOutExercise ${recipe.kind}: no parameters`);
  return best;
}

/**
 * An exercise with its parameters at its place, without judging it: what is reckoned between two frames.
 * @throws {RangeError} parameters that cannot be laid out
 */
export function exerciseOnSand(
  recipe: Recipe,
  ground: ExerciseGround,
  { rein, params, place }: Required<ExerciseWish>,
): LaidExercise {
  const all = wholeParams(recipe, ground, params);
  const onLeft = withHeights(recipe.layOut(ground, all), all.heightsM);
  return exerciseAt(rein === 'left' ? onLeft : mirrorExercise(onLeft), place);
}

/** All parameters of an exercise: those that are given, and for the others the recipe's own. */
export function wholeParams(recipe: Recipe, ground: ExerciseGround, params: ExerciseParams): ExerciseParams {
  return { ...recipe.wishes(ground)[0], ...params };
}

/** An exercise with those of its fences that have a height of their own as high as that. */
function withHeights(laid: LaidExercise, heightsM: ExerciseParams[string] | undefined): LaidExercise {
  if (!Array.isArray(heightsM) || heightsM.length === 0) return laid;
  let fence = -1;
  const items = laid.items.map(item => {
    if (item.kind !== 'fence') return item;
    const heightM: unknown = heightsM[(fence += 1)];
    if (typeof heightM !== 'number' || heightM === 0) return item;
    return atHeight(item, heightM);
  });
  return { ...laid, items };
}

/** An exercise as the shelf shows it: its first wish where it usually lies, on the left rein; null where it has none here. */
export function exerciseSketch(recipe: Recipe, ground: ExerciseGround): LaidExercise | null {
  const params = recipe.wishes(ground)[0];
  return params ? exerciseOnSand(recipe, ground, { rein: 'left', params, place: recipe.place(ground, params) }) : null;
}

function placed(
  recipe: Recipe,
  ground: ExerciseGround,
  params: ExerciseParams,
  { rein, place }: ExerciseWish,
): PlacedExercise {
  const usual = recipe.place(ground, params);
  const at = place ?? (rein === 'left' ? usual : mirroredPlace(ground.arena.widthM, usual));
  const exercise = exerciseOnSand(recipe, ground, { rein, params, place: at });
  return {
    ...{ kind: recipe.kind, rein, params, place: at, exercise, adapted: false },
    cautions: stageCautions(recipe, exercise, ground),
  };
}

/** What any stage raises, each thing told once. */
function stageCautions(recipe: Recipe, exercise: LaidExercise, ground: ExerciseGround): Caution[] {
  const told = new Map<string, Caution>();
  for (const stage of exercise.stages) {
    const layout = stageLayout(recipe.guidance.title, exercise, ground, stage);
    for (const caution of layoutCautions(layout, reckonLayout(layout)))
      told.set(`${caution.code} ${caution.items.join(' ')} ${caution.text}`, caution);
  }
  return [...told.values()];
}
