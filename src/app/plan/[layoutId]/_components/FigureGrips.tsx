import { chainsPath } from '@/components/Sand/trackPath';
import { sidewaysEnd, sidewaysLine, type Chain, type ResolvedExercise } from '@/core';
import { memo } from 'react';
import type { Shown } from '../_state/shown';
import classes from './PlanSand.module.css';
import type { Seen } from './trackShapes';

type FigureGripsProps = Seen & { shown: Shown };

/** What is taken hold of to choose a figure of the flat, and to drag it once it is chosen: the ground it is ridden on. */
export const FigureGrips = memo(function FigureGrips({ shown, view, textM }: FigureGripsProps) {
  return [...figureChains(shown)].map(([id, chains]) => (
    <path
      key={id}
      d={chainsPath(view, chains)}
      strokeWidth={Math.max(textM * 1.1, 0.5)}
      className={classes.legGrip}
      data-figure={id}
    />
  ));
});

/** The ground of each exercise of figures, by its id. */
function figureChains({ resolved, tracks }: Shown): Map<string, Chain[]> {
  const ownerOf = new Map(
    resolved.exercises.flatMap(({ placed, laid }) =>
      laid.tracks.flatMap(track =>
        track.kind === 'figures' ? track.figures.map(({ id }) => [id, placed.id] as const) : [],
      ),
    ),
  );
  const chains = new Map<string, Chain[]>();
  for (const track of tracks) {
    const planned = resolved.layout.tracks.find(({ id }) => id === track.id);
    if (track.kind !== 'figures' || planned?.kind !== 'figures' || !track.session.ok) continue;
    const { pieces, figureOf } = track.session;
    pieces.forEach((piece, index) => {
      const figure = figureOf[index] ?? null;
      const owner = figure === null ? undefined : ownerOf.get(planned.figures[figure]?.id ?? '');
      if (owner !== undefined && piece.kind === 'stretch')
        chains.set(owner, [...(chains.get(owner) ?? []), piece.chain]);
    });
  }
  return chains;
}

/** The two ends of the sideways line of the exercise that is selected, to be dragged from letter to letter. */
export function SidewaysGrips({ exercise, view, textM }: Seen & { exercise: ResolvedExercise }) {
  const line = sidewaysLine(exercise.laid);
  if (!line) return null;
  const ends = [
    { grip: 'begin', at: line.start.at, words: 'Drag where it begins to go aside' },
    { grip: 'end', at: sidewaysEnd(line), words: 'Drag where it arrives' },
  ];
  return ends.map(({ grip, at, words }) => {
    const { x, y } = view.toPaper(at);
    return (
      <g key={grip} className={classes.gap} data-figure={exercise.placed.id} data-grip={grip}>
        <title>{words}</title>
        <circle cx={x} cy={y} r={textM * 0.9} className={classes.grip} />
        <circle cx={x} cy={y} r={textM * 0.35} />
      </g>
    );
  });
}
