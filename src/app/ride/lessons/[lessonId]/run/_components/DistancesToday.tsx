'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { RunTrack } from '@/app/ride/askedRide';
import classes from './RunLesson.module.css';
import { useState } from 'react';
import { legEnds, rowEnds, useAdjust, type LegEnds } from '../_state/useAdjust';

type DistancesTodayProps = { layoutId: string; track: RunTrack };

const M_PER_IN = 0.0254;

/** Distances as they were moved on the ground: a row as a whole, or one gap; from the next pass on it is another setting. */
export function DistancesToday({ layoutId, track }: DistancesTodayProps) {
  const { format, formatChange, unit } = useLengths();
  const { adjust, busy, problem } = useAdjust(layoutId);
  /** What was moved here last, to be put back. */
  const [last, setLast] = useState<{ gaps: readonly LegEnds[]; byM: number; words: string } | null>(null);
  const inches = unit === 'ft' || unit === 'yd';
  const stepM = inches ? 2 * M_PER_IN : 0.05;
  const move = (gaps: readonly LegEnds[], byM: number, words: string) => {
    adjust(gaps, byM);
    setLast({ gaps, byM, words: `${words} ${formatChange(byM)}` });
  };
  const stepper = (name: string, groundWords: string, gaps: readonly LegEnds[]) => (
    <div key={name} role="group" aria-label={`${name} for the next pass`} className={classes.stepper}>
      <span>
        {name}
        <small>{groundWords}</small>
      </span>
      <button
        type="button"
        className={classes.small}
        aria-label={`${name} closer by ${formatChange(stepM).replace('+', '')}`}
        disabled={busy}
        onClick={() => move(gaps, -stepM, name)}
      >
        −
      </button>
      <button
        type="button"
        className={classes.small}
        aria-label={`${name} wider by ${formatChange(stepM).replace('+', '')}`}
        disabled={busy}
        onClick={() => move(gaps, stepM, name)}
      >
        +
      </button>
    </div>
  );
  const isRow = track.legs.length > 1 && track.legs.every(({ betweenPoles }) => betweenPoles);
  return (
    <section className={classes.part} aria-label="Distances today">
      <h2>Distances today</h2>
      {isRow && stepper('All gaps of the row', 'each by as much', rowEnds(track.planned))}
      {isRow && <p>One gap alone makes the row uneven: say so to who rides it.</p>}
      {track.legs.map((leg, index) => {
        const words = `${isRow ? 'Only ' : ''}${leg.from} to ${leg.to}`;
        return stepper(`${words}`, `stands at ${format(leg.groundM)}`, [legEnds(track.planned, index)]);
      })}
      {last && (
        <button
          type="button"
          className={classes.key}
          disabled={busy}
          onClick={() => {
            adjust(last.gaps, -last.byM);
            setLast(null);
          }}
        >
          Put back<small>{last.words}</small>
        </button>
      )}
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
