'use client';

import { lazily } from '@/components/lazily';
import { countName, FENCE_OUTCOMES, FIGURE_POINTS, LANDINGS, TAKE_OFFS, type PassMark, type TappedMark } from '@/core';
import { Keys } from '@/app/ride/_components/Keys';
import { MarkGroup } from './MarkGroup';
import { legNumber } from './padLegs';
import type { Pad } from '../../_state/pad/usePad';

/** Fetched beside the pad as it begins: only rows of poles have it, and a number may be typed in it. */
const ExactSpot = lazily(() => import('./ExactSpot').then(m => ({ default: m.ExactSpot })), { atOnce: true });

type OfStepProps = { pad: Pad; ready: boolean; onMark: (mark: TappedMark) => void };

const SHOWN_COUNTS = 6;

/** What is said of where one is: how it was jumped, the count, and what of a figure was kept. */
export function MarksOfStep({ pad, ready, onMark }: OfStepProps) {
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
            <MarkGroup key={point} title={`The ${point} of ${step.words}`}>
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
            </MarkGroup>
          );
        })}
      </>
    );
  return (
    <>
      <Count {...{ pad, ready, onMark }} />
      {step.kind === 'fence' && (
        <MarkGroup title={step.words}>
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
        </MarkGroup>
      )}
      <MarkGroup title="Aim point">
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
      </MarkGroup>
    </>
  );
}

/** Just where the foot fell in a row of poles: in the gap behind the chosen one, or in the row as a whole. */
export function ExactFoot({ pad, ready, onMark }: OfStepProps) {
  const gaps = pad.steps.length - 1;
  if (pad.counted || gaps < 1 || !pad.steps.every(({ kind }) => kind === 'pole')) return null;
  const place = pad.step ? Math.min(pad.step.place, gaps) : null;
  const said = pad.marks.find(mark => mark.kind === 'footfall' && mark.place === place);
  return (
    <MarkGroup title={place === null ? 'Where the foot fell' : `Where the foot fell, ${place} to ${place + 1}`}>
      <ExactSpot
        fraction={said?.kind === 'footfall' ? said.fraction : null}
        disabled={!ready}
        onTap={fraction => onMark({ kind: 'footfall', place, fraction })}
      />
    </MarkGroup>
  );
}

/** The count of the leg that follows, as a number. */
function Count({ pad, ready, onMark }: OfStepProps) {
  const { leg, chosen } = pad;
  const place = chosen === null ? null : legNumber(pad.steps, chosen);
  if (!leg || place === null) return null;
  const said = pad.marks.find(mark => mark.kind === 'strides' && mark.place === place);
  const first = Math.max(0, (leg.asked ?? leg.likely) - 2);
  return (
    <MarkGroup title={`Strides between ${leg.from} and ${leg.to}`}>
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
    </MarkGroup>
  );
}
