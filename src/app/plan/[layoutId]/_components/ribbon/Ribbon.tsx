'use client';

import { useLatest } from '@/components/useLatest';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { drawn } from '@/components/Sand/sandView';
import { layoutLabels, stopNumbers, stopsAlongM, type Labels, type StopNumber } from '@/core';
import { useElementSize, useMergedRef } from '@mantine/hooks';
import { useMemo } from 'react';
import { useIsLive, useRested } from '../../_hand/liveShown';
import { PaintedCanvas } from '../../_hand/PaintedCanvas';
import type { LegPlace } from '../../_state/selection';
import { HorseNames } from './HorseNames';
import { LegHandle } from './LegHandle';
import { PostHandle } from './PostHandle';
import classes from './Ribbon.module.css';
import { alongPx, contentPx, legPx, ribbonFrame, SEEN_PX, stopsPx, type RibbonFrame } from './ribbonFrame';
import { isQuietLeg } from './quietLegs';
import { useRibbonScene } from '../../_state/useRibbonScene';
import type { RibbonProps } from './ribbonProps';

/**
 * The track unrolled: posts where its items stand, a row for each horse with its strides as arches and the call in words.
 * What is seen is drawn on a canvas, between two frames; what is pressed, named and read aloud lies over it.
 */
export function Ribbon(props: RibbonProps) {
  const { controls, track, reckoned, horses, horse, marked, selectedLeg, onPoint, walkedM } = props;
  const { format } = useLengths();
  const { ref: measured, width } = useElementSize();
  const latest = useLatest(props);
  const chosen = horse?.id ?? null;
  const { lengthM } = reckoned;
  const { items } = controls.shown.resolved.layout;
  const numbers = useMemo(() => stopNumbers(track, items), [track, items]);
  const tracksM = reckoned.legs.map(({ trackM }) => trackM);
  const frame = useMemo(
    () =>
      // In whole pixels: a canvas that is stretched by a part of one is soft.
      ribbonFrame(
        Math.floor(width),
        horses.length,
        reckoned.legs.map((leg, index) => ({ trackM: leg.trackM, isQuiet: isQuietLeg(numbers, leg, index) })),
      ),
    [width, horses.length, reckoned, numbers],
  );
  const { painting } = controls;
  const rolled = useRibbonScene({ painting, trackId: track.id, frame, chosen });
  const rested = useRested(controls.live)?.shown.tracks.find(({ id }) => id === track.id);
  const isOnItsWay = useIsLive(controls.live);
  const labels = layoutLabels(controls.shown.resolved.layout);
  const stops = stopsAlongM(reckoned);
  const postsPx = stopsPx(frame, tracksM).map(drawn);
  return (
    <div
      ref={useMergedRef(measured, rolled)}
      className={classes.ribbon}
      data-lit=""
      style={{ maxHeight: SEEN_PX }}
      data-testid="ribbon"
    >
      <div
        className={classes.strip}
        style={{ height: frame.heightPx, width: contentPx(frame, tracksM) }}
        role="group"
        aria-label={`${labels.track(track.id)} unrolled, ${format(lengthM)}`}
        data-live={isOnItsWay || undefined}
      >
        <HorseNames horses={horses} chosen={chosen} heightPx={frame.heightPx} latest={latest} />
        <PaintedCanvas
          painting={painting}
          part="ribbon"
          className={classes.canvas}
          style={{ height: Math.min(frame.heightPx, SEEN_PX), width: frame.widthPx }}
        />
        {reckoned.legs.map((leg, index) => {
          const isHere = (place: LegPlace | null) => place?.track === track.id && place.leg === index;
          return (
            <LegHandle
              key={index}
              {...{ track, index, leg, latest }}
              from={labels.inWords(leg.from)}
              to={labels.inWords(leg.to)}
              rested={rested?.kind === 'items' ? (rested.legs[index] ?? null) : null}
              xPx={postsPx[index]!}
              widthPx={drawn(legPx(frame, index, leg.trackM))}
              selected={isHere(selectedLeg)}
              marked={isHere(marked.leg) || isHere(selectedLeg)}
            />
          );
        })}
        {track.through.map(({ item }, index) => (
          <PostHandle
            key={index}
            {...{ index, item, latest, onPoint }}
            xPx={postsPx[index]!}
            pxPerM={scaleAt(frame, tracksM, index)}
            words={postWords(labels, track.id, item, numbers[index] ?? null)}
            along={format(stops[index]!)}
            alongCm={Math.round(stops[index]! * 100)}
            isMarked={marked.items.includes(item)}
          />
        ))}
        {walkedM !== null && (
          <div
            className={classes.walked}
            style={{ transform: `translateX(${drawn(alongPx(frame, tracksM, walkedM))}px)` }}
            data-walked=""
          />
        )}
      </div>
    </div>
  );
}

/** Pixels a metre about a post: of the leg that leads to it, of the first leg at the start. */
function scaleAt(frame: RibbonFrame, tracksM: readonly number[], stop: number): number {
  const leg = Math.max(0, stop - 1);
  const trackM = tracksM[leg] ?? 0;
  return trackM > 0 ? legPx(frame, leg, trackM) / trackM : frame.pxPerM;
}

function postWords(labels: Labels, trackId: string, item: string, number: StopNumber): string {
  const of = labels.track(trackId);
  return number === null ? `${labels.inWords(item)}, on ${of}` : `${labels.inWords(item)}, number ${number} of ${of}`;
}
