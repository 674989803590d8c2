'use client';

import { howMany } from '@/core';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { Button, Chip, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useSuggested, type Suggested } from '../_state/useSuggested';
import { Refused } from './Refused';
import { SuggestionCard } from './SuggestionCard';
import classes from './WhatNext.module.css';
import type { NextPair } from './nextPair';

type WhatNextProps = {
  pairs: readonly NextPair[];
  arenas: readonly { id: string; name: string }[];
  first: { pairIds: string[]; arenaId: string; startsAt: string; minutes: number };
  /** What was refused and holds still. */
  refused: readonly { id: string; words: string }[];
};

/** A lesson takes twelve pairs at most. */
const MOST_PAIRS = 12;
const LEAST_MIN = 5;
const MOST_MIN = 240;
/** The warm-up is not suggested; it comes before. */
const WARM_UP_MIN = 10;

/** Who rides where, when and how long; below it what they could ride, each with its reason. */
export function WhatNext({ pairs, arenas, first, refused }: WhatNextProps) {
  const [pairIds, setPairIds] = useState(first.pairIds);
  const [arenaId, setArenaId] = useState(first.arenaId);
  const [startsAt, setStartsAt] = useState(first.startsAt);
  const [typedMin, setTypedMin] = useState(String(first.minutes));
  const [more, setMore] = useState(refused);
  const minutes = /^\s*\d+\s*$/.test(typedMin) ? Number(typedMin) : Number.NaN;
  const isWhole = minutes >= LEAST_MIN + WARM_UP_MIN && minutes <= MOST_MIN;
  const isReady = pairIds.length > 0 && isWhole && startsAt !== '';
  const { suggested, again } = useSuggested(
    isReady ? { pairIds, arenaId, startsAt, minutes: minutes - WARM_UP_MIN, each: false } : null,
  );
  const riding = pairIds.flatMap(id => pairs.find(pair => pair.id === id) ?? []);
  return (
    <div className={classes.next}>
      <form className={classes.wish} onSubmit={event => event.preventDefault()}>
        <fieldset className={classes.who}>
          <legend>Who rides</legend>
          <Chip.Group multiple value={pairIds} onChange={ids => setPairIds(ids.slice(0, MOST_PAIRS))}>
            <div className={classes.pairs}>
              {pairs.map(({ id, horse, rider }) => (
                <Chip key={id} value={id} size="md" classNames={{ label: classes.pair }}>
                  {horse} with {rider}
                </Chip>
              ))}
            </div>
          </Chip.Group>
        </fieldset>
        <div className={classes.when}>
          <TextInput
            type="datetime-local"
            label="Day and time"
            value={startsAt}
            onChange={event => setStartsAt(event.currentTarget.value)}
          />
          <TextInput
            label="Minutes, with the warm-up"
            inputMode="numeric"
            value={typedMin}
            error={isWhole ? null : `From ${LEAST_MIN + WARM_UP_MIN} to ${MOST_MIN}.`}
            onChange={event => setTypedMin(event.currentTarget.value)}
          />
          <NativeSelect
            label="Sand"
            value={arenaId}
            data={arenas.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={event => setArenaId(event.currentTarget.value)}
          />
        </div>
      </form>
      {pairIds.length === 0 ? (
        <p>Say who rides: one pair, or those who ride together.</p>
      ) : (
        <Found
          {...{ suggested, riding, arenaId, startsAt }}
          onRefused={one => {
            setMore(before => [one, ...before.filter(({ id }) => id !== one.id)]);
            again();
          }}
          again={again}
        />
      )}
      <Refused
        refused={more}
        onBack={id => {
          setMore(before => before.filter(one => one.id !== id));
          again();
        }}
      />
    </div>
  );
}

type FoundProps = {
  suggested: Suggested | null;
  riding: readonly NextPair[];
  arenaId: string;
  startsAt: string;
  onRefused: (one: { id: string; words: string }) => void;
  again: () => void;
};

function Found({ suggested, riding, arenaId, startsAt, onRefused, again }: FoundProps) {
  const say = useSay();
  if (suggested === null) return null;
  if (suggested.kind === 'waiting') return <p role="status">Looking through the record …</p>;
  if (suggested.kind === 'failed')
    return (
      <p role="alert">
        {suggested.problem}{' '}
        <Button size="compact-sm" variant="default" onClick={again}>
          Try again
        </Button>
      </p>
    );
  const [found] = suggested.of;
  if (!found) return null;
  return (
    <>
      {found.tooLittle !== null && <p role="status">{found.tooLittle}</p>}
      {found.tooLittle === null && found.suggestions.length === 0 && (
        <p role="status">Nothing can be asked then without going over a limit: take another day, or more minutes.</p>
      )}
      <ul className={classes.cards} aria-label="What they could ride">
        {found.suggestions.map(one => (
          <li key={one.exercise}>
            <SuggestionCard suggestion={one} {...{ riding, arenaId, startsAt, onRefused }} />
          </li>
        ))}
      </ul>
      {found.out.length > 0 && (
        <details className={classes.out}>
          <summary>{howMany(found.out.length, 'exercise is', 'exercises are')} left out</summary>
          <ul>
            {found.out.map(({ title, why }) => (
              <li key={`${title} ${why}`}>
                <strong>{say(title)}</strong>: {say(why)}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
