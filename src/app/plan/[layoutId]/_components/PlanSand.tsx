'use client';

import { ItemDrawing } from '@/components/Sand/ItemDrawing';
import { Sand, sandTextM, type PaperBox } from '@/components/Sand/Sand';
import { paperDegrees, type SandView } from '@/components/Sand/sandView';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  footprintCorners,
  pointAlong,
  poseAt,
  type Arena,
  type Chain,
  type Item,
  type LayoutHorse,
  type PointM,
  type ResolvedExercise,
} from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import { memo, useMemo, useRef, type FocusEvent, type KeyboardEvent, type RefObject } from 'react';
import { selectThing, type LegPlace, type Selection } from '../_state/selection';
import { itemLabels, itemsOf, orderNumbers, thingOf } from '../_state/thingsShown';
import type { PlanControls } from '../_state/usePlanEditor';
import { useSandGestures } from '../_state/useSandGestures';
import type { SandWindow } from '../_state/useSandView';
import { DragGuides } from './DragGuides';
import { GroundMarks } from './GroundMarks';
import classes from './PlanSand.module.css';
import { TrackLayer } from './TrackLayer';
import { Walker } from './Walker';

type PlanSandProps = {
  arena: Arena;
  marks: ArenaMarks;
  controls: PlanControls;
  window: SandWindow;
  selection: Selection;
  onSelect: (selection: Selection) => void;
  chosenTrack: string | null;
  horse: LayoutHorse | null;
  riding: boolean;
  onRide: (item: string, from: PointM | null, fromBehind: boolean) => void;
  /** Pointed at here, on the ribbon, or in a caution. */
  marked: { items: readonly string[]; leg: LegPlace | null };
  onPoint: (item: string | null) => void;
  centreOf: (ids: readonly string[]) => PointM | null;
  /** Where the walk along the chosen track has come to, metres; null while nobody walks. */
  walkedM: number | null;
};

/** The sand with everything on it: dragged, turned, pinched, and gone through by keys. */
export function PlanSand(props: PlanSandProps) {
  const { arena, marks, controls, window: sand, selection, onSelect, chosenTrack, horse, riding, onRide } = props;
  const { marked, onPoint, centreOf, walkedM } = props;
  const { resolved, tracks } = controls.shown;
  const { layout } = resolved;
  const { format } = useLengths();
  const svg = useRef<SVGSVGElement>(null);
  const ground = useRef<HTMLDivElement>(null);
  const { view, box, share } = sand;
  const textM = sandTextM(arena) * share;
  const { drag, marquee } = useSandGestures({
    ...{ svg, ground, arena, controls, window: sand, selection, horse, riding, onSelect, centreOf },
    onRide: (item, from) => onRide(item, from, false),
  });
  const labels = useMemo(
    () => itemLabels(resolved, tracks, horse?.name ?? null, format),
    [resolved, tracks, horse?.name, format],
  );
  const onKey = (event: KeyboardEvent) => {
    const item = (event.target as Element).closest<SVGElement>('[data-item]')?.dataset.item;
    if (item === undefined || (event.key !== 'Enter' && event.key !== ' ')) return;
    event.preventDefault();
    event.stopPropagation();
    if (riding) return onRide(item, null, event.shiftKey);
    onSelect(selectThing(selection, thingOf(resolved, item), event.shiftKey));
  };
  const pointAt = (event: { target: EventTarget }) =>
    onPoint((event.target as Element).closest<SVGElement>('[data-item]')?.dataset.item ?? null);
  const selected = itemsOf(resolved, selection.ids);
  const chosen = layout.tracks.find(({ id }) => id === chosenTrack);
  const numbers = chosen?.kind === 'items' ? orderNumbers(chosen.through) : null;
  const still = stillParts(controls);
  const viewBox = `${box.x} ${box.y} ${box.width} ${box.height}`;
  const trackLayer = { layout, tracks, chosenTrack, horse, view, textM, marked: selection.leg ?? marked.leg };
  const sandItem = (item: Item) => (
    <SandItem
      key={item.id}
      item={item}
      view={view}
      textM={textM}
      label={labels.get(item.id) ?? item.id}
      number={numbers?.get(item.id) ?? null}
      selected={selected.includes(item)}
      locked={controls.present.plan.lockedIds.includes(thingOf(resolved, item.id))}
    />
  );
  return (
    <div
      ref={ground}
      role="group"
      aria-label="The sand"
      className={classes.ground}
      data-riding={riding || undefined}
      onPointerOver={pointAt}
      onPointerLeave={() => onPoint(null)}
      onFocus={(event: FocusEvent) => pointAt(event)}
      onKeyDown={onKey}
      onContextMenu={event => event.preventDefault()}
    >
      {/* Three drawings one over the other: while something is dragged, only the last is drawn anew. */}
      <GroundLayer arena={arena} marks={marks} view={view} box={box} textM={textM} svg={svg} />
      <svg viewBox={viewBox} className={classes.layer} data-layer="still">
        <TrackLayer {...trackLayer} isHere={part => still.has(part)} />
        <Stands exercises={resolved.exercises} view={view} textM={textM} />
        {layout.items.filter(item => still.has(item)).map(sandItem)}
      </svg>
      <svg viewBox={viewBox} className={classes.layer} data-layer="live">
        <TrackLayer {...trackLayer} isHere={part => !still.has(part)} />
        <Outlines items={layout.items.filter(({ id }) => marked.items.includes(id))} view={view} kind="marked" />
        <Outlines items={selected} view={view} kind="selected" />
        {layout.items.filter(item => !still.has(item)).map(sandItem)}
        <Knob at={centreOf(selection.ids)} items={selected} view={view} textM={textM} />
        <ViaHandle controls={controls} selection={selection} view={view} textM={textM} />
        {drag && (
          <DragGuides drag={drag} controls={controls} arena={arena} view={view} textM={textM} ids={selection.ids} />
        )}
        {marquee && <MarqueeBox {...marquee} view={view} />}
        {walkedM !== null && chosenTrack !== null && (
          <Walker track={tracks.find(({ id }) => id === chosenTrack)} walkedM={walkedM} view={view} textM={textM} />
        )}
      </svg>
    </div>
  );
}

