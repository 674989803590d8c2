'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { drawn } from '@/components/Sand/sandView';
import {
  slideStop,
  stopsAlongM,
  type HorseReading,
  type ItemTrack,
  type Layout,
  type LayoutHorse,
  type ReckonedItemTrack,
  type ReckonedLeg,
} from '@/core';
import { useElementSize } from '@mantine/hooks';
import { useDrag } from '@use-gesture/react';
import { memo, useEffect, useRef, useState, type KeyboardEvent, type ReactNode, type RefObject } from 'react';
import { legMarksOf } from '../_state/legMarksOf';
import { nudgeM } from '../_state/planKeys';
import type { LegPlace } from '../_state/selection';
import type { PlanControls, Shown } from '../_state/usePlanEditor';
import { CallMarks, callWords } from './CallMark';
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

/** The track unrolled: posts where its items stand, a row for each horse with its strides as arches and the call in words. */
export function Ribbon(props: RibbonProps) {
  const { controls, track, reckoned, horses, horse, marked, selectedLeg, onPoint, walkedM } = props;
  const { format } = useLengths();
  const { ref, width } = useElementSize();
  const latest = useLatest(props);
  const stops = stopsAlongM(reckoned);
  const scaleM = useStandingLength(track.id, reckoned.lengthM, controls.isPreview);
  const pxPerM = Math.max(200, width - NAMES_PX - END_PX * 2) / Math.max(1, scaleM);
  const x = (alongM: number) => drawn(NAMES_PX + END_PX + alongM * pxPerM);
  const heightPx = HEAD_PX + horses.length * ROW_PX + 4;
  const { layout } = controls.shown.resolved;
  return (
    <div ref={ref} className={classes.ribbon} data-testid="ribbon">
      <div
        className={classes.strip}
        style={{ height: heightPx }}
        role="group"
        aria-label={`${track.id} unrolled, ${format(reckoned.lengthM)}`}
      >
        {/* Each leg is a drawing of its own: those behind a dragged fence are pushed along, and not drawn anew. */}
        {reckoned.legs.map((leg, index) => {
          const isHere = (place: LegPlace | null) => place?.track === track.id && place.leg === index;
          return (
            <Piece key={index} xPx={x(stops[index]!)} heightPx={heightPx}>
              <LegColumn
                {...{ layout, track, index, leg, pxPerM, latest, horses }}
                chosen={horse?.name ?? null}
                selected={isHere(selectedLeg)}
                marked={isHere(marked.leg) || isHere(selectedLeg)}
              />
            </Piece>
          );
        })}
        <Piece xPx={0} heightPx={heightPx}>
          <HorseNames horses={horses} chosen={horse?.name ?? null} latest={latest} />
        </Piece>
        {track.through.map(({ item }, index) => (
          <Piece key={index} xPx={x(stops[index]!)} heightPx={heightPx}>
            <Post
              {...{ index, item, pxPerM, heightPx, latest, onPoint }}
              words={`${item}, number ${index + 1} of ${track.id}`}
              along={format(stops[index]!)}
              alongCm={Math.round(stops[index]! * 100)}
              isMarked={marked.items.includes(item)}
            />
          </Piece>
        ))}
        {walkedM !== null && (
          <Piece xPx={x(walkedM)} heightPx={heightPx}>
            <line x1={0} x2={0} y1={HEAD_PX - 8} y2={heightPx} className={classes.walked} />
          </Piece>
        )}
      </div>
    </div>
  );
}

/** A part of the strip, so far along it. */
function Piece({ xPx, heightPx, children }: { xPx: number; heightPx: number; children: ReactNode }) {
  return (
    <svg width={1} height={heightPx} className={classes.piece} style={{ transform: `translateX(${xPx}px)` }}>
      {children}
    </svg>
  );
}

type Latest = RefObject<RibbonProps>;

/** What handlers need of the last time, without drawing anew what did not change. */
function useLatest(props: RibbonProps): Latest {
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  return latest;
}

