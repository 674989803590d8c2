'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { countName, type PadStep, type PassMark, type TrackGait } from '@/core';
import { useMemo, type ReactNode } from 'react';
import { isSaid, padKeys, type PadKey } from './keysOfPad';
import type { PadLeg } from './padLegs';
import type { Pad } from '../../_state/pad/usePad';
import { usePadLetters } from '../../_state/pad/usePadLetters';
import classes from './Pad.module.css';

type PadKeysProps = {
  pad: Pad;
  gait: TrackGait;
  /** Whether the horse has gaits of its own. */
  isGaited: boolean;
  backwards: boolean;
  onMore: () => void;
  /** Keys of a keyboard are heard: not while a sheet lies over the pad, nor where several passes are shown. */
  listens: boolean;
  /** What is watched in the rider, where that is what is worked on. */
  rider?: readonly string[] | undefined;
  /** Keys that stand beside “More”. */
  children?: ReactNode;
};

/** What is tapped while the horse goes: the strides, what happened where one is, and the rest behind one key. */
export function PadKeys({ pad, gait, isGaited, backwards, onMore, listens, rider, children }: PadKeysProps) {
  const say = useSay();
  const { steps, chosen, marks, run } = pad;
  // While strides are counted, what happens is of the stop that they lead to.
  const next = run && pad.leg ? (steps[run.step + 1] ?? null) : null;
  const step = next ?? pad.step;
  const kind = (step ?? steps[0])?.kind;
  const figures = new Set(steps.flatMap(one => (one.kind === 'figure' ? [one.place] : []))).size;
  const rows = useMemo(
    () =>
      kind
        ? padKeys(kind, step, {
            gait,
            isGaited,
            stops: steps.length,
            counted: pad.counted,
            figures,
            ...(rider && { rider }),
          }).filter(row => row.length > 0)
        : [],
    [kind, step, gait, isGaited, steps.length, pad.counted, figures, rider],
  );
  const tapKey = (key: PadKey) => pad.mark(key.of, key.at);
  usePadLetters(listens, {
    keys: rows.flat().filter(key => !key.needsStep || step !== null),
    onKey: tapKey,
    onStride: () => isTapped(pad) && pad.tap(),
    onStep: by => {
      if (steps.length > 0) pad.choose(Math.max(0, Math.min(steps.length - 1, (chosen ?? -1) + by)));
    },
    onNumber: number => number <= steps.length && pad.choose(number - 1),
  });
  return (
    <section aria-label="What is marked" className={classes.keys}>
      {steps.length > 0 && (
        <div className={classes.mainRow}>
          <StepArrow words="Back one" disabled={(chosen ?? 0) === 0} onClick={() => pad.choose((chosen ?? 1) - 1)}>
            ‹
          </StepArrow>
          {isTapped(pad) ? (
            <StrideKey {...{ pad, backwards }} />
          ) : (
            <p className={classes.caption} role="status">
              {say(pad.step?.words ?? wholeWords(kind, figures))}
            </p>
          )}
          <StepArrow
            words={steps[(chosen ?? -1) + 1] ? `On to ${steps[(chosen ?? -1) + 1]!.words}` : 'On to the end'}
            disabled={chosen === steps.length - 1}
            onClick={() => pad.choose((chosen ?? -1) + 1)}
          >
            ›
          </StepArrow>
        </div>
      )}
      {rows.map((row, index) => (
        <div key={index} className={row[0]?.short ? `${classes.row} ${classes.scores}` : classes.row}>
          {row[0]?.short && <span aria-hidden="true">How good</span>}
          {row.map(key => (
            <MarkKey
              key={key.name}
              padKey={key}
              pressed={isPressed(marks, key, key.at === 'left' ? pad.step : step)}
              disabled={key.needsStep && step === null}
              onTap={() => tapKey(key)}
            />
          ))}
          {index === rows.length - 1 && <MoreKey onMore={onMore} />}
        </div>
      ))}
      {rows.length === 0 && (
        <div className={classes.row}>
          <MoreKey onMore={onMore} />
        </div>
      )}
      {children}
    </section>
  );
}

/** What is spoken of while no place is chosen. */
function wholeWords(kind: PadStep['kind'] | undefined, figures: number): string {
  if (kind === 'pole') return 'The row as a whole: tap a pole for that one';
  return figures > 1 ? 'Tap a figure' : 'The figure as a whole: tap a part of it for that one';
}

