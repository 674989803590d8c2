'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import {
  countName,
  DEPARTS,
  FENCE_OUTCOMES,
  FIGURE_POINTS,
  HEAD_HEIGHTS,
  gaitWord,
  headWanted,
  LANDINGS,
  TAKE_OFFS,
  type PassMark,
  type TappedMark,
  type TrackGait,
} from '@/core';
import { MAX_NOTE_LENGTH } from '@/files/recordEvent';
import { Keys } from '@/app/ride/_components/Keys';
import { useState, type ReactNode } from 'react';
import { ExactSpot } from './ExactSpot';
import { gaitsAbout } from './padKeys';
import { legNumber } from './padLegs';
import type { Pad } from './usePad';
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
const SHOWN_COUNTS = 6;

/** What a pass seldom needs, in groups: of where one is, and of the pass as a whole. */
export function MoreMarks({ pad, gait, isGaited, faults, riderMarks, ready, onMark }: MoreMarksProps) {
  const said = <Kind extends PassMark['kind']>(kind: Kind) =>
    pad.marks.find((mark): mark is Extract<PassMark, { kind: Kind }> => mark.kind === kind);
  const old = said('depart');
  const whole = pad.marks.find(mark => mark.kind === 'gait' && mark.from === undefined && mark.fromM === undefined);
  return (
    <div className={classes.more}>
      <OfStep {...{ pad, ready, onMark }} />
      <ExactFoot {...{ pad, ready, onMark }} />
      <Group title="Quality, 1 to 5">
        <Keys
          label="Quality, 1 to 5"
          short
          value={said('quality')?.value ?? null}
          disabled={!ready}
          options={QUALITIES.map(value => ({ value, label: String(value) }))}
          onChoose={value => onMark({ kind: 'quality', value })}
        />
      </Group>
      <Many
        title="What went wrong"
        values={faults}
        held={pad.marks.flatMap(mark => (mark.kind === 'fault' ? [mark.fault] : []))}
        ready={ready}
        onTap={fault => onMark({ kind: 'fault', place: null, fault })}
      />
      <Group title="Ridden gait">
        <Keys
          label="Ridden gait"
          value={whole?.kind === 'gait' ? whole.ridden : null}
          disabled={!ready}
          options={gaitsAbout(gait, isGaited).map(value => ({ value, label: gaitWord(value) }))}
          onChoose={ridden => onMark({ kind: 'gait', ridden })}
        />
      </Group>
      {old && (
        <Group title="Canter depart">
          <Keys
            label="Canter depart"
            value={old.how}
            disabled={!ready}
            options={DEPARTS.map(value => ({ value, label: value === 'right' ? 'right lead, prompt' : value }))}
            onChoose={how => onMark({ kind: 'depart', how, trotSteps: old.trotSteps })}
          />
        </Group>
      )}
      <Group title={headWanted(gait) ? `Head: wanted ${headWanted(gait)}` : 'Head'}>
        <Keys
          label="Head"
          value={said('head')?.height ?? null}
          disabled={!ready}
          options={HEAD_HEIGHTS.map(value => ({ value, label: value }))}
          onChoose={height => onMark({ kind: 'head', height })}
        />
      </Group>
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

function Group({ title, children }: { title: string; children: ReactNode }) {
  const say = useSay();
  return (
    <section>
      <h3>{say(title)}</h3>
      {children}
    </section>
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
    <Group title={title}>
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
    </Group>
  );
}

/** What is said of where one is: how it was jumped, the count, and what of a figure was kept. */
function OfStep({ pad, ready, onMark }: Pick<MoreMarksProps, 'pad' | 'ready' | 'onMark'>) {
  const { step } = pad;
  if (!step) return null;
  const { place } = step;
  const here = <Kind extends PassMark['kind']>(kind: Kind) =>
    pad.marks.find(
      (mark): mark is Extract<PassMark, { kind: Kind }> =>
        mark.kind === kind && 'place' in mark && mark.place === place,
    );
  if (step.kind === 'transition') return null;
  if (step.kind === 'figure')
    return (
      <>
        {FIGURE_POINTS.map(point => {
          const part = step.part === null ? {} : { part: step.part };
          const said = pad.marks.find(
            mark =>
              mark.kind === 'figure' &&
              mark.place === place &&
              mark.point === point &&
              (mark.part ?? null) === step.part,
          );
          return (
            <Group key={point} title={`The ${point} of ${step.words}`}>
              <Keys
                label={`${point} of ${step.words}`}
                value={said?.kind === 'figure' ? (said.kept ? 'kept' : 'lost') : null}
                disabled={!ready}
                options={[
                  { value: 'kept', label: `${point} kept` },
                  { value: 'lost', label: `${point} lost` },
                ]}
                onChoose={value => onMark({ kind: 'figure', place, ...part, point, kept: value === 'kept' })}
              />
            </Group>
          );
        })}
      </>
    );
  return (
    <>
      <Count {...{ pad, ready, onMark }} />
      {step.kind === 'fence' && (
        <Group title={step.words}>
          <Keys
            label={`How ${step.words} was ridden`}
            value={here('fence')?.outcome ?? null}
            disabled={!ready}
            options={FENCE_OUTCOMES.map(value => ({ value, label: value }))}
            onChoose={outcome => onMark({ kind: 'fence', place, outcome })}
          />
          <Keys
            label="Take-off"
            value={here('take-off')?.where ?? null}
            disabled={!ready}
            options={TAKE_OFFS.map(value => ({ value, label: `${value} take-off` }))}
            onChoose={where => onMark({ kind: 'take-off', place, where })}
          />
          <Keys
            label="Landing"
            value={here('landing')?.where ?? null}
            disabled={!ready}
            options={LANDINGS.map(value => ({ value, label: `landed ${value}` }))}
            onChoose={where => onMark({ kind: 'landing', place, where })}
          />
        </Group>
      )}
      <Group title="Aim point">
        <Keys
          label="Aim point"
          value={here('aim')?.off ?? null}
          disabled={!ready}
          options={[
            { value: 'left', label: 'aim off left' },
            { value: 'right', label: 'aim off right' },
          ]}
          onChoose={off => onMark({ kind: 'aim', place, off })}
        />
      </Group>
    </>
  );
}

/** Just where the foot fell in a row of poles: in the gap behind the chosen one, or in the row as a whole. */
function ExactFoot({ pad, ready, onMark }: Pick<MoreMarksProps, 'pad' | 'ready' | 'onMark'>) {
  const gaps = pad.steps.length - 1;
  if (pad.counted || gaps < 1 || !pad.steps.every(({ kind }) => kind === 'pole')) return null;
  const place = pad.step ? Math.min(pad.step.place, gaps) : null;
  const said = pad.marks.find(mark => mark.kind === 'footfall' && mark.place === place);
  return (
    <Group title={place === null ? 'Where the foot fell' : `Where the foot fell, ${place} to ${place + 1}`}>
      <ExactSpot
        fraction={said?.kind === 'footfall' ? said.fraction : null}
        disabled={!ready}
        onTap={fraction => onMark({ kind: 'footfall', place, fraction })}
      />
    </Group>
  );
}

/** The count of the leg that follows, as a number. */
function Count({ pad, ready, onMark }: Pick<MoreMarksProps, 'pad' | 'ready' | 'onMark'>) {
  const { leg, chosen } = pad;
  const place = chosen === null ? null : legNumber(pad.steps, chosen);
  if (!leg || place === null) return null;
  const said = pad.marks.find(mark => mark.kind === 'strides' && mark.place === place);
  const first = Math.max(0, (leg.asked ?? leg.likely) - 2);
  return (
    <Group title={`Strides between ${leg.from} and ${leg.to}`}>
      <Keys
        label="Strides"
        value={said?.kind === 'strides' ? said.count : null}
        disabled={!ready}
        short
        options={Array.from({ length: SHOWN_COUNTS }, (_, index) => first + index).map(value => ({
          value,
          label: value === 0 ? countName(0, leg.zeroIs) : String(value),
        }))}
        onChoose={count => onMark({ kind: 'strides', place, count })}
      />
    </Group>
  );
}

function Note({ ready, onNote }: { ready: boolean; onNote: (words: string) => void }) {
  const [note, setNote] = useState('');
  const words = note.trim();
  const isLong = words.length > MAX_NOTE_LENGTH;
  return (
    <Group title="A word of note">
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
          A note has at most {MAX_NOTE_LENGTH} letters; this has {words.length}.
        </p>
      )}
    </Group>
  );
}