/** What lies as it lay before something was taken up: items, legs and sessions that are the very same as then. */
function stillParts({ standing }: PlanControls): Set<unknown> {
  return new Set<unknown>([
    ...standing.resolved.layout.items,
    ...standing.tracks.flatMap<unknown>(track => (track.kind === 'items' ? track.legs : [track])),
  ]);
}

type GroundLayerProps = {
  arena: Arena;
  marks: ArenaMarks;
  view: SandView;
  box: PaperBox;
  textM: number;
  svg: RefObject<SVGSVGElement | null>;
};

/** The sand itself, with its lines and letters and what the yard has marked on it. */
const GroundLayer = memo(function GroundLayer({ arena, marks, view, box, textM, svg }: GroundLayerProps) {
  return (
    <Sand arena={arena} view={view} ref={svg} label="" className={classes.board} box={box} textM={textM}>
      <GroundMarks marks={marks} view={view} textM={textM} />
    </Sand>
  );
});

type SandItemProps = {
  item: Item;
  view: SandView;
  textM: number;
  label: string;
  number: string | null;
  selected: boolean;
  locked: boolean;
};

/** One item: drawn, named, and reached by keys. */
const SandItem = memo(function SandItem({ item, view, textM, label, number, selected, locked }: SandItemProps) {
  const { x, y } = view.toPaper(item.at);
  const beside = 'headingRad' in item ? namePlace(item, view, textM) : { x, y: y + textM * 1.1 };
  // The poles of a row lie close: their order says enough.
  const named = item.kind === 'fence' || (selected && number === null);
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={locked ? `${label}, locked` : label}
      aria-pressed={selected}
      className={classes.item}
      data-item={item.id}
    >
      <circle cx={x} cy={y} r={Math.max(0.7, textM)} className={classes.grip} />
      <ItemGrip item={item} view={view} />
      <ItemDrawing item={item} view={view} />
      {(named || number !== null) && (
        <text x={beside.x} y={beside.y} dy="0.35em" fontSize={textM * 0.82} className={classes.name}>
          {number !== null && <tspan className={classes.order}>{number}</tspan>}
          {named && ` ${item.id.split(' ').pop()}`}
          {locked && ' (locked)'}
        </text>
      )}
    </g>
  );
});

/** Beside the right end of an item, as ridden. */
function namePlace(item: Extract<Item, { headingRad: number }>, view: SandView, textM: number) {
  const halfM = item.kind === 'pole' ? item.lengthM / 2 : item.kind === 'fence' ? item.widthM / 2 + 0.5 : 0.3;
  return view.toPaper(pointAlong(item.at, item.headingRad - Math.PI / 2, halfM + textM * 0.9));
}

/** Where an item can be taken hold of: a little more than it covers. */
function ItemGrip({ item, view }: { item: Item; view: SandView }) {
  return <polygon points={outline(item, view)} className={classes.gripShape} />;
}

function outline(item: Item, view: SandView): string {
  return footprintCorners(item)
    .map(corner => view.toPaper(corner))
    .map(({ x, y }) => `${x},${y}`)
    .join(' ');
}

