'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { drawn } from '@/components/Sand/sandView';
import {
  distanceCaseOf,
  legMarks,
  slideStop,
  stopsAlongM,
  type ItemTrack,
  type Layout,
  type LayoutHorse,
  type ReckonedItemTrack,
} from '@/core';
import { useElementSize } from '@mantine/hooks';
import { useDrag } from '@use-gesture/react';
import { useRef, type KeyboardEvent } from 'react';
import type { LegPlace } from '../_state/selection';
import { nudgeM } from '../_state/planKeys';
import type { PlanControls, Shown } from '../_state/usePlanEditor';
import { CallMark } from './CallMark';
import { chancesOf, chanceWords } from './chances';
import classes from './Ribbon.module.css';

type RibbonProps = {
  controls: PlanControls;
  track: ItemTrack;
  reckoned: ReckonedItemTrack;
  /** The horses that ride, each a row. */
  horses: readonly LayoutHorse[];
  horse: LayoutHorse | null;
  onHorse: (name: string) => void;
  marked: { items: readonly string[]; leg: LegPlace | null };
  selectedLeg: LegPlace | null;
  onPoint: (item: string | null) => void;
  onPointLeg: (leg: LegPlace | null) => void;
  onSelectLeg: (leg: LegPlace) => void;
  walkedM: number | null;
};

const NAMES_PX = 104;
const HEAD_PX = 34;
const ROW_PX = 34;
const END_PX = 30;
/** Below this there is no room for words: the count alone is written. */
const WORDS_PX = 66;

/** The track unrolled: posts where its items stand, a row for each horse with its strides as arches and the call in words. */
export function Ribbon(props: RibbonProps) {
  const { controls, track, reckoned, horses, horse, marked, onPoint, walkedM } = props;
  const { format } = useLengths();
  const { ref, width } = useElementSize();
  const stops = stopsAlongM(reckoned);
  const roomPx = Math.max(200, width - NAMES_PX - END_PX * 2);
  const pxPerM = roomPx / Math.max(1, reckoned.lengthM);
  const x = (alongM: number) => drawn(NAMES_PX + END_PX + alongM * pxPerM);
  const heightPx = HEAD_PX + horses.length * ROW_PX + 4;
  return (
    <div ref={ref} className={classes.ribbon} data-testid="ribbon">
      <svg width="100%" height={heightPx} role="group" aria-label={`${track.id} unrolled, ${format(reckoned.lengthM)}`}>
        <line x1={x(0)} x2={x(reckoned.lengthM)} y1={HEAD_PX} y2={HEAD_PX} className={classes.ground} />
        {reckoned.legs.map((leg, index) => (
          <LegHead key={index} {...props} index={index} fromPx={x(stops[index]!)} toPx={x(stops[index + 1]!)} />
        ))}
        {horses.map((one, row) => (
          <HorseRow
            key={one.name}
            {...props}
            row={one}
            topPx={HEAD_PX + row * ROW_PX}
            stops={stops}
            x={x}
            chosen={one.name === horse?.name}
          />
        ))}
        {track.through.map(({ item }, index) => (
          <Post
            key={index}
            {...{ controls, track, reckoned, index, pxPerM, onPoint }}
            xPx={x(stops[index]!)}
            heightPx={heightPx}
            isMarked={marked.items.includes(item)}
          />
        ))}
        {walkedM !== null && (
          <line x1={x(walkedM)} x2={x(walkedM)} y1={HEAD_PX - 8} y2={heightPx} className={classes.walked} />
        )}
      </svg>
    </div>
  );
}

type LegHeadProps = RibbonProps & { index: number; fromPx: number; toPx: number };

/** The length of a leg over its stretch of the ribbon; pressed, the leg is read beside the sand. */
function LegHead({
  track,
  reckoned,
  index,
  fromPx,
  toPx,
  selectedLeg,
  marked,
  onPointLeg,
  onSelectLeg,
  horses,
}: LegHeadProps) {
  const { format } = useLengths();
  const leg = reckoned.legs[index]!;
  const place = { track: track.id, leg: index };
  const isSame = (other: LegPlace | null) => other?.track === track.id && other.leg === index;
  const asked = track.legs[index]!.asked;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`From ${leg.from} to ${leg.to}, ${format(leg.groundM)}${asked === null ? '' : `, asked in ${asked}`}`}
      aria-pressed={isSame(selectedLeg)}
      className={classes.leg}
      data-marked={isSame(marked.leg) || isSame(selectedLeg) || undefined}
      onClick={() => onSelectLeg(place)}
      onKeyDown={event => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onSelectLeg(place);
      }}
      onPointerEnter={() => onPointLeg(place)}
      onPointerLeave={() => onPointLeg(null)}
      onFocus={() => onPointLeg(place)}
      onBlur={() => onPointLeg(null)}
    >
      <rect x={fromPx + 1} y={2} width={Math.max(1, toPx - fromPx - 2)} height={HEAD_PX + horses.length * ROW_PX} />
      <text x={(fromPx + toPx) / 2} y={HEAD_PX - 6}>
        {toPx - fromPx > 34 ? format(leg.groundM) : ''}
      </text>
    </g>
  );
}

type HorseRowProps = RibbonProps & {
  row: LayoutHorse;
  topPx: number;
  stops: readonly number[];
  x: (alongM: number) => number;
  chosen: boolean;
};

