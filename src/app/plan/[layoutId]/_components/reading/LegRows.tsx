'use client';

import { CommitField } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import { countName, type ItemTrack, type Labels, type ReckonedItemTrack } from '@/core';
import { Title } from '@mantine/core';
import type { LegPlace } from '../../_state/selection';
import type { Typing } from '../../_state/useTyping';
import { readCount } from './readCount';
import classes from './Rows.module.css';

type LegRowsProps = {
  track: ItemTrack;
  reckoned: ReckonedItemTrack;
  labels: Labels;
  /** What each stop is called in short. */
  stops: readonly string[];
  typing: Typing;
  onSelectLeg: (leg: LegPlace) => void;
};

/** The legs of a track one under the other: each distance and each count can be typed. */
export function LegRows({ track, reckoned, labels, stops, typing, onSelectLeg }: LegRowsProps) {
  return (
    <section aria-label="Distances">
      <div className={classes.head}>
        <Title order={3} size="h5">
          Distances
        </Title>
        <span>asked</span>
      </div>
      <ol className={classes.rows}>
        {reckoned.legs.map((leg, index) => {
          const words = `${labels.inWords(leg.from)} to ${labels.inWords(leg.to)}`;
          const { asked } = track.legs[index]!;
          const zeroIs = leg.readings[0]?.zeroIs ?? 'bounce';
          return (
            <li key={index}>
              <button
                type="button"
                aria-label={`${stops[index]} to ${stops[index + 1]}: read ${words}`}
                onClick={() => onSelectLeg({ track: track.id, leg: index })}
              >
                {stops[index]} to {stops[index + 1]}
              </button>
              <LengthField
                hideLabel
                size="xs"
                label={`Distance from ${words}`}
                lengthM={leg.groundM}
                minM={0.2}
                maxM={200}
                onCommit={groundM => typing.distance(track.id, index, groundM)}
              />
              <CommitField
                hideLabel
                size="xs"
                label={`Asked from ${words}`}
                placeholder="–"
                text={asked === null ? '' : asked === 0 ? countName(0, zeroIs) : String(asked)}
                read={typed => (typed.trim() === countName(0, zeroIs) ? { ok: true, value: 0 } : readCount(typed))}
                onCommit={strides => typing.asked(track.id, index, strides)}
              />
            </li>
          );
        })}
      </ol>
    </section>
  );
}
