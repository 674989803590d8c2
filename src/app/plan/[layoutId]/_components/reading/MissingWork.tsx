'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { newId } from '@/components/newId';
import {
  eveningCircle,
  type ExerciseParams,
  type FigureTrack,
  findRecipe,
  gaitWord,
  type Lack,
  placeExercise,
  type ResolvedExercise,
  sessionBalance,
  type SessionMeasure,
} from '@/core';
import { Button, Text } from '@mantine/core';
import type { PlanControls } from '../../_state/usePlanEditor';
import classes from './SessionReading.module.css';
import { type SessionReadingProps } from './sessionReadingProps';

type MissingProps = Pick<SessionReadingProps, 'controls' | 'track'> & {
  owners: readonly ResolvedExercise[];
  measure: SessionMeasure;
};

/** What is missing for an even session, with a figure that would even it. */
export function Missing({ controls, track, owners, measure }: MissingProps) {
  const say = useSay();
  const { arena } = controls.shown.resolved.layout;
  const { lacks, onRailShare } = sessionBalance(measure);
  if (lacks.length === 0 && onRailShare === null)
    return <Text size="sm">Both reins have as much to do in each gait.</Text>;
  return (
    <ul className={classes.missing} aria-label="What is missing">
      {lacks.map(lack => {
        const { diameterM, rounds } = eveningCircle(lack, arena.widthM);
        const most = rounds > MOST_ROUNDS ? mostWork(owners, track, controls, lack) : null;
        const gait = say(gaitWord(lack.gait));
        const offers = ['walk', 'trot', 'canter'].includes(lack.gait);
        return (
          <li key={lack.gait}>
            The {lack.rein} rein has {Math.round(lack.lessShare * 100)} % less {gait}.{' '}
            {most && (
              <Button
                {...LONG}
                onClick={() =>
                  addToSession(controls, owners, {
                    ...{ kind: most.placed.kind, rein: lack.rein },
                    ...{ horseIds: most.placed.horseIds, params: most.params },
                  })
                }
              >
                Ride “{say(most.placed.name ?? most.guidance.title)}” on the {lack.rein} rein too
              </Button>
            )}
            {offers && !most && (
              <Button
                {...LONG}
                onClick={() =>
                  addToSession(controls, owners, {
                    ...{ kind: 'circle', rein: lack.rein, horseIds: null },
                    params: { diameterM, rounds, gait: lack.gait },
                  })
                }
              >
                Add {rounds === 1 ? 'a' : `${rounds} rounds of a`} {diameterM} m circle on the {lack.rein} rein in{' '}
                {gait}
              </Button>
            )}
          </li>
        );
      })}
      {onRailShare !== null && (
        <li>
          {Math.round(onRailShare * 100)} % is ridden along the rail: leave it for a line or a loop, it does the
          steering for the rider.
        </li>
      )}
    </ul>
  );
}

const LONG = {
  ...{ size: 'compact-xs', variant: 'default', h: 'auto' },
  styles: { label: { whiteSpace: 'normal' } },
} as const;

/** Nobody rides round and round to even what a whole figure left uneven. */
const MOST_ROUNDS = 3;

/** The exercise with the most ground in a gait on the rein that has more. */
function mostWork(
  owners: readonly ResolvedExercise[],
  track: FigureTrack,
  controls: PlanControls,
  { gait, rein }: Lack,
): ResolvedExercise | null {
  const reckoned = controls.shown.tracks.find(({ id }) => id === track.id);
  if (reckoned?.kind !== 'figures' || !reckoned.session.ok) return null;
  const { pieces, figureOf } = reckoned.session;
  const groundM = ({ laid }: ResolvedExercise) => {
    const own = new Set(laid.tracks.flatMap(one => (one.kind === 'figures' ? one.figures.map(({ id }) => id) : [])));
    return pieces.reduce((sum, piece, index) => {
      const figure = figureOf[index] ?? null;
      const isOwn = figure !== null && own.has(track.figures[figure]!.id);
      return isOwn && piece.kind === 'stretch' && piece.gait === gait && piece.rein !== rein
        ? sum + piece.chain.lengthM
        : sum;
    }, 0);
  };
  return [...owners].sort((a, b) => groundM(b) - groundM(a))[0] ?? null;
}

/** One more exercise at the end of a session; figures that were a track by themselves become the beginning of one. */
function addToSession(
  controls: PlanControls,
  owners: readonly ResolvedExercise[],
  wanted: { kind: string; rein: Lack['rein']; horseIds: string[] | null; params: ExerciseParams },
): void {
  const { kind, rein, horseIds, params } = wanted;
  const recipe = findRecipe(kind);
  if (!recipe) return;
  const { arena, horses } = controls.shown.resolved.layout;
  const own = new Set(owners.map(({ placed }) => placed.id));
  controls.change(plan => {
    const session = owners.find(({ placed }) => placed.session !== null)?.placed.session ?? newId();
    const begun = {
      ...plan,
      exercises: plan.exercises.map(one => (own.has(one.id) ? { ...one, session } : one)),
    };
    const placed = placeExercise(begun, { arena, horses }, { id: newId(), recipe, rein, horseIds, session });
    const exercises = placed.plan.exercises.map(one =>
      one.id === placed.id ? { ...one, params: { ...one.params, ...params } } : one,
    );
    return { ...placed.plan, exercises };
  });
}
