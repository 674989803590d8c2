import { paramSpecs } from './exerciseParams';
import { plainWords } from '../words/plainWords';
import { gridWords } from './gridElements';
import type { ExerciseGround, LaidExercise, Recipe } from './exercise';

/**
 * All the words of an exercise in which one may look for it: its title and purposes, what it can ask ("counter shoulder-in"), its
 * stages, what to watch and what goes wrong.
 * @param laid - the exercise as it lies here; null where it cannot be laid out
 */
export function exerciseText(
  { kind, guidance, wishes }: Recipe,
  ground: ExerciseGround,
  laid: LaidExercise | null,
): string {
  const { title, purposes, level, knowFirst, watchHorse, watchRider, faults, cautions } = guidance;
  const asks = paramSpecs(kind, wishes(ground)[0] ?? {}).flatMap(spec => [
    spec.label,
    ...('options' in spec ? spec.options.map(gridWords) : []),
  ]);
  const stages = (laid?.stages ?? []).flatMap(({ name, focus, gait }) => [name, focus, gait ?? '']);
  const gaits = (laid?.tracks ?? []).map(({ gait }) => gait);
  const told = faults.flatMap(({ fault, remedy }) => [fault, remedy]);
  return plainWords(
    [
      title,
      ...purposes,
      level,
      ...knowFirst,
      ...asks,
      ...stages,
      ...gaits,
      ...watchHorse,
      ...watchRider,
      ...told,
      ...cautions,
    ].join(' '),
  );
}
