'use client';

import { useAct } from '@/components/form/useAct';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { CountWalk } from '@/components/CountWalk/CountWalk';
import { WalkedField } from '@/components/CountWalk/WalkedField';
import {
  formatTape,
  layoutLabels,
  reckonLayout,
  sheetLabels,
  type Item,
  type Layout,
  type ReckonedItemTrack,
  type ReckonedTrack,
} from '@/core';
import { Alert, Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { keepStandingAction } from '../../actions';
import type { Typed } from '../_state/ground';
import type { GroundTruth } from '../_state/useGroundTruth';
import { ChangedLegs } from './ChangedLegs';
import { GroundPicture } from './GroundPicture';
import { GroundRibbon } from './GroundRibbon';
import classes from './GroundPanel.module.css';
import type { SetStep } from './setStep';
import type { Walker } from './walker';

type GroundPanelProps = {
  layoutId: string;
  revision: number;
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  whole: Layout;
  truth: GroundTruth;
  stage: string | null;
  steps: readonly SetStep[];
  walker: Walker | null;
  onKept: () => void;
};

/** What was really measured on the ground, what it changes, and whether to ride it so or to put it back. */
export function GroundPanel(props: GroundPanelProps) {
  const { layoutId, revision, layout, whole, tracks, truth, stage, steps, walker, onKept } = props;
  const { unit, format } = useLengths();
  const [walking, setWalking] = useState<Walking | null>(null);
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: what you typed is kept here.');
  const { ground } = truth;
  const keep = () => {
    if (ground.kind !== 'measured') return;
    const { typed } = ground;
    act(
      () => keepStandingAction({ layoutId, revision, stage, typed }),
      () => {
        truth.forget();
        onKept();
        router.refresh();
        // What is ridden now is said at the top of the sheet.
        window.scrollTo({ top: 0 });
      },
    );
  };
  const legs = tracks.flatMap(track =>
    track.kind === 'items' ? track.legs.map((leg, index) => ({ ...leg, track: track.id, index })) : [],
  );
  const numberOf = sheetLabels(whole, layout);
  // What is told apart by number on the sheet is so here.
  const called = (id: string) => layout.items.find(item => item.id === id)?.name ?? `piece ${numberOf(id)}`;
  const walk = (key: string, label: string, planned: string, onText: (text: string) => void) =>
    walker && setWalking({ key, label, planned, onText });
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
              onWalk={
                walker &&
                (() =>
                  walk(`${track} ${index}`, `${called(from)} to ${called(to)}`, formatTape(groundM, unit), text =>
                    truth.typeLeg(track, index, text),
                  ))
              }
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
                  onWalk={
                    walker &&
                    (() => walk(measure, `${label}, ${words}`, tape, text => truth.typeMeasure(measure, text)))
                  }
                />
              ))}
            </fieldset>
          )
        );
      })}
      {ground.kind === 'measured' && (
        <AsItStands layout={layout} standing={ground.items} planned={tracks} numberOf={numberOf} format={format} />
      )}
      {walking && walker && (
        <CountWalk
          key={walking.key}
          label={walking.label}
          planned={walking.planned}
          stepM={walker.stepLengthM}
          onClose={() => setWalking(null)}
          onDone={walked => {
            walking.onText(walked);
            setWalking(null);
          }}
        />
      )}
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

type Walking = { key: string; label: string; planned: string; onText: (text: string) => void };

type AsItStandsProps = {
  layout: Layout;
  standing: readonly Item[];
  planned: readonly ReckonedTrack[];
  numberOf: (item: string) => string;
  format: (lengthM: number) => string;
};

/** The sand and every track as they stand, over the plan. */
function AsItStands({ layout, standing, planned, numberOf, format }: AsItStandsProps) {
  const tracks = useMemo(() => reckonLayout({ ...layout, items: [...standing] }), [layout, standing]);
  const pairs = planned.flatMap((track, index): [ReckonedItemTrack, ReckonedItemTrack][] => {
    const now = tracks[index];
    return track.kind === 'items' && now?.kind === 'items' && track.legs.length > 0 ? [[track, now]] : [];
  });
  return (
    <div className={classes.shown}>
      <GroundPicture layout={layout} standing={standing} tracks={tracks} numberOf={numberOf} />
      {pairs.map(([was, is]) => (
        <GroundRibbon
          key={was.id}
          label={layoutLabels(layout).track(was.id)}
          planned={was}
          standing={is}
          numberOf={numberOf}
          format={format}
        />
      ))}
    </div>
  );
}

type LengthProps = {
  label: string;
  planned: string;
  typed: Typed;
  onType: (text: string) => void;
  /** Counts it while walking; null where nobody's step is known. */
  onWalk: (() => void) | null;
};

function Length({ label, planned, typed, onType, onWalk }: LengthProps) {
  return (
    <WalkedField
      label={label}
      description={`planned ${planned}`}
      classNames={{ description: classes.planned }}
      inputWrapperOrder={['label', 'description', 'input', 'error']}
      value={typed.text}
      error={typed.fault}
      inputMode="text"
      onType={onType}
      onWalk={onWalk}
    />
  );
}