/** Where strides or trot steps can be counted now. */
function isTapped({ counted, step }: Pad): boolean {
  if (step?.kind === 'transition') return step.from === 'trot' || (step.to === 'canter' && step.from === 'walk');
  return counted;
}

function isPressed(marks: readonly PassMark[], key: PadKey, step: PadStep | null): boolean {
  return (!key.needsStep || step !== null) && isSaid(marks, key.of(step));
}

type MarkKeyProps = { padKey: PadKey; pressed: boolean; disabled: boolean; onTap: () => void };

function MarkKey({ padKey: { name, short, letter, gapAt }, pressed, disabled, onTap }: MarkKeyProps) {
  const say = useSay();
  return (
    <button
      type="button"
      className={classes.key}
      aria-pressed={pressed}
      aria-keyshortcuts={letter}
      disabled={disabled}
      data-early={name}
      aria-label={short === undefined ? undefined : say(name)}
      onClick={onTap}
    >
      {gapAt !== undefined && <FootInGap at={gapAt} />}
      {short ?? say(name)}
      <kbd aria-hidden="true">{letter}</kbd>
    </button>
  );
}

/** Two poles from the side, ridden from the left, and where between them the foot fell. */
function FootInGap({ at }: { at: number }) {
  return (
    <svg className={classes.gap} width={48} height={12} viewBox="0 0 48 12" aria-hidden="true">
      <path d="M4 10H44" />
      <circle cx={4} cy={8} r={3} />
      <circle cx={44} cy={8} r={3} />
      <path d={`M${(4 + 40 * at).toFixed(1)} 1l-3.5 0l-1.5 7h8z`} className={classes.hoof} />
    </svg>
  );
}

function MoreKey({ onMore }: { onMore: () => void }) {
  return (
    <button type="button" className={classes.key} aria-haspopup="dialog" onClick={onMore}>
      More …
    </button>
  );
}

type StepArrowProps = { words: string; disabled: boolean; onClick: () => void; children: ReactNode };

function StepArrow({ words, disabled, onClick, children }: StepArrowProps) {
  const say = useSay();
  return (
    <button type="button" className={classes.key} aria-label={say(words)} disabled={disabled} onClick={onClick}>
      {children}
    </button>
  );
}

type StrideKeyProps = { pad: Pad; backwards: boolean };

/** A large place to tap strides, with the count and the count that is asked. */
function StrideKey({ pad, backwards }: StrideKeyProps) {
  const say = useSay();
  const { run, leg, step, marks } = pad;
  const isTransition = step?.kind === 'transition';
  const last = !isTransition && leg === null;
  const counted = run ? run.tapsMs.length : saidCount(pad, marks);
  return (
    <button
      type="button"
      className={classes.stride}
      aria-keyshortcuts="Space"
      disabled={last}
      data-early="stride"
      onClick={pad.tap}
    >
      {last ? (
        <span>{say(step?.words ?? '')}: the last</span>
      ) : (
        <>
          <strong>{counted ?? ''}</strong>
          <span>
            {isTransition ? say('Tap each trot step') : 'Tap each stride'}
            <small>{isTransition ? say(step.words) : leg ? legWords(leg, backwards) : ''}</small>
          </span>
        </>
      )}
    </button>
  );
}

function saidCount({ steps, chosen }: Pad, marks: readonly PassMark[]): number | null {
  const [here, next] = chosen === null ? [] : [steps[chosen], steps[chosen + 1]];
  if (here?.kind === 'transition') {
    const said = marks.find(mark => mark.kind === 'transition' && mark.place === here.place);
    return said?.kind === 'transition' ? said.trotSteps : null;
  }
  if (!here || !next) return null;
  const said = marks.find(mark => mark.kind === 'strides' && mark.place === Math.min(here.place, next.place));
  return said?.kind === 'strides' ? said.count : null;
}

function legWords({ from, to, asked, zeroIs }: PadLeg, backwards: boolean): string {
  const way = backwards ? `${to} to ${from}` : `${from} to ${to}`;
  if (asked === null) return way;
  return `${way} · ${asked === 0 ? countName(0, zeroIs) : asked} asked`;
}
