'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { sandTextM } from '@/components/Sand/Sand';
import looks from '@/components/Sand/looks.module.css';
import type { SandView } from '@/components/Sand/sandView';
import type { PathShape, Shape } from '@/components/Sand/shape';
import { Shapes } from '@/components/Sand/Shapes';
import type { Arena, Item, LayoutHorse, PointM } from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import dynamic from 'next/dynamic';
import { memo, useMemo, useRef, type FocusEvent, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';
import { useMoved } from '../_hand/liveShown';
import { partsNamed, partsOf, type Parts } from '../_hand/movedParts';
import { SandCanvas } from '../_hand/SandCanvas';
import { selectThing, type Selection, type Pointed } from '../_state/selection';
import { itemLabels, thingOf } from '../_state/thingsShown';
import { cautionSpots, type CautionSpot } from '../_state/cautionSpots';
import type { OfferedChange } from '../_state/offeredMend';
import type { PlanControls } from '../_state/usePlanEditor';
import { useSandGestures, type Marquee } from '../_state/useSandGestures';
import type { SandWindow } from '../_state/useSandView';
import { GroundLayer } from './GroundLayer';
import { handShapes } from './handleShapes';
import classes from './PlanSand.module.css';
import { itemNaming, type ItemNaming } from './itemNaming';
import { SandItem } from './SandItem';
import { CautionMark } from './CautionMark';
import { CAUTION_SHARE, sandLabels, type SandLabel } from './sandLabels';
import { Stands } from './Stands';
import { TrackLayer } from './TrackLayer';
import type { Seen } from './trackShapes';
import { Walker } from './Walker';

// Grips come with what they take hold of: the page opens without them.
const FigureGrips = dynamic(() => import('./FigureGrips').then(m => m.FigureGrips), { ssr: false });
const SidewaysGrips = dynamic(() => import('./FigureGrips').then(m => m.SidewaysGrips), { ssr: false });
const GapGrips = dynamic(() => import('./GapGrips').then(m => m.GapGrips), { ssr: false });
const MendPreview = dynamic(() => import('./MendPreview').then(m => m.MendPreview), { ssr: false });

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
  marked: Pointed;
  onPoint: (item: string | null) => void;
  /** One more piece is wanted at the end of an exercise. */
  onGrow: (exercise: string) => void;
  /** A mark of a caution was pressed. */
  onCaution: (spot: CautionSpot) => void;
  /** A mend that is looked at before it is made. */
  mend: OfferedChange | null;
  /** Where the walk along the chosen track has come to, metres; null while nobody walks. */
  walkedM: number | null;
};

/** The sand with everything on it: dragged, turned, pinched, and gone through by keys. */
export function PlanSand(props: PlanSandProps) {
  const { arena, marks, controls, window: sand, selection, onSelect, horse, riding, onRide, onPoint } = props;
  const { chosenTrack, marked } = props;
  const { resolved } = controls.shown;
  const svg = useRef<SVGSVGElement>(null);
  const ground = useRef<HTMLDivElement>(null);
  const { view, box, share } = sand;
  const textM = sandTextM(arena) * share;
  const marquee = useSandGestures({
    ...{ svg, ground, controls, window: sand, selection, horse, riding, onSelect },
    onRide: (item, from) => onRide(item, from, false),
  });
  const standing = useMemo(() => partsOf(controls.shown), [controls.shown]);
  const onKey = (event: KeyboardEvent) => {
    const item = itemUnder(event.target);
    if (item === null || (event.key !== 'Enter' && event.key !== ' ')) return;
    event.preventDefault();
    event.stopPropagation();
    if (riding) return onRide(item, null, event.shiftKey);
    onSelect(selectThing(selection, thingOf(resolved, item), event.shiftKey));
  };
  // A hand that drags points at nothing else on its way.
  const pointed = (event: PointerEvent) => event.buttons === 0 && onPoint(itemUnder(event.target));
  const { labels, naming } = useNaming(props);
  const { tracks } = controls.shown;
  const spots = useMemo(() => cautionSpots(controls.cautions, resolved, tracks), [controls.cautions, resolved, tracks]);
  const written = useMemo(
    () =>
      sandLabels(
        { resolved, tracks, arena, chosenTrack, naming, isHere: () => true, cautions: spots },
        { view, textM },
      ),
    [resolved, tracks, arena, chosenTrack, naming, spots, view, textM],
  );
  const hand = useRef<SVGSVGElement>(null);
  const layer = { ...props, standing, view, textM };
  const { orientation } = view;
  const scene = { orientation, box, textM, chosenTrack, horse: horse?.id ?? null, selection, marked };
  return (
    <div
      ref={ground}
      role="group"
      aria-label="The sand"
      className={classes.ground}
      data-lit=""
      data-riding={riding || undefined}
      onPointerOver={pointed}
      onPointerLeave={() => onPoint(null)}
      onFocus={(event: FocusEvent) => onPoint(itemUnder(event.target))}
      onKeyDown={onKey}
      onContextMenu={event => event.preventDefault()}
    >
      {/* Drawings one over the other: while something is dragged, only the last is drawn anew. */}
      <GroundLayer arena={arena} marks={marks} view={view} box={box} textM={textM} svg={svg} />
      <StillLayer {...layer} {...{ labels, naming, written }} />
      <HandLayer {...layer} {...{ marquee, written }} svg={hand} />
      <SandCanvas painting={controls.painting} live={controls.live} svg={hand} scene={scene} />
    </div>
  );
}

function itemUnder(target: EventTarget): string | null {
  return (target as Element).closest<SVGElement>('[data-item]')?.dataset.item ?? null;
}