function HorseRow({ controls, track, reckoned, row, topPx, stops, x, chosen, onHorse }: HorseRowProps) {
  const { layout } = controls.shown.resolved;
  const groundPx = topPx + ROW_PX - 3;
  return (
    <g className={classes.row} data-chosen={chosen || undefined} data-horse={row.name}>
      <g
        role="button"
        tabIndex={0}
        aria-label={`Show the strides of ${row.name}`}
        aria-pressed={chosen}
        className={classes.horse}
        onClick={() => onHorse(row.name)}
        onKeyDown={event => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          onHorse(row.name);
        }}
      >
        <rect x={0} y={topPx + 2} width={NAMES_PX - 6} height={ROW_PX - 4} rx={3} />
        <text x={8} y={topPx + ROW_PX / 2} dy="0.35em">
          {row.name}
        </text>
      </g>
      <line x1={x(0)} x2={x(reckoned.lengthM)} y1={groundPx} y2={groundPx} className={classes.ground} />
      <path d={archesOf(layout, track, reckoned, row, stops, x, topPx)} className={classes.arches} />
      {reckoned.legs.map((leg, index) => {
        const reading = leg.readings.find(({ horse }) => horse === row.name);
        if (!reading) return null;
        const [fromPx, toPx] = [x(stops[index]!), x(stops[index + 1]!)];
        return (
          <CallMark
            key={index}
            reading={reading}
            xPx={(fromPx + toPx) / 2}
            yPx={topPx + 12}
            hasRoom={toPx - fromPx > WORDS_PX}
            widthPx={toPx - fromPx}
            title={`${row.name}, ${leg.from} to ${leg.to}: ${reading.call}. ${chanceWords(chancesOf(layout, track, index, leg, row))}`}
          />
        );
      })}
    </g>
  );
}

/** The strides of a horse as arches from foot to foot, in one path for the whole row. */
function archesOf(
  layout: Layout,
  track: ItemTrack,
  reckoned: ReckonedItemTrack,
  horse: LayoutHorse,
  stops: readonly number[],
  x: (alongM: number) => number,
  topPx: number,
): string {
  const groundPx = topPx + ROW_PX - 3;
  return reckoned.legs
    .map((leg, index) => {
      const reading = leg.readings.find(one => one.horse === horse.name);
      if (!reading) return '';
      const feet = legMarks(leg, distanceCaseOf(layout, track, index), reading).map(mark => mark.alongM);
      const along = [0, ...feet, leg.trackM].map(metres => x(stops[index]! + metres));
      return along
        .slice(1)
        .map((toPx, arch) => {
          const fromPx = along[arch]!;
          // From the fence to landing and from take-off to it the arch is higher: the horse is in the air.
          const air = arch === 0 || arch === along.length - 2;
          const peakPx = groundPx - (air ? 17 : 11);
          return `M${fromPx} ${groundPx}Q${drawn((fromPx + toPx) / 2)} ${peakPx} ${toPx} ${groundPx}`;
        })
        .join('');
    })
    .join('');
}

type PostProps = Pick<RibbonProps, 'controls' | 'track' | 'reckoned' | 'onPoint'> & {
  index: number;
  xPx: number;
  heightPx: number;
  pxPerM: number;
  isMarked: boolean;
};

/** An item on the ribbon: dragged or nudged, it slides along its track. */
function Post({ controls, track, reckoned, index, xPx, heightPx, pxPerM, isMarked, onPoint }: PostProps) {
  const { format } = useLengths();
  const { item } = track.through[index]!;
  const held = useRef<Shown | null>(null);
  const slid = (base: Shown, byM: number) => {
    const planned = base.resolved.layout.tracks.find(({ id }) => id === track.id);
    const ridden = base.tracks.find(({ id }) => id === track.id);
    if (planned?.kind !== 'items' || ridden?.kind !== 'items') return [];
    return slideStop(base.resolved.layout, planned, ridden, index, byM);
  };
  const bind = useDrag(
    ({ movement: [dx], first, last, tap }) => {
      if (tap) return;
      if (first) held.current = controls.shown;
      const base = held.current;
      if (!base) return;
      const edits = slid(base, Math.round((dx / pxPerM) * 100) / 100);
      if (last) controls.edit(edits);
      else controls.previewEdit(base, edits);
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
    controls.edit(slid(controls.shown, way * byM));
  };
  const alongM = stopsAlongM(reckoned)[index]!;
  return (
    <g
      {...bind()}
      tabIndex={0}
      role="slider"
      aria-label={`${item}, number ${index + 1} of ${track.id}`}
      aria-valuenow={Math.round(alongM * 100) / 100}
      aria-valuetext={`${format(alongM)} along the track`}
      className={classes.post}
      data-marked={isMarked || undefined}
      data-post={index}
      onKeyDown={nudge}
      onPointerEnter={() => onPoint(item)}
      onPointerLeave={() => onPoint(null)}
      onFocus={() => onPoint(item)}
      onBlur={() => onPoint(null)}
    >
      <rect x={xPx - 9} y={0} width={18} height={heightPx} className={classes.postGrip} />
      <line x1={xPx} x2={xPx} y1={HEAD_PX - 14} y2={heightPx - 4} />
      <text x={xPx} y={12}>
        {index + 1} {item.split(' ').pop()}
      </text>
    </g>
  );
}
