'use client';

import { newId } from '@/components/newId';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  askedLayout,
  countsAsked,
  HOLE_M,
  leftOut,
  overState,
  type BuiltState,
  type Layout,
  type Question,
} from '@/core';
import type { AskedRide } from '@/app/ride/askedRide';
import { Keys } from '@/app/ride/_components/Keys';
import classes from './RunLesson.module.css';
import { useState } from 'react';

type AskSheetProps = {
  horse: string;
  question: Question;
  ride: AskedRide;
  layout: Layout;
  ready: boolean;
  /** Asks it with a change from the next pass on: of this pair, or of all. */
  onAsk: (change: (question: Question) => Question | null, ofAll: boolean) => void;
};

const NOTHING_MORE: BuiltState = { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} };

/** What is asked, changed on the day: counts, heights, a fence as a pole, one left out; of this pair or of all. */
export function AskSheet({ horse, question, ride, layout, ready, onAsk }: AskSheetProps) {
  const { format } = useLengths();
  const [ofAll, setOfAll] = useState(false);
  const { track } = ride;
  if (!track) return null;
  const withCounts = (one: Question): Question => {
    const own = askedLayout(layout, one);
    return own ? { ...one, asked: countsAsked(own) } : one;
  };
  const count = (leg: number, strides: number | null) =>
    onAsk(one => {
      const counted = withCounts(one);
      return { ...counted, asked: counted.asked.map((before, at) => (at === leg ? strides : before)) };
    }, ofAll);
  const build = (state: Partial<BuiltState>) =>
    onAsk(one => ({ ...withCounts(one), state: overState(one.state, { ...NOTHING_MORE, ...state }) }), ofAll);
  /** A hole up or down from where it stands for each: of all, a fence that is lower for the pony stays so. */
  const raise = (id: string, byM: number) =>
    onAsk(one => {
      const item = askedLayout(layout, one)?.items.find(other => other.id === id);
      if (item?.kind !== 'fence') return one;
      const heightM = Math.max(HOLE_M, round(item.heightM + byM));
      return { ...withCounts(one), state: overState(one.state, { ...NOTHING_MORE, heightM: { [id]: heightM } }) };
    }, ofAll);
  const stands = (id: string) => layout.items.find(item => item.id === id);
  const fences = track.stops.filter((stop, at) => track.stops.findIndex(({ item }) => item === stop.item) === at);
  return (
    <details className={classes.more}>
      <summary>What is asked{ofAll ? '' : ` of ${horse}`}</summary>
      <Keys
        label="Of whom"
        value={ofAll ? 'all' : 'pair'}
        options={[
          { value: 'pair', label: `Of ${horse} only` },
          { value: 'all', label: 'Of all' },
        ]}
        onChoose={value => setOfAll(value === 'all')}
      />
      {track.legs.length > 0 && <h2>Strides asked</h2>}
      {track.legs.map((leg, at) => (
        <div
          key={at}
          role="group"
          aria-label={`Strides asked from ${leg.from} to ${leg.to}`}
          className={classes.stepper}
        >
          <span>
            {leg.from} to {leg.to}
            <small>{leg.words ?? ''}</small>
          </span>
          <button
            type="button"
            className={classes.small}
            aria-label="One stride fewer"
            disabled={!ready || leg.asked === 0}
            onClick={() => count(at, Math.max(0, (leg.asked ?? leg.likely) - 1))}
          >
            −
          </button>
          <output aria-label="Strides">{leg.asked ?? 'its own'}</output>
          <button
            type="button"
            className={classes.small}
            aria-label="One stride more"
            disabled={!ready}
            onClick={() => count(at, (leg.asked ?? leg.likely) + 1)}
          >
            +
          </button>
          <button
            type="button"
            className={classes.key}
            disabled={!ready || leg.asked === null}
            onClick={() => count(at, null)}
          >
            its own
          </button>
        </div>
      ))}
      <h2>Heights, and what is left out</h2>
      {fences.map(stop => {
        const item = stands(stop.item);
        const heightM = stop.heightM;
        const wasFence = item?.kind === 'fence';
        return (
          <div key={stop.item} role="group" aria-label={stop.words} className={classes.stepper}>
            <span>
              {stop.words}
              {heightM !== null && <small>{format(heightM)} high</small>}
            </span>
            {heightM !== null && (
              <>
                <button
                  type="button"
                  className={classes.small}
                  aria-label={`${stop.words} a hole down`}
                  disabled={!ready || heightM <= HOLE_M}
                  onClick={() => raise(stop.item, -HOLE_M)}
                >
                  −
                </button>
                <button
                  type="button"
                  className={classes.small}
                  aria-label={`${stop.words} a hole up`}
                  disabled={!ready || heightM >= MOST_M}
                  onClick={() => raise(stop.item, HOLE_M)}
                >
                  +
                </button>
                <button
                  type="button"
                  className={classes.key}
                  disabled={!ready}
                  onClick={() => build({ asPole: [stop.item] })}
                >
                  as a pole
                </button>
              </>
            )}
            {heightM === null && wasFence && (
              <button
                type="button"
                className={classes.key}
                disabled={!ready}
                onClick={() => build({ heightM: { [stop.item]: question.state.heightM[stop.item] ?? item.heightM } })}
              >
                as a fence
              </button>
            )}
            {track.stops.length > 1 && (
              <button
                type="button"
                className={classes.key}
                disabled={!ready}
                onClick={() => {
                  const id = newId();
                  onAsk(one => leftOut(layout, withCounts(one), track.stops.indexOf(stop), id), ofAll);
                }}
              >
                leave out
              </button>
            )}
          </div>
        );
      })}
    </details>
  );
}

const MOST_M = 2;
const round = (heightM: number) => Math.round(heightM * 100) / 100;
