'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { formatTape, type Layout, type ReckonedTrack, type SettingSheet as CoreSheet, type SettingWish } from '@/core';
import { Alert, Button, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { keepStandingAction } from '../../actions';
import { useGroundTruth, type Typed } from '../_state/useGroundTruth';
import { ChangedLegs } from './ChangedLegs';
import classes from './GroundPanel.module.css';
import type { SetStep } from './setStep';
import type { Walker } from './SettingSheet';

type GroundPanelProps = {
  layoutId: string;
  revision: number;
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  sheet: CoreSheet;
  measureBy: SettingWish['measureBy'];
  stage: string | null;
  steps: readonly SetStep[];
  walker: Walker | null;
  onKept: () => void;
};

/** What was really measured on the ground, what it changes, and whether to ride it so or to put it back. */
export function GroundPanel(props: GroundPanelProps) {
  const { layoutId, revision, layout, tracks, sheet, measureBy, stage, steps, walker, onKept } = props;
  const { unit } = useLengths();
  const router = useRouter();
  const reading = { unit, stepM: walker?.stepLengthM ?? null };
  const truth = useGroundTruth(layout, sheet, measureBy, reading, `measured ${layoutId} ${revision} ${stage ?? ''}`);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const { ground } = truth;
  const keep = () =>
    begin(async () => {
      if (ground.kind !== 'measured') return;
      const answer = await keepStandingAction({ layoutId, revision, stage, typed: ground.typed }).catch(() => null);
      setProblem(answer?.ok ? null : (answer?.problem ?? 'The server does not answer: what you typed is kept here.'));
      if (!answer?.ok) return;
      truth.forget();
      onKept();
      router.refresh();
      // What is ridden now is said at the top of the sheet.
      window.scrollTo({ top: 0 });
    });
  const legs = tracks.flatMap(track =>
    track.kind === 'items' ? track.legs.map((leg, index) => ({ ...leg, track: track.id, index })) : [],
  );
  // A piece without a name is told by its number on this sheet.
  const called = (id: string) =>
    layout.items.find(item => item.id === id)?.name ?? `piece ${steps.find(step => step.id === id)?.label ?? ''}`;
  return (
    <section className={`${classes.ground} roan-no-print`} aria-label="As measured">
      <p>
        Type what the tape or your steps really said; leave the rest empty. “7½ steps” works too once it is known whose
        they are.
      </p>
      {legs.length > 0 && (
        <fieldset className={classes.group}>
          <legend>From piece to piece, back rail to front rail along the track</legend>
          {legs.map(({ track, index, from, to, groundM }) => (
            <Length
              key={`${track} ${index}`}
              label={`${called(from)} to ${called(to)}`}
              planned={formatTape(groundM, unit)}
              typed={truth.leg(track, index)}
              onType={text => truth.typeLeg(track, index, text)}
            />
          ))}
        </fieldset>
      )}
      {steps.map(({ id, label, name, lines }) => {
        const own = lines.filter(({ follows }) => !follows);
        return (
          own.length > 0 && (
            <fieldset key={id} className={classes.group}>
              <legend>
                {label} {name}
              </legend>
              {own.map(({ measure, words, tape }) => (
                <Length
                  key={measure}
                  label={words}
                  planned={tape}
                  typed={truth.measure(measure)}
                  onType={text => truth.typeMeasure(measure, text)}
                />
              ))}
            </fieldset>
          )
        );
      })}
      <div className={classes.outcome} role="status">
        {ground.kind === 'nothing' && <p>Nothing typed yet.</p>}
        {ground.kind === 'faulty' && <p>{ground.problem}</p>}
        {ground.kind === 'measured' && (
          <>
            <h2>What it changes</h2>
            <ChangedLegs changes={ground.changes} />
            <div className={classes.buttons}>
              <Button loading={busy} onClick={keep}>
                Ride it as it stands
              </Button>
              <Button variant="default" onClick={truth.forget}>
                Put it back as planned
              </Button>
            </div>
          </>
        )}
        {problem && <Alert color="ochre">{problem}</Alert>}
      </div>
    </section>
  );
}

type LengthProps = { label: string; planned: string; typed: Typed; onType: (text: string) => void };

function Length({ label, planned, typed, onType }: LengthProps) {
  return (
    <TextInput
      label={label}
      description={`planned ${planned}`}
      classNames={{ description: classes.planned }}
      inputWrapperOrder={['label', 'description', 'input', 'error']}
      value={typed.text}
      error={typed.fault}
      inputMode="text"
      autoComplete="off"
      onChange={event => onType(event.currentTarget.value)}
    />
  );
}
