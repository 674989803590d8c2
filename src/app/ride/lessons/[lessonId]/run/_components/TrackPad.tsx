'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  FENCE_OUTCOMES,
  FOOTFALL_PLACES,
  LANDINGS,
  LEADS,
  lineRidden,
  standingMarks,
  TAKE_OFFS,
  type Layout,
  type PassMark,
  type RideDirection,
  type TappedMark,
  countName,
} from '@/core';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { legEnds, useAdjust } from '../_state/useAdjust';
import type { RunTrack } from '@/app/ride/askedRide';
import { Keys } from '@/app/ride/_components/Keys';
import classes from './RunLesson.module.css';

const CallSheet = dynamic(() => import('@/components/CallSheet/CallSheet'), { ssr: false });

type TrackPadProps = {
  /** Null where the pass lies back: nothing on the sand is moved for it any more. */
  layoutId: string | null;
  layout: Layout;
  track: RunTrack;
  /** Ridden the other way round, the last stop comes first. */
  direction: RideDirection;
  /** Of the open pass. */
  marks: readonly PassMark[];
  ready: boolean;
  onMark: (mark: TappedMark) => void;
};

/** What is marked along a track: each thing that is ridden over, and the strides to it. */
export function TrackPad({ layoutId, layout, track, direction, marks, ready, onMark }: TrackPadProps) {
  const line = lineRidden({ marks });
  const backwards = direction === 'other-way';
  const places = placesRidden(line?.from ?? 1, line?.to ?? track.stops.length, backwards);
  const [wish, setAt] = useState<number | null>(line ? places[places.length - 1]! : null);
  const at = wish !== null && places.includes(wish) ? wish : places[0]!;
  const step = places.indexOf(at);
  /** The leg that leads to this stop the way it is ridden, from 0. */
  const legTo = step === 0 ? null : backwards ? at - 1 : at - 2;
  const [calling, setCalling] = useState(false);
  const stop = track.stops[at - 1]!;
  const standing = standingMarks(marks);
  const here = <Kind extends PassMark['kind']>(kind: Kind, place: number) =>
    standing.find(
      (mark): mark is Extract<PassMark, { kind: Kind }> =>
        mark.kind === kind && 'place' in mark && mark.place === place,
    );
  return (
    <section aria-label="The track">
      <div className={classes.stops} role="group" aria-label="What is ridden over">
        {places.map(place => (
          <button
            key={place}
            type="button"
            className={classes.stop}
            aria-pressed={place === at}
            data-marked={standing.some(mark => stopOf(mark, backwards) === place) || undefined}
            onClick={() => setAt(place)}
          >
            {place} {track.stops[place - 1]!.label !== String(place) && <small>{track.stops[place - 1]!.label}</small>}
          </button>
        ))}
        <button type="button" className={classes.stop} onClick={() => setCalling(true)}>
          Call it
        </button>
      </div>
      {legTo !== null && (
        <LegKeys
          key={at}
          leg={track.legs[legTo]!}
          place={legTo + 1}
          backwards={backwards}
          counted={here('strides', legTo + 1)?.count ?? null}
          fraction={here('footfall', legTo + 1)?.fraction ?? null}
          ready={ready}
          onMark={onMark}
        />
      )}
      <h2>{stop.label === String(at) ? stop.words : `${at}. ${stop.words}`}</h2>
      {stop.isFence ? (
        <>
          <Keys
            label={`How ${stop.words} was ridden`}
            value={here('fence', at)?.outcome ?? null}
            disabled={!ready}
            options={FENCE_OUTCOMES.map(value => ({ value, label: value }))}
            onChoose={outcome => {
              onMark({ kind: 'fence', place: at, outcome });
            }}
          />
          <Keys
            label="Take-off"
            value={here('take-off', at)?.where ?? null}
            disabled={!ready}
            options={TAKE_OFFS.map(value => ({ value, label: `${value} take-off` }))}
            onChoose={where => onMark({ kind: 'take-off', place: at, where })}
          />
          <Keys
            label="Landing"
            value={here('landing', at)?.where ?? null}
            disabled={!ready}
            options={LANDINGS.map(value => ({ value, label: `landed ${value}` }))}
            onChoose={where => onMark({ kind: 'landing', place: at, where })}
          />
        </>
      ) : (
        <button
          type="button"
          className={classes.key}
          aria-label={`${stop.words} hit`}
          disabled={!ready}
          onClick={() => onMark({ kind: 'hit', place: at })}
        >
          Hit
        </button>
      )}
      <Keys
        label="Landing lead"
        value={here('lead', at)?.lead ?? null}
        disabled={!ready}
        options={LEADS.map(value => ({ value, label: value === 'cross-canter' ? value : `${value} lead` }))}
        onChoose={lead => onMark({ kind: 'lead', place: at, lead })}
      />
      <Keys
        label="Aim point"
        value={here('aim', at)?.off ?? null}
        disabled={!ready}
        options={[
          { value: 'left', label: 'aim off left' },
          { value: 'right', label: 'aim off right' },
        ]}
        onChoose={off => onMark({ kind: 'aim', place: at, off })}
      />
      <div className={classes.keys}>
        <button type="button" className={classes.key} disabled={step === 0} onClick={() => setAt(places[step - 1]!)}>
          Back one
        </button>
        <button
          type="button"
          className={classes.key}
          disabled={step === places.length - 1}
          onClick={() => setAt(places[step + 1]!)}
        >
          On to {step < places.length - 1 ? track.stops[places[step + 1]! - 1]!.words : 'the end'}
        </button>
      </div>
      {legTo !== null && layoutId !== null && <Adjust layoutId={layoutId} track={track} leg={legTo} />}
      {calling && (
        <CallSheet layout={layout} track={track.planned} reckoned={track.reckoned} onClose={() => setCalling(false)} />
      )}
    </section>
  );
}

