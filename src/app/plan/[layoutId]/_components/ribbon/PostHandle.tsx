import { slideStop } from '@/core';
import { useDrag } from '@use-gesture/react';
import { memo, type KeyboardEvent, type RefObject } from 'react';
import type { Hand } from '../../_hand/handState';
import { nudgeM } from '../../_state/planKeys';
import type { Shown } from '../../_state/shown';
import classes from './Ribbon.module.css';
import type { RibbonProps } from './ribbonProps';

type PostHandleProps = {
  index: number;
  item: string;
  words: string;
  /** How far along the track, in words and in whole centimetres. */
  along: string;
  alongCm: number;
  xPx: number;
  pxPerM: number;
  isMarked: boolean;
  latest: RefObject<RibbonProps>;
  onPoint: (item: string | null) => void;
};

/** An item on the ribbon: dragged or nudged, it slides along its track. */
export const PostHandle = memo(function PostHandle(props: PostHandleProps) {
  const { index, item, words, along, alongCm, xPx, pxPerM, isMarked, latest, onPoint } = props;
  const bind = useDrag(
    ({ movement: [dx], last, tap }) => {
      if (tap) return;
      const { controls, track } = latest.current;
      const hand = slidBy(controls.shown, track.id, index, Math.round((dx / pxPerM) * 100) / 100);
      if (last) controls.letGo(hand);
      else controls.follow(hand);
    },
    { filterTaps: true, axis: 'x', pointer: { keys: false } },
  );
  const nudge = (event: KeyboardEvent) => {
    const way = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if (way === 0) return;
    event.preventDefault();
    event.stopPropagation();
    // A post slides by 10 cm where the sand moves by 25: a stride is reckoned finer than a place.
    const byM = event.shiftKey || event.altKey ? nudgeM(event) : 0.1;
    const { controls, track } = latest.current;
    controls.letGo(slidBy(controls.shown, track.id, index, way * byM));
  };
  return (
    <div
      {...bind()}
      tabIndex={0}
      role="slider"
      aria-label={words}
      aria-valuenow={alongCm / 100}
      aria-valuetext={`${along} along the track`}
      className={classes.post}
      style={{ transform: `translateX(${xPx}px)` }}
      data-marked={isMarked || undefined}
      data-post={index}
      onKeyDown={nudge}
      onPointerEnter={() => onPoint(item)}
      onPointerLeave={() => onPoint(null)}
      onFocus={() => onPoint(item)}
      onBlur={() => onPoint(null)}
    />
  );
});

/** What sliding a post does: within an exercise that knows its distances it changes the one before it, else it moves the item. */
function slidBy(shown: Shown, trackId: string, index: number, byM: number): Hand {
  const exercise = shown.resolved.exercises.find(({ placed }) => placed.id === shown.resolved.ownerOf.get(trackId));
  const ridden = shown.tracks.find(({ id }) => id === trackId);
  const at = Math.max(0, index - 1);
  const leg = ridden?.kind === 'items' ? ridden.legs[at] : undefined;
  if (exercise?.can.type && leg)
    return { kind: 'gap', track: trackId, leg: at, groundM: leg.groundM + (index === 0 ? -byM : byM) };
  return { kind: 'edits', edits: slid(shown, trackId, index, byM) };
}

/** The edits that slide a stop along the track it had when it was taken up. */
function slid({ resolved, tracks }: Shown, trackId: string, index: number, byM: number) {
  const planned = resolved.layout.tracks.find(({ id }) => id === trackId);
  const ridden = tracks.find(({ id }) => id === trackId);
  if (planned?.kind !== 'items' || ridden?.kind !== 'items') return [];
  return slideStop(resolved.layout, planned, ridden, index, byM);
}
