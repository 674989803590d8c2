import { slideStop } from '@/core';
import { useDrag } from '@use-gesture/react';
import { memo, type KeyboardEvent, type RefObject } from 'react';
import { nudgeM } from '../../_state/planKeys';
import type { Shown } from '../../_state/usePlanEditor';
import classes from './Ribbon.module.css';
import type { RibbonProps } from './Ribbon';

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
      const edits = slid(controls.shown, track.id, index, Math.round((dx / pxPerM) * 100) / 100);
      if (last) controls.edit(edits);
      else controls.follow({ kind: 'edits', edits });
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
    controls.edit(slid(controls.shown, track.id, index, way * byM));
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

/** The edits that slide a stop along the track it had when it was taken up. */
function slid({ resolved, tracks }: Shown, trackId: string, index: number, byM: number) {
  const planned = resolved.layout.tracks.find(({ id }) => id === trackId);
  const ridden = tracks.find(({ id }) => id === trackId);
  if (planned?.kind !== 'items' || ridden?.kind !== 'items') return [];
  return slideStop(resolved.layout, planned, ridden, index, byM);
}