/** The places of a line in the order they are ridden. */
function placesRidden(first: number, last: number, backwards: boolean): number[] {
  const places = Array.from({ length: last - first + 1 }, (_, index) => first + index);
  return backwards ? places.reverse() : places;
}

/** The stop that a mark belongs to: strides and footfalls belong to the one they lead to. */
function stopOf(mark: PassMark, backwards: boolean): number | null {
  if (mark.kind === 'strides' || mark.kind === 'footfall')
    return mark.place === null ? null : backwards ? mark.place : mark.place + 1;
  return 'place' in mark ? mark.place : null;
}

type LegKeysProps = {
  leg: RunTrack['legs'][number];
  place: number;
  backwards: boolean;
  counted: number | null;
  fraction: number | null;
  ready: boolean;
  onMark: (mark: TappedMark) => void;
};

const FOOTFALLS = [
  { value: FOOTFALL_PLACES.third, label: 'a third' },
  { value: FOOTFALL_PLACES.middle, label: 'middle' },
  { value: FOOTFALL_PLACES.threeQuarters, label: 'three quarters' },
];
const SHOWN_COUNTS = 6;

/** The counts about the one that is meant or likely. */
function countsAbout(likely: number): number[] {
  const first = Math.max(0, likely - 2);
  return Array.from({ length: SHOWN_COUNTS }, (_, index) => first + index);
}

/** A count on a key: no stride at all has a name. */
function keyOf(count: number, zeroIs: RunTrack['legs'][number]['zeroIs']): string {
  return count === 0 ? countName(0, zeroIs) : String(count);
}

/** The strides from one to the next: by taps as the horse goes, or the number; between poles, where the foot fell. */
function LegKeys({ leg, place, backwards, counted, fraction, ready, onMark }: LegKeysProps) {
  const [tapped, setTapped] = useState(0);
  const tap = () => {
    setTapped(tapped + 1);
    onMark({ kind: 'strides', place, count: tapped + 1 });
  };
  return (
    <div>
      <h2>
        From {backwards ? leg.to : leg.from} to {backwards ? leg.from : leg.to}
        {leg.words && <small> {leg.words}</small>}
      </h2>
      {leg.betweenPoles && (
        <Keys
          label="Where the foot fell"
          value={fraction}
          disabled={!ready}
          options={FOOTFALLS}
          onChoose={value => onMark({ kind: 'footfall', place, fraction: value })}
        />
      )}
      <button type="button" className={classes.tap} disabled={!ready} onClick={tap}>
        Tap each stride <strong>{counted === null ? '' : keyOf(counted, leg.zeroIs)}</strong>
      </button>
      <Keys
        label="Strides"
        value={counted}
        disabled={!ready}
        short
        options={countsAbout(leg.asked ?? leg.likely).map(value => ({ value, label: keyOf(value, leg.zeroIs) }))}
        onChoose={count => {
          setTapped(count);
          onMark({ kind: 'strides', place, count });
        }}
      />
    </div>
  );
}

/** A few centimetres or inches between passes; from then on it is another setting. */
function Adjust({ layoutId, track, leg }: { layoutId: string; track: RunTrack; leg: number }) {
  const { format, unit } = useLengths();
  const { adjust, busy, problem } = useAdjust(layoutId);
  const ends = legEnds(track.planned, leg);
  const { from, to, groundM } = track.legs[leg]!;
  const inches = unit === 'ft' || unit === 'yd';
  const stepM = inches ? 2 * 0.0254 : 0.05;
  const words = inches ? '2 in' : '5 cm';
  return (
    <div role="group" aria-label={`From ${from} to ${to} for the next pass`}>
      <p>
        {from} to {to} stands at <strong>{format(groundM)}</strong>. Moved it? From the next pass on it is a new
        setting.
      </p>
      <div className={classes.keys}>
        <button type="button" className={classes.key} disabled={busy} onClick={() => adjust(ends, -stepM)}>
          Closer by {words}
        </button>
        <button type="button" className={classes.key} disabled={busy} onClick={() => adjust(ends, stepM)}>
          Wider by {words}
        </button>
      </div>
      {problem && <p role="alert">{problem}</p>}
    </div>
  );
}
