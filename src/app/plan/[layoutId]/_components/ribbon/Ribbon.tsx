'use client';

import { useLatest } from '@/components/useLatest';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { drawn } from '@/components/Sand/sandView';
import { layoutLabels, stopsAlongM, type ItemTrack, type LayoutHorse, type ReckonedItemTrack } from '@/core';
import { useElementSize, useMergedRef } from '@mantine/hooks';
import { useMemo } from 'react';
import { useIsLive, useRested } from '../../_hand/liveShown';
import { PaintedCanvas } from '../../_hand/PaintedCanvas';
import type { LegPlace } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';
import { HorseNames } from './HorseNames';
import { LegHandle } from './LegHandle';
import { PostHandle } from './PostHandle';
import classes from './Ribbon.module.css';
import { alongPx, ribbonFrame, SEEN_PX } from './ribbonFrame';
import { useRibbonScene } from './useRibbonScene';

export type RibbonProps = {
  controls: PlanControls;
  track: ItemTrack;
  reckoned: ReckonedItemTrack;
  /** The horses that ride, each a row. */
  horses: readonly LayoutHorse[];
  horse: LayoutHorse | null;
  onHorse: (id: string) => void;
  marked: { items: readonly string[]; leg: LegPlace | null };
  selectedLeg: LegPlace | null;
  onPoint: (item: string | null) => void;
  onPointLeg: (leg: LegPlace | null) => void;
  onSelectLeg: (leg: LegPlace) => void;
  walkedM: number | null;
};

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
  const frame = useMemo(() => ribbonFrame(width, horses.length, lengthM), [width, horses.length, lengthM]);
  const { painting } = controls;
  const rolled = useRibbonScene({ painting, trackId: track.id, frame, chosen });
  const rested = useRested(controls.live)?.shown.tracks.find(({ id }) => id === track.id);
  const isOnItsWay = useIsLive(controls.live);
  const labels = layoutLabels(controls.shown.resolved.layout);
  const stops = stopsAlongM(reckoned);
  const x = (alongM: number) => drawn(alongPx(frame, alongM));
  return (
    <div
      ref={useMergedRef(measured, rolled)}
      className={classes.ribbon}
      style={{ maxHeight: SEEN_PX }}
      data-testid="ribbon"
    >
      <div
        className={classes.strip}
        style={{ height: frame.heightPx }}
        role="group"
        aria-label={`${labels.track(track.id)} unrolled, ${format(lengthM)}`}
        data-live={isOnItsWay || undefined}
      >
        <PaintedCanvas
          painting={painting}
          part="ribbon"
          className={classes.canvas}
          style={{ height: Math.min(frame.heightPx, SEEN_PX) }}
        />
        <HorseNames horses={horses} chosen={chosen} latest={latest} />
        {reckoned.legs.map((leg, index) => {
          const isHere = (place: LegPlace | null) => place?.track === track.id && place.leg === index;
          return (
            <LegHandle
              key={index}
              {...{ track, index, leg, latest }}
              from={labels.inWords(leg.from)}
              to={labels.inWords(leg.to)}
              rested={rested?.kind === 'items' ? (rested.legs[index] ?? null) : null}
              xPx={x(stops[index]!)}
              widthPx={drawn(leg.trackM * frame.pxPerM)}
              selected={isHere(selectedLeg)}
              marked={isHere(marked.leg) || isHere(selectedLeg)}
            />
          );
        })}
        {track.through.map(({ item }, index) => (
          <PostHandle
            key={index}
            {...{ index, item, latest, onPoint }}
            xPx={x(stops[index]!)}
            pxPerM={frame.pxPerM}
            words={`${labels.inWords(item)}, number ${index + 1} of ${labels.track(track.id)}`}
            along={format(stops[index]!)}
            alongCm={Math.round(stops[index]! * 100)}
            isMarked={marked.items.includes(item)}
          />
        ))}
        {walkedM !== null && (
          <div className={classes.walked} style={{ transform: `translateX(${x(walkedM)}px)` }} data-walked="" />
        )}
      </div>
    </div>
  );
}
