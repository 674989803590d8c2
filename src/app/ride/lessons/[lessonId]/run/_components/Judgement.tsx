'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  afterFailure,
  hasReins,
  repeatedFaults,
  stopHere,
  type FaultAnswer,
  type PassRecord,
  type RepeatedFault,
} from '@/core';
import type { ReactNode } from 'react';
import { legEnds, useAdjust } from '../_state/useAdjust';
import { placeName, type AskedRide } from '@/app/ride/askedRide';
import type { RunStage } from '../runStage';
import classes from './RunLesson.module.css';

type JudgementProps = {
  stage: RunStage;
  /** What is asked. */
  ride: AskedRide;
  /** Of the chosen pair and this question, oldest first, without the one that is being marked. */
  passes: readonly PassRecord[];
  nowMs: number;
  /** Null at the first stage. */
  onStageDown: (() => void) | null;
  onLine: (from: number, to: number) => void;
};

/** What the passes say should happen now: the policy after a failure, a fault that came back, and when it is enough. */
export function Judgement({ stage, ride, passes, nowMs, onStageDown, onLine }: JudgementProps) {
  const nameOf = (place: number) => placeName(ride, place);
  const { stop, eachRein } = stage;
  const failed = afterFailure(stage.policy, passes, nameOf);
  const enough = stopHere(passes, { stop, eachRein, hasReins: hasReins(ride.ways), nowMs });
  const again = repeatedFaults(passes);
  const answers = (given: readonly FaultAnswer[]) => (
    <Answers stage={stage} ride={ride} answers={given} nameOf={nameOf} onStageDown={onStageDown} onLine={onLine} />
  );
  return (
    <>
      {enough && (
        <p className={classes.notice} role="status">
          <strong>Enough of this stage?</strong> {enough}
        </p>
      )}
      {failed && again.length === 0 && (
        <div className={classes.notice} role="status">
          <p>
            <strong>After that one:</strong> {failed.words}
          </p>
          {answers(failed.answers)}
        </div>
      )}
      {again.slice(0, 1).map(fault => (
        <Again key={`${fault.what} ${fault.place}`} fault={fault} nameOf={nameOf} failed={failed?.words ?? null}>
          {answers(fault.answers)}
        </Again>
      ))}
      {again.length > 1 && (
        <details className={classes.more}>
          <summary>{again.length - 1} more came back</summary>
          {again.slice(1).map(fault => (
            <Again key={`${fault.what} ${fault.place}`} fault={fault} nameOf={nameOf} failed={null}>
              {answers(fault.answers)}
            </Again>
          ))}
        </details>
      )}
    </>
  );
}

type AgainProps = {
  fault: RepeatedFault;
  nameOf: (place: number) => string;
  /** What the stage’s policy says after a failure, where the last pass was one. */
  failed: string | null;
  children: ReactNode;
};

/** A fault that came back, and what to look at. */
function Again({ fault: { what, place, times, suggestion }, nameOf, failed, children }: AgainProps) {
  const { say } = useLengths();
  return (
    <div className={classes.notice} role="status">
      <p>
        <strong>
          {what}
          {place === null ? '' : ` at ${nameOf(place)}`}, {times} times.
        </strong>{' '}
        {say(suggestion)} {failed && `The stage’s way: ${failed}`}
      </p>
      {children}
    </div>
  );
}

type AnswersProps = Pick<JudgementProps, 'stage' | 'ride' | 'onStageDown' | 'onLine'> & {
  nameOf: (place: number) => string;
  answers: readonly FaultAnswer[];
};

/** What can be done with one tap. */
function Answers({ stage, ride, answers, nameOf, onStageDown, onLine }: AnswersProps) {
  const { formatChange } = useLengths();
  const { track } = ride;
  const { adjust, busy, problem } = useAdjust(stage.layoutId);
  const key = (label: string, onClick: () => void, disabled = false) => (
    <button key={label} type="button" className={classes.key} disabled={disabled} onClick={onClick}>
      {label}
    </button>
  );
  const keys = answers.flatMap(answer => {
    switch (answer.kind) {
      case 'distance': {
        const leg = track?.legs[answer.leg];
        if (!leg) return [];
        const label = `Set ${leg.from} to ${leg.to} ${formatChange(answer.byM)}`;
        const ends = legEnds(track!.planned, answer.leg);
        return [key(label, () => adjust(ends, answer.byM), busy)];
      }
      case 'stage down':
        return onStageDown ? [key('A stage down', onStageDown)] : [];
      case 'only this line':
        return [key(`Only ${nameOf(answer.from)} to ${nameOf(answer.to)}`, () => onLine(answer.from, answer.to))];
    }
  });
  if (keys.length === 0) return null;
  return (
    <>
      <div className={classes.keys}>{keys}</div>
      {problem && <p role="alert">{problem}</p>}
    </>
  );
}