/** The length that the ribbon is scaled to: while something is dragged it stays, so that only what moves moves. */
function useStandingLength(track: string, lengthM: number, isPreview: boolean): number {
  const [standing, setStanding] = useState({ track, lengthM });
  const fits = standing.track === track && (isPreview || standing.lengthM === lengthM);
  if (!fits) setStanding({ track, lengthM });
  return fits ? standing.lengthM : lengthM;
}

type LegColumnProps = {
  layout: Layout;
  track: ItemTrack;
  index: number;
  leg: ReckonedLeg;
  pxPerM: number;
  horses: readonly LayoutHorse[];
  chosen: string | null;
  selected: boolean;
  marked: boolean;
  latest: Latest;
};

/** A leg that was not touched is the same object: what else its column shows is named here. */
const isSameColumn = (a: LegColumnProps, b: LegColumnProps) =>
  a.leg === b.leg &&
  a.index === b.index &&
  a.track.id === b.track.id &&
  a.pxPerM === b.pxPerM &&
  a.chosen === b.chosen &&
  a.selected === b.selected &&
  a.marked === b.marked;

/** One leg over all rows: its length, and every horse's strides and words; pressed, it is read beside the sand. */
const LegColumn = memo(function LegColumn(props: LegColumnProps) {
  const { layout, track, index, leg, pxPerM, horses, chosen, selected, marked, latest } = props;
  const { format } = useLengths();
  const place = { track: track.id, leg: index };
  const widthPx = drawn(leg.trackM * pxPerM);
  const asked = track.legs[index]!.asked;
  const select = () => latest.current.onSelectLeg(place);
  const point = (at: LegPlace | null) => latest.current.onPointLeg(at);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`From ${leg.from} to ${leg.to}, ${format(leg.groundM)}${asked === null ? '' : `, asked in ${asked}`}`}
      aria-pressed={selected}
      className={classes.leg}
      data-marked={marked || undefined}
      onClick={select}
      onKeyDown={event => pressed(event, select)}
      onPointerEnter={() => point(place)}
      onPointerLeave={() => point(null)}
      onFocus={() => point(place)}
      onBlur={() => point(null)}
    >
      <title>{horsesWords(layout, track, index, leg)}</title>
      <rect x={1} y={2} width={Math.max(1, widthPx - 2)} height={HEAD_PX + horses.length * ROW_PX} />
      <text x={widthPx / 2} y={HEAD_PX - 6} className={classes.length}>
        {widthPx > 34 ? format(leg.groundM) : ''}
      </text>
      <Rows {...{ layout, track, index, leg, pxPerM, horses, chosen, widthPx }} />
    </g>
  );
}, isSameColumn);

type RowsProps = Pick<LegColumnProps, 'layout' | 'track' | 'index' | 'leg' | 'pxPerM' | 'horses' | 'chosen'> & {
  widthPx: number;
};

/** Every horse's strides and words on a leg: few shapes for many rows, for they are drawn between two frames. */
function Rows({ layout, track, index, leg, pxPerM, horses, chosen, widthPx }: RowsProps) {
  const rows = leg.readings.map(reading => {
    const topPx = HEAD_PX + horses.findIndex(({ name }) => name === reading.horse) * ROW_PX;
    const feet = legMarksOf(layout, track, index, leg, reading.horse).map(({ alongM }) => alongM);
    return {
      name: reading.horse,
      yPx: topPx + 12,
      d: archesOf(feet, leg.trackM, pxPerM, topPx),
      ...callWords(reading, widthPx),
    };
  });
  return (
    <>
      <path d={rows.map(({ name, d }) => (name === chosen ? '' : d)).join('')} className={classes.arches} />
      <path d={rows.find(({ name }) => name === chosen)?.d ?? ''} className={classes.arches} data-chosen="" />
      <CallMarks rows={rows} xPx={Math.round(widthPx / 2)} />
    </>
  );
}

function pressed(event: KeyboardEvent, deed: () => void): void {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  deed();
}

/** What every horse makes of a leg, with the chance of each count, a line for each. */
function horsesWords(layout: Layout, track: ItemTrack, index: number, leg: ReckonedLeg): string {
  return layout.horses
    .flatMap(horse => {
      const reading = leg.readings.find((one: HorseReading) => one.horse === horse.name);
      return reading
        ? `${horse.name}: ${reading.call}. ${chanceWords(chancesOf(layout, track, index, leg, horse))}`
        : [];
    })
    .join('\n');
}