/** What is written beside the items of this layout, and what is said of them. */
function useNaming({ controls, selection, chosenTrack, horse }: PlanSandProps) {
  const { resolved, tracks } = controls.shown;
  const { format } = useLengths();
  const labels = useMemo(
    () => itemLabels(resolved, tracks, horse?.id ?? null, format),
    [resolved, tracks, horse?.id, format],
  );
  const { lockedIds } = controls.present.plan;
  const naming = useMemo(
    () => itemNaming(resolved, { chosenTrack, selection, lockedIds }),
    [resolved, chosenTrack, selection, lockedIds],
  );
  return { labels, naming };
}

type LayerProps = PlanSandProps & Seen & { standing: Parts };

type StillLayerProps = LayerProps & {
  /** What a screen reader says of each item. */
  labels: ReadonlyMap<string, string>;
  naming: (item: Item) => ItemNaming;
  written: readonly SandLabel[];
};

/** What lies as it stands: while something is dragged, all but what the drag moves. */
function StillLayer({ labels, naming, written, ...props }: StillLayerProps) {
  const { controls, standing, chosenTrack, horse, selection, marked, view, textM } = props;
  const moved = useMoved(controls.live) ?? '';
  const away = useMemo(() => partsNamed(standing, moved), [standing, moved]);
  const isStill = (part: unknown) => !away.has(part);
  const { resolved, tracks } = controls.shown;
  const { layout } = resolved;
  return (
    <svg viewBox={viewBox(props.window)} className={classes.layer} data-layer="still">
      <TrackLayer
        {...{ layout, tracks, chosenTrack, horse, view, textM }}
        marked={selection.leg ?? marked.leg}
        figures={marked.figures ?? null}
        isHere={isStill}
      />
      {layout.tracks.some(({ kind }) => kind === 'figures') && (
        <FigureGrips shown={controls.shown} view={view} textM={textM} />
      )}
      <Stands exercises={resolved.exercises.filter(isStill)} view={view} textM={textM} />
      {layout.items.filter(isStill).map(item => {
        const { selected, locked } = naming(item);
        return (
          <SandItem key={item.id} {...{ item, view, textM, selected, locked }} label={labels.get(item.id) ?? ''} />
        );
      })}
      {written.map(({ of, key, shapes }) => isStill(of) && <Written key={key} shapes={shapes} />)}
    </svg>
  );
}

/** What the hand takes hold of, and what the eye is led to: outlines, handles, the walker. A drag draws its own. */
function HandLayer(
  props: LayerProps & {
    marquee: Marquee | null;
    svg: RefObject<SVGSVGElement | null>;
    written: readonly SandLabel[];
  },
) {
  const { controls, chosenTrack, walkedM, view, textM, marquee, svg, mend } = props;
  const isOnItsWay = useMoved(controls.live) !== null;
  const { shown } = controls;
  const hand = handShapes(shown, props, props);
  const { ids } = props.selection;
  const selectedExercise =
    ids.length === 1 && !props.riding ? shown.resolved.exercises.find(({ placed }) => placed.id === ids[0]) : undefined;
  return (
    <svg ref={svg} viewBox={viewBox(props.window)} className={classes.layer} data-layer="hand">
      {!isOnItsWay && (
        <>
          <Outlines shapes={hand.marked} kind="marked" />
          <Outlines shapes={hand.selected} kind="selected" />
          {hand.knob.length > 0 && (
            <g className={classes.knob} data-knob="">
              <title>Drag to turn</title>
              <Shapes shapes={hand.knob} />
            </g>
          )}
          {hand.via.length > 0 && (
            <g className={classes.via} data-via="">
              <title>Drag to ride through another point</title>
              <Shapes shapes={hand.via} />
            </g>
          )}
        </>
      )}
      {!isOnItsWay && selectedExercise && <SidewaysGrips exercise={selectedExercise} {...{ view, textM }} />}
      {!isOnItsWay && selectedExercise && (
        <GapGrips
          {...{ shown, view, textM }}
          exercise={selectedExercise}
          onGrow={() => props.onGrow(selectedExercise.placed.id)}
        />
      )}
      {/* While a track is laid every tap belongs to what is ridden. */}
      {!isOnItsWay &&
        !props.riding &&
        props.written.map(
          ({ of, key, at }) =>
            isCautionSpot(of) && (
              <CautionMark
                key={key}
                spot={of}
                cautions={controls.cautions}
                at={at}
                sizeM={textM * CAUTION_SHARE}
                onPress={() => props.onCaution(of)}
              />
            ),
        )}
      {mend && <MendPreview mend={mend} view={view} />}
      {marquee && <MarqueeBox {...marquee} view={view} />}
      {walkedM !== null && chosenTrack !== null && (
        <Walker track={shown.tracks.find(({ id }) => id === chosenTrack)} {...{ walkedM, view, textM }} />
      )}
    </svg>
  );
}

const isCautionSpot = (of: unknown): of is CautionSpot => typeof of === 'object' && of !== null && 'cautions' in of;

function Outlines({ shapes, kind }: { shapes: readonly PathShape[]; kind: 'selected' | 'marked' }) {
  return shapes.map(({ d, look }, index) => <path key={index} d={d} className={looks[look]} data-outline={kind} />);
}

function MarqueeBox({ from, to, view }: Marquee & { view: SandView }) {
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

const viewBox = ({ box }: SandWindow) => `${box.x} ${box.y} ${box.width} ${box.height}`;

/** What is written beside a thing: the same shapes are not drawn anew. */
const Written = memo(function Written({ shapes }: { shapes: readonly Shape[] }) {
  return (
    <g data-written="" aria-hidden="true">
      <Shapes shapes={shapes} />
    </g>
  );
});
