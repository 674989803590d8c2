'use client';

import { newId } from '@/components/newId';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  AS_LAID_OUT,
  askedLayout,
  countsAsked,
  HOLE_M,
  leftOut,
  overState,
  type BuiltState,
  type Layout,
  type Question,
  countName,
} from '@/core';
import type { AskedRide, RunTrack } from '@/app/ride/askedRide';
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

/** What is asked, changed on the day: counts, heights, a fence as a pole, one left out; of this pair or of all. */
export function AskSheet({ horse, question, ride, layout, ready, onAsk }: AskSheetProps) {
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
    onAsk(one => ({ ...withCounts(one), state: overState(one.state, { ...AS_LAID_OUT, ...state }) }), ofAll);
  /** A hole up or down from where it stands for each: of all, a fence that is lower for the pony stays so. */
  const raise = (id: string, byM: number) =>
    onAsk(one => {
      const item = askedLayout(layout, one)?.items.find(other => other.id === id);
      if (item?.kind !== 'fence') return one;
      const heightM = Math.max(HOLE_M, round(item.heightM + byM));
      return { ...withCounts(one), state: overState(one.state, { ...AS_LAID_OUT, heightM: { [id]: heightM } }) };
    }, ofAll);
  const fences = track.stops.filter((stop, at) => track.stops.findIndex(({ item }) => item === stop.item) === at);
  return (
    <section className={classes.part} aria-label="Asked otherwise">
      <h2>Asked otherwise</h2>
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
        <LegAsked key={at} leg={leg} ready={ready} onCount={strides => count(at, strides)} />
      ))}
      <h2>Heights, and what is left out</h2>
      {fences.map(stop => (
        <StopAsked
          key={stop.item}
          {...{ stop, ready }}
          isFence={layout.items.some(item => item.id === stop.item && item.kind === 'fence')}
          onRaise={byM => raise(stop.item, byM)}
          onPole={() => build({ asPole: [stop.item] })}
          onFence={() =>
            build({ heightM: { [stop.item]: question.state.heightM[stop.item] ?? laidOutM(layout, stop.item) } })
          }
          onLeaveOut={
            track.stops.length < 2
              ? null
              : () => {
                  const id = newId();
                  onAsk(one => leftOut(layout, withCounts(one), track.stops.indexOf(stop), id), ofAll);
                }
          }
        />
      ))}
    </section>
  );
}

const MOST_M = 2;
const round = (heightM: number) => Math.round(heightM * 100) / 100;

/** How high a fence stands on the layout, metres. */
function laidOutM({ items }: Layout, id: string): number {
  const item = items.find(one => one.id === id);
  return item?.kind === 'fence' ? item.heightM : HOLE_M;
}

type LegAskedProps = {
  leg: RunTrack['legs'][number];
  ready: boolean;
  /** Null for the horse's own. */
  onCount: (strides: number | null) => void;
};

/** The count that is asked of a leg: fewer, more, or the horse's own. */
function LegAsked({ leg, ready, onCount }: LegAskedProps) {
  const { from, to, asked, likely, words } = leg;
  const now = asked ?? likely;
  return (
    <div role="group" aria-label={`Strides asked from ${from} to ${to}`} className={classes.stepper}>
      <span>
        {from} to {to}
        <small>{words ?? ''}</small>
      </span>
      <button
        type="button"
        className={classes.small}
        aria-label="One stride fewer"
        disabled={!ready || asked === 0}
        onClick={() => onCount(Math.max(0, now - 1))}
      >
        −
      </button>
      <output aria-label="Strides">
        {asked === null ? 'its own' : asked === 0 ? countName(0, leg.zeroIs) : asked}
      </output>
      <button
        type="button"
        className={classes.small}
        aria-label="One stride more"
        disabled={!ready}
        onClick={() => onCount(now + 1)}
      >
        +
      </button>
      <button type="button" className={classes.key} disabled={!ready || asked === null} onClick={() => onCount(null)}>
        its own
      </button>
    </div>
  );
}

type StopAskedProps = {
  stop: RunTrack['stops'][number];
  ready: boolean;
  /** Whether it stands as a fence on the layout, whatever it lies as now. */
  isFence: boolean;
  onRaise: (byM: number) => void;
  onPole: () => void;
  onFence: () => void;
  /** Null where nothing would be left. */
  onLeaveOut: (() => void) | null;
};

/** How a fence is built for what is asked: a hole up or down, as a pole, or left out. */
function StopAsked({ stop, ready, isFence, onRaise, onPole, onFence, onLeaveOut }: StopAskedProps) {
  const { format } = useLengths();
  const { words, heightM } = stop;
  const key = (label: string, onClick: () => void) => (
    <button type="button" className={classes.key} disabled={!ready} onClick={onClick}>
      {label}
    </button>
  );
  const hole = (sign: string, way: 'up' | 'down', isLast: boolean) => (
    <button
      type="button"
      className={classes.small}
      aria-label={`${words} a hole ${way}`}
      disabled={!ready || isLast}
      onClick={() => onRaise(way === 'up' ? HOLE_M : -HOLE_M)}
    >
      {sign}
    </button>
  );
  return (
    <div role="group" aria-label={words} className={classes.stepper}>
      <span>
        {words}
        {heightM !== null && <small>{format(heightM)} high</small>}
      </span>
      {heightM !== null && (
        <>
          {hole('−', 'down', heightM <= HOLE_M)}
          {hole('+', 'up', heightM >= MOST_M)}
          {key('as a pole', onPole)}
        </>
      )}
      {heightM === null && isFence && key('as a fence', onFence)}
      {onLeaveOut && key('leave out', onLeaveOut)}
    </div>
  );
}
