import { findRecipe } from '../exercises/shelf';
import { HORSE_LEVELS, type HorseLevel } from '../horse/horseLevel';
import type { RiddenStep } from './step';

/** Which exercises come before which (handbook of the trade; common practice, no source): what the guidance tells in words. */
const NEEDS: Readonly<Record<string, readonly string[]>> = {
  'canter-poles': ['canter-pole-three-strides'],
  'canter-poles-line': ['canter-pole-three-strides'],
  fan: ['trot-poles'],
  grid: ['single-fence'],
  'related-line': ['canter-poles-line', 'single-fence'],
  'bending-line': ['related-line'],
  combination: ['grid', 'related-line'],
  'two-fences-on-circle': ['two-poles-on-circle', 'single-fence'],
  'fences-on-bend': ['fan', 'single-fence'],
  'bounces-on-bend': ['fences-on-bend', 'grid'],
  'narrow-fence': ['single-fence'],
  'corner-fence': ['narrow-fence'],
  'canter-depart-on-eight': ['figure-of-eight'],
  'canter-depart-from-yield': ['leg-yield'],
  'large-and-small-circle': ['circle'],
  volte: ['circle', 'corners'],
  spiral: ['circle', 'leg-yield'],
  serpentine: ['circle'],
  'leg-yield': ['turn-on-forehand'],
  'half-pass': ['leg-yield', 'shoulder-in'],
  'shoulder-in': ['circle', 'leg-yield'],
  'counter-bend': ['circle'],
  'rail-turnback': ['turn-on-haunches', 'leg-yield'],
  'turn-on-haunches': ['turn-on-forehand'],
  'side-pass': ['leg-yield', 'turn-on-forehand'],
};

const rank = (level: HorseLevel) => HORSE_LEVELS.indexOf(level);

/** What must be known before an exercise. */
export const neededBefore = (exercise: string): readonly string[] => NEEDS[exercise] ?? [];

/**
 * What a pair does not know yet of what comes before an exercise. Known is what it has ridden clean, this exercise or a
 * later one of the way; and what a horse of its level knows, which is all that is made for horses of a level below.
 */
export function unknownBefore(exercise: string, level: HorseLevel, ridden: readonly RiddenStep[]): string[] {
  const clean = new Set(
    ridden.filter(({ passes }) => passes.some(({ isClean }) => isClean)).map(step => step.exercise),
  );
  const isKnown = (needed: string) =>
    clean.has(needed) || rank(findRecipe(needed)?.guidance.level ?? 'green') < rank(level);
  if (clean.has(exercise)) return [];
  return neededBefore(exercise).filter(needed => !isKnown(needed));
}