/** The strides of a horse as arches from foot to foot. */
function archesOf(feet: readonly number[], trackM: number, pxPerM: number, topPx: number): string {
  const groundPx = topPx + ROW_PX - 3;
  const along = [0, ...feet, trackM].map(metres => drawn(metres * pxPerM));
  return along
    .slice(1)
    .map((toPx, arch) => {
      const fromPx = along[arch]!;
      // From the fence to landing and from take-off to it the arch is higher: the horse is in the air.
      const air = arch === 0 || arch === along.length - 2;
      return `M${fromPx} ${groundPx}Q${drawn((fromPx + toPx) / 2)} ${groundPx - (air ? 17 : 11)} ${toPx} ${groundPx}`;
    })
    .join('');
}

type HorseNamesProps = { horses: readonly LayoutHorse[]; chosen: string | null; latest: Latest };

/** The horses down the side: pressed, one shows its strides on the sand. */
const HorseNames = memo(function HorseNames({ horses, chosen, latest }: HorseNamesProps) {
  return horses.map(({ name }, row) => (
    <g
      key={name}
      role="button"
      tabIndex={0}
      aria-label={`Show the strides of ${name}`}
      aria-pressed={name === chosen}
      className={classes.horse}
      data-horse={name}
      onClick={() => latest.current.onHorse(name)}
      onKeyDown={event => pressed(event, () => latest.current.onHorse(name))}
    >
      <rect x={0} y={HEAD_PX + row * ROW_PX + 2} width={NAMES_PX - 6} height={ROW_PX - 4} rx={3} />
      <text x={8} y={HEAD_PX + row * ROW_PX + ROW_PX / 2} dy="0.35em">
        {name}
      </text>
    </g>
  ));
});

type PostProps = {
  index: number;
  item: string;
  words: string;
  /** How far along the track, in words and in whole centimetres. */
  along: string;
  alongCm: number;
  pxPerM: number;
  heightPx: number;
  isMarked: boolean;
  latest: Latest;
  onPoint: (item: string | null) => void;
};

/** An item on the ribbon: dragged or nudged, it slides along its track. */
const Post = memo(function Post(props: PostProps) {
  const { index, item, words, along, alongCm, pxPerM, heightPx, isMarked, latest, onPoint } = props;
  const held = useRef<Shown | null>(null);
  const bind = useDrag(
    ({ movement: [dx], first, last, tap }) => {
      if (tap) return;
      const { controls, track } = latest.current;
      if (first) held.current = controls.shown;
      const base = held.current;
      if (!base) return;
      const edits = slid(base, track.id, index, Math.round((dx / pxPerM) * 100) / 100);
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
    const { controls, track } = latest.current;
    controls.edit(slid(controls.shown, track.id, index, way * byM));
  };
  return (
    <g
      {...bind()}
      tabIndex={0}
      role="slider"
      aria-label={words}
      aria-valuenow={alongCm / 100}
      aria-valuetext={`${along} along the track`}
      className={classes.post}
      data-marked={isMarked || undefined}
      data-post={index}
      onKeyDown={nudge}
      onPointerEnter={() => onPoint(item)}
      onPointerLeave={() => onPoint(null)}
      onFocus={() => onPoint(item)}
      onBlur={() => onPoint(null)}
    >
      <rect x={-9} y={0} width={18} height={heightPx} className={classes.postGrip} />
      <line x1={0} x2={0} y1={HEAD_PX - 14} y2={heightPx - 4} />
      <text x={0} y={12}>
        {index + 1} {item.split(' ').pop()}
      </text>
    </g>
  );
});

/** The edits that slide a stop along the track it had when it was taken up. */
function slid({ resolved, tracks }: Shown, trackId: string, index: number, byM: number) {
  const planned = resolved.layout.tracks.find(({ id }) => id === trackId);
  const ridden = tracks.find(({ id }) => id === trackId);
  if (planned?.kind !== 'items' || ridden?.kind !== 'items') return [];
  return slideStop(resolved.layout, planned, ridden, index, byM);
}
