'use client';

import { Keys } from '@/app/ride/_components/Keys';
import { gaitWord, HEAD_HEIGHTS, type FilmGait, type FilmMark, type FilmReading } from '@/core';
import classes from './FilmBoard.module.css';

type FilmKeysProps = {
  /** The gaits that this horse goes in. */
  gaits: readonly FilmGait[];
  /** What holds where the film stands. */
  now: FilmReading['stretches'][number] | null;
  /** How high the head is carried there, as it was said last; null where nobody said so. */
  head: (typeof HEAD_HEIGHTS)[number] | null;
  onMark: (mark: FilmMark) => void;
};

const LEADS: { value: 'left' | 'right' | 'cross-canter'; label: string }[] = [
  { value: 'left', label: 'left lead' },
  { value: 'right', label: 'right lead' },
  { value: 'cross-canter', label: 'cross-canter' },
];

/** What is marked where the film stands: from here on a gait, what was asked, the head; at this time a lead, a break, a stride. */
export function FilmKeys({ gaits, now, head, onMark }: FilmKeysProps) {
  const options = gaits.map(value => ({ value, label: gaitWord(value) }));
  return (
    <div className={classes.keys}>
      <h3>Asked from here on</h3>
      <Keys
        label="Asked from here on"
        value={now?.asked ?? null}
        options={options}
        onChoose={gait => onMark({ kind: 'asked', gait })}
      />
      <h3>Ridden from here on</h3>
      <Keys
        label="Ridden from here on"
        value={now?.ridden ?? null}
        options={options}
        onChoose={ridden => onMark({ kind: 'gait', ridden })}
      />
      <h3>Head from here on</h3>
      <Keys
        label="Head from here on"
        value={head}
        options={HEAD_HEIGHTS.map(value => ({ value, label: value }))}
        onChoose={height => onMark({ kind: 'head', height })}
      />
      <h3>Seen now</h3>
      <Keys label="Lead" value={null} options={LEADS} onChoose={lead => onMark({ kind: 'lead', lead })} />
      <Keys
        label="Seen now"
        value={null}
        options={[
          { value: 'break', label: 'break of gait (b)' },
          { value: 'stride', label: 'a stride (s)' },
        ]}
        onChoose={kind => onMark(kind === 'break' ? { kind: 'break' } : { kind: 'stride' })}
      />
    </div>
  );
}
