'use client';

import {
  DEPARTS,
  HEAD_HEIGHTS,
  MOST_NOTE_LETTERS,
  gaitWord,
  headWanted,
  type PassMark,
  type TappedMark,
  type TrackGait,
} from '@/core';
import { Keys } from '@/app/ride/_components/Keys';
import { useState } from 'react';
import { MarkGroup } from './MarkGroup';
import { ExactFoot, MarksOfStep } from './MarksOfStep';
import { gaitsAbout } from './keysOfPad';
import type { Pad } from '../../_state/pad/usePad';
import classes from './Pad.module.css';

type MoreMarksProps = {
  pad: Pad;
  /** The gait that is asked. */
  gait: TrackGait;
  /** Whether the horse has gaits of its own. */
  isGaited: boolean;
  /** The yard’s own words. */
  faults: readonly string[];
  riderMarks: readonly string[];
  ready: boolean;
  onMark: (mark: TappedMark) => void;
};

const QUALITIES = [1, 2, 3, 4, 5];

/** What a pass seldom needs, in groups: of where one is, and of the pass as a whole. */
export function MoreMarks({ pad, gait, isGaited, faults, riderMarks, ready, onMark }: MoreMarksProps) {
  const said = <Kind extends PassMark['kind']>(kind: Kind) =>
    pad.marks.find((mark): mark is Extract<PassMark, { kind: Kind }> => mark.kind === kind);
  const old = said('depart');
  const whole = pad.marks.find(mark => mark.kind === 'gait' && mark.from === undefined && mark.fromM === undefined);
  return (
    <div className={classes.more}>
      <MarksOfStep {...{ pad, ready, onMark }} />
      <ExactFoot {...{ pad, ready, onMark }} />
      <MarkGroup title="Quality, 1 to 5">
        <Keys
          label="Quality, 1 to 5"
          short
          value={said('quality')?.value ?? null}
          disabled={!ready}
          options={QUALITIES.map(value => ({ value, label: String(value) }))}
          onChoose={value => onMark({ kind: 'quality', value })}
        />
      </MarkGroup>
      <Many
        title="What went wrong"
        values={faults}
        held={pad.marks.flatMap(mark => (mark.kind === 'fault' ? [mark.fault] : []))}
        ready={ready}
        onTap={fault => onMark({ kind: 'fault', place: null, fault })}
      />
      <MarkGroup title="Ridden gait">
        <Keys
          label="Ridden gait"
          value={whole?.kind === 'gait' ? whole.ridden : null}
          disabled={!ready}
          options={gaitsAbout(gait, isGaited).map(value => ({ value, label: gaitWord(value) }))}
          onChoose={ridden => onMark({ kind: 'gait', ridden })}
        />
      </MarkGroup>
      {old && (
        <MarkGroup title="Canter depart">
          <Keys
            label="Canter depart"
            value={old.how}
            disabled={!ready}
            options={DEPARTS.map(value => ({ value, label: value === 'right' ? 'right lead, prompt' : value }))}
            onChoose={how => onMark({ kind: 'depart', how, trotSteps: old.trotSteps })}
          />
        </MarkGroup>
      )}
      <MarkGroup title={headWanted(gait) ? `Head: wanted ${headWanted(gait)}` : 'Head'}>
        <Keys
          label="Head"
          value={said('head')?.height ?? null}
          disabled={!ready}
          options={HEAD_HEIGHTS.map(value => ({ value, label: value }))}
          onChoose={height => onMark({ kind: 'head', height })}
        />
      </MarkGroup>
      <Many
        title="The rider"
        values={riderMarks}
        held={pad.marks.flatMap(mark => (mark.kind === 'rider' ? [mark.what] : []))}
        ready={ready}
        onTap={what => onMark({ kind: 'rider', what })}
      />
      <Note ready={ready} onNote={words => onMark({ kind: 'note', words })} />
      <button type="button" className={classes.key} disabled={!ready} onClick={() => onMark({ kind: 'void' })}>
        Given up before the line: does not count
      </button>
    </div>
  );
}

type ManyProps = {
  title: string;
  values: readonly string[];
  held: readonly string[];
  ready: boolean;
  onTap: (value: string) => void;
};

/** Keys of which several hold. */
function Many({ title, values, held, ready, onTap }: ManyProps) {
  return (
    <MarkGroup title={title}>
      <div role="group" aria-label={title} className={classes.many}>
        {values.map(value => (
          <button
            key={value}
            type="button"
            className={classes.key}
            disabled={!ready}
            aria-pressed={held.includes(value)}
            onClick={() => onTap(value)}
          >
            {value}
          </button>
        ))}
      </div>
    </MarkGroup>
  );
}

function Note({ ready, onNote }: { ready: boolean; onNote: (words: string) => void }) {
  const [note, setNote] = useState('');
  const words = note.trim();
  const isLong = words.length > MOST_NOTE_LETTERS;
  return (
    <MarkGroup title="A word of note">
      <form
        className={classes.note}
        onSubmit={event => {
          event.preventDefault();
          if (words === '' || isLong) return;
          onNote(words);
          setNote('');
        }}
      >
        <input aria-label="A word of note" value={note} onChange={event => setNote(event.currentTarget.value)} />
        <button type="submit" className={classes.key} disabled={!ready || words === '' || isLong}>
          Note it
        </button>
      </form>
      {isLong && (
        <p role="alert">
          A note has at most {MOST_NOTE_LETTERS} letters; this has {words.length}.
        </p>
      )}
    </MarkGroup>
  );
}
