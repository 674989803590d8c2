'use client';

import { useAct } from '@/components/form/useAct';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { useSaveId } from '@/components/sync/useSaveId';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import type { ShownSuggestion } from '../_state/suggest.worker';
import { refuseSuggestionAction, takeSuggestionAction } from '../actions';
import { TermBars } from './TermBars';
import classes from './WhatNext.module.css';
import type { NextPair } from './nextPair';

type SuggestionCardProps = {
  suggestion: ShownSuggestion;
  riding: readonly NextPair[];
  arenaId: string;
  startsAt: string;
  onRefused: (one: { id: string; words: string }) => void;
};

const NO_ANSWER = 'The server does not answer: nothing was kept.';

/** A suggestion: its picture, its reason in a sentence, what is ridden; the lesson is one tap away. */
export function SuggestionCard({ suggestion, riding, arenaId, startsAt, onRefused }: SuggestionCardProps) {
  const say = useSay();
  const router = useRouter();
  const nameSave = useSaveId();
  const { act, busy, problem } = useAct(NO_ANSWER);
  const { exercise, title, why, layoutId, layoutName, stages, next, minutes, easier, show, terms } = suggestion;
  const pairIds = riding.map(({ id }) => id);
  const take = () => {
    const series = stages.map(({ stage, eachRein }) => ({ stage, eachRein }));
    const taken = { pairIds, arenaId, startsAt, exercise, layoutId, series, next };
    act(
      () => takeSuggestionAction(taken, nameSave(taken)),
      ({ lessonId }) => router.push(`/ride/lessons/${lessonId}`),
    );
  };
  const refuse = () => {
    const whom = riding.map(({ horse }) => horse).join(', ');
    act(
      () => refuseSuggestionAction({ pairIds, exercise, stage: Math.max(...next) }),
      ({ refusalId }) => onRefused({ id: refusalId, words: `${title}, for ${whom}: refused now` }),
    );
  };
  return (
    <article className={classes.card} aria-label={say(title)}>
      <div className={classes.picture}>{show && <AskedShown show={show} isSmall />}</div>
      <div className={classes.words}>
        <h2>{say(title)}</h2>
        <p>{say(why)}</p>
        <ol className={classes.stages}>
          {stages.map(({ stage, name, eachRein }) => (
            <li key={stage}>
              {say(name)}, {eachRein === 1 ? 'once' : `${eachRein} times`} on each rein
            </li>
          ))}
        </ol>
        {easier.map(({ pair, stage }) => (
          <p key={pair} className={classes.quiet}>
            {riding[pair]?.horse} beside it: {say(stage.toLowerCase())}
          </p>
        ))}
        <p className={classes.quiet}>
          About {minutes} minutes. {layoutName === null ? 'A new layout comes with it.' : `On “${layoutName}”.`}
        </p>
        {problem && <p role="alert">{problem}</p>}
        <div className={classes.keys}>
          <Button mih={44} loading={busy} onClick={take}>
            Make the lesson
          </Button>
          <Button mih={44} variant="default" disabled={busy} onClick={refuse}>
            Not this
          </Button>
        </div>
        <TermBars terms={terms} />
      </div>
    </article>
  );
}
