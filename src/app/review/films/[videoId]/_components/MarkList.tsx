'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { filmMarkWords, filmTime, type TimedFilmMark } from '@/core';
import { Button } from '@mantine/core';
import type { Still } from '../_state/useStills';
import classes from './FilmBoard.module.css';

type MarkListProps = {
  marks: readonly TimedFilmMark[];
  stills: readonly Still[];
  stillHref: (stillId: string) => string;
  onGo: (atS: number) => void;
  onUndo: (mark: TimedFilmMark) => void;
  onRemoveStill: (still: Still) => void;
};

/** Strides that follow each other are one row: the last of them, which is the one that can be taken back. */
function inRuns(marks: readonly TimedFilmMark[]): { mark: TimedFilmMark; many: number }[] {
  const rows: { mark: TimedFilmMark; many: number }[] = [];
  for (const mark of marks) {
    const last = rows.at(-1);
    if (mark.kind === 'stride' && last?.mark.kind === 'stride') rows.splice(-1, 1, { mark, many: last.many + 1 });
    else rows.push({ mark, many: 1 });
  }
  return rows;
}

/** What was seen in a film and the pictures out of it, in its order: a tap on a time goes there. */
export function MarkList({ marks, stills, stillHref, onGo, onUndo, onRemoveStill }: MarkListProps) {
  const say = useSay();
  const rows = [
    ...inRuns(marks).map(({ mark, many }) => ({ key: mark.id, atS: mark.atS, mark, many, still: null })),
    ...stills.map(still => ({ key: still.id, atS: still.atS, mark: null, many: 1, still })),
  ].sort((a, b) => a.atS - b.atS);
  return (
    <ol className={classes.notes} aria-label="What was seen">
      {rows.map(({ key, atS, mark, many, still }) => (
        <li key={key}>
          <button type="button" onClick={() => onGo(atS)}>
            {filmTime(atS)}
          </button>{' '}
          {mark && (many > 1 ? `${many} strides, the last here` : say(filmMarkWords(mark)))}
          {/* A picture of its own rider: no other size of it is there. */}
          {/* eslint-disable-next-line @next/next/no-img-element */}
          {still && <img src={stillHref(still.id)} alt={`The film at ${filmTime(atS)}`} className={classes.still} />}
          <Button
            size="compact-sm"
            variant="subtle"
            aria-label={`Take back ${mark ? say(filmMarkWords(mark)) : 'the picture'} at ${filmTime(atS)}`}
            onClick={() => (mark ? onUndo(mark) : onRemoveStill(still))}
          >
            Take back
          </Button>
        </li>
      ))}
    </ol>
  );
}
