import { useSay } from '@/components/Lengths/LengthsProvider';
import { Shapes } from '@/components/Sand/Shapes';
import { exerciseLabel, type ResolvedExercise } from '@/core';
import classes from './PlanSand.module.css';
import { standShape } from './standShape';
import type { Seen } from './trackShapes';

type StandsProps = { exercises: readonly ResolvedExercise[] } & Seen;

/** Where one stands to watch. */
export function Stands({ exercises, ...seen }: StandsProps) {
  const say = useSay();
  return exercises.map(({ placed, laid, guidance }) => (
    <g key={placed.id} className={classes.stand} data-stand={placed.id}>
      <title>{say(`Stand here to watch: ${exerciseLabel(exercises, placed.id)}. ${guidance.stand}`)}</title>
      <Shapes shapes={[standShape(laid.stand, seen)]} />
    </g>
  ));
}