/** Round an item, so far outside what it covers that it stays to be seen. */
const ROUND_M = 0.3;

function roundOutline(item: Item, view: SandView): string {
  const headingRad = 'headingRad' in item ? item.headingRad : 0;
  const ways = [1, 3, 5, 7].map(eighths => headingRad + (eighths * Math.PI) / 4);
  return footprintCorners(item)
    .map((corner, index) => view.toPaper(pointAlong(corner, ways[index]!, ROUND_M * Math.SQRT2)))
    .map(({ x, y }) => `${x},${y}`)
    .join(' ');
}

function Outlines({ items, view, kind }: { items: readonly Item[]; view: SandView; kind: 'selected' | 'marked' }) {
  return items.map(item => (
    <polygon key={item.id} points={roundOutline(item, view)} className={classes[kind]} data-outline={kind} />
  ));
}

type KnobProps = { at: PointM | null; items: readonly Item[]; view: SandView; textM: number };

const KNOB_M = 3.2;

/** Turns what is selected: it stands ahead of it, the way it is ridden. */
function Knob({ at, items, view, textM }: KnobProps) {
  const facing = items.find((item): item is Extract<Item, { headingRad: number }> => 'headingRad' in item);
  if (!at || !facing) return null;
  const from = view.toPaper(at);
  const { x, y } = view.toPaper(pointAlong(at, facing.headingRad, KNOB_M * Math.max(0.5, textM * 1.2)));
  return (
    <g className={classes.knob} data-knob="">
      <title>Drag to turn</title>
      <line x1={from.x} y1={from.y} x2={x} y2={y} strokeWidth={textM * 0.06} />
      <circle cx={x} cy={y} r={textM * 1.05} className={classes.knobGrip} />
      <path
        d="M-0.5 -0.42L0.5 0L-0.5 0.42Z"
        transform={`translate(${x} ${y}) rotate(${paperDegrees(view, facing.headingRad)}) scale(${textM})`}
      />
    </g>
  );
}

/** The point that the selected leg is drawn through: dragging it makes one where there was none. */
function ViaHandle({
  controls,
  selection,
  view,
  textM,
}: Omit<KnobProps, 'at' | 'items'> & Pick<PlanSandProps, 'controls' | 'selection'>) {
  const { leg } = selection;
  const reckoned = leg && controls.shown.tracks.find(({ id }) => id === leg.track);
  const planned = leg && controls.shown.resolved.layout.tracks.find(({ id }) => id === leg.track);
  if (!leg || reckoned?.kind !== 'items' || planned?.kind !== 'items') return null;
  const choice = planned.legs[leg.leg]?.track;
  const ridden = reckoned.legs[leg.leg];
  if (!ridden || planned.legs[leg.leg]?.circle) return null;
  const at = typeof choice === 'object' ? choice.via : middleOf(ridden.chain);
  const { x, y } = view.toPaper(at);
  return (
    <g className={classes.via} data-via="">
      <title>Drag to ride through another point</title>
      <circle cx={x} cy={y} r={textM * 1.1} className={classes.knobGrip} />
      <rect x={-0.4} y={-0.4} width={0.8} height={0.8} transform={`translate(${x} ${y}) rotate(45) scale(${textM})`} />
    </g>
  );
}

type StandsProps = { exercises: readonly ResolvedExercise[]; view: SandView; textM: number };

/** Where one stands to watch. */
function Stands({ exercises, view, textM }: StandsProps) {
  return exercises.map(({ placed, laid, guidance }) => {
    const { x, y } = view.toPaper(laid.stand);
    return (
      <g key={placed.id} className={classes.stand} data-stand={placed.id}>
        <title>{`Stand here to watch ${placed.id}. ${guidance.stand}`}</title>
        <path
          d="M0 -0.1A0.32 0.32 0 1 0 0 -0.74A0.32 0.32 0 1 0 0 -0.1M-0.45 0.75Q-0.45 0 0 0Q0.45 0 0.45 0.75Z"
          transform={`translate(${x} ${y}) scale(${textM * 0.9})`}
        />
      </g>
    );
  });
}

function MarqueeBox({ from, to, view }: { from: PointM; to: PointM; view: SandView }) {
  const [a, b] = [view.toPaper(from), view.toPaper(to)];
  return (
    <rect
      x={Math.min(a.x, b.x)}
      y={Math.min(a.y, b.y)}
      width={Math.abs(a.x - b.x)}
      height={Math.abs(a.y - b.y)}
      className={classes.marquee}
    />
  );
}

function middleOf(chain: Chain): PointM {
  return poseAt(chain, chain.lengthM / 2).at;
}
