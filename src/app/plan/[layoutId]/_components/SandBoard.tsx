'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { paperDegrees, RowDrawing } from '@/components/Sand/RowDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView, type SandView } from '@/components/Sand/sandView';
import { arenaLines, placeRow, pointAlong, type Arena, type PlacedRow, type PointM } from '@/core';
import type { Horse } from '@/data/queries/horses';
import { useDrag } from '@use-gesture/react';
import { useMemo, useRef, type KeyboardEvent, type RefObject } from 'react';
import type { RowChange } from '../_state/changeRow';
import type { PlanControls } from '../_state/usePlan';
import { PlaceGuides } from './PlaceGuides';
import classes from './SandBoard.module.css';

type SandBoardProps = {
  arena: Arena;
  plan: PlanControls;
  horse: Horse;
  placed: PlacedRow;
  footfallsM: readonly number[];
  /** The row on its way while it is dragged; null once it is let go. */
  onDrag: (placed: PlacedRow | null) => void;
};

/** How near a line the middle of the row must come to be drawn onto it. */
const SNAP_M = 0.35;
const SNAP_RAD = (4 * Math.PI) / 180;
const KNOB_AHEAD_M = 3.4;

/** The sand, with the row that can be dragged, turned by its knob, and moved by keys. */
export function SandBoard({ arena, plan, horse, placed, footfallsM, onDrag }: SandBoardProps) {
  const { format } = useLengths();
  const view = useMemo(() => sandView(arena, 'along'), [arena]);
  const svg = useRef<SVGSVGElement>(null);
  const textM = sandTextM(arena);
  const bind = useRowGestures({ arena, plan, horse, placed, view, svg, onDrag });
  const label = `Row of ${placed.poles.length} ${plan.row.gait} poles for ${horse.name}, ${format(placed.spacing.spacingM)} apart`;
  const centre = view.toPaper(placed.row.centre);
  const degrees = paperDegrees(view, placed.row.headingRad);
  const halfLengthM = ((placed.poles.length - 1) * placed.spacing.spacingM) / 2 + 0.7;
  return (
    <Sand arena={arena} view={view} ref={svg} label="The sand" className={classes.board}>
      <PlaceGuides arena={arena} view={view} centre={placed.row.centre} textM={textM} />
      <g
        {...bind.move()}
        tabIndex={0}
        role="group"
        aria-roledescription="row of poles"
        aria-label={`${label}. Arrow keys move it, comma and full stop turn it.`}
        className={classes.row}
        data-testid="row"
        onKeyDown={event => moveByKey(event, placed, view, plan)}
      >
        <rect
          x={-halfLengthM}
          y={-placed.row.poleLengthM / 2 - 0.3}
          width={halfLengthM * 2}
          height={placed.row.poleLengthM + 0.6}
          transform={`translate(${centre.x} ${centre.y}) rotate(${degrees})`}
          className={classes.grip}
        />
        <RowDrawing placed={placed} view={view} textM={textM} footfallsM={footfallsM} />
      </g>
      <Knob bind={bind.turn} at={knobAt(placed)} view={view} centre={placed.row.centre} />
    </Sand>
  );
}

function knobAt({ row, poles }: PlacedRow): PointM {
  return pointAlong(poles[poles.length - 1]!.at, row.headingRad, KNOB_AHEAD_M);
}

type KnobProps = { bind: () => object; at: PointM; centre: PointM; view: SandView };

function Knob({ bind, at, view }: KnobProps) {
  const { x, y } = view.toPaper(at);
  return (
    <g {...bind()} className={classes.knob} data-testid="turn">
      <title>Drag to turn the row</title>
      <circle cx={x} cy={y} r={1.1} className={classes.knobGrip} />
      <circle cx={x} cy={y} r={0.42} />
    </g>
  );
}

type GestureSetting = Omit<SandBoardProps, 'footfallsM'> & { view: SandView; svg: RefObject<SVGSVGElement | null> };

/** Dragging the row and turning it: shown on the way, committed once, on release. */
function useRowGestures({ arena, plan, horse, placed, view, svg, onDrag }: GestureSetting) {
  const show = (change: RowChange, last: boolean) => {
    const result = plan.attempt(change);
    if (last) onDrag(null);
    if (!result.ok) return;
    if (last) plan.putRow(result.row);
    else onDrag(placeRow(arena, result.row, horse));
  };
  const move = useDrag(({ xy, initial, last, tap, memo = placed.row.centre }) => {
    if (tap) return memo;
    const from = sandPoint(svg.current, view, initial);
    const to = sandPoint(svg.current, view, xy);
    if (!from || !to) return memo;
    const centre = { xM: memo.xM + to.xM - from.xM, yM: memo.yM + to.yM - from.yM };
    show({ kind: 'move', centre: snapped(arena, centre) }, last);
    return memo;
  });
  const turn = useDrag(({ xy, last, tap }) => {
    const to = sandPoint(svg.current, view, xy);
    if (tap || !to) return;
    const { centre } = placed.row;
    const headingRad = Math.atan2(to.yM - centre.yM, to.xM - centre.xM);
    show({ kind: 'turn', headingRad: snappedHeading(headingRad) }, last);
  });
  return { move, turn };
}

/** From a place on the screen to a place on the sand. */
function sandPoint(svg: SVGSVGElement | null, view: SandView, [x, y]: [number, number]): PointM | null {
  const matrix = svg?.getScreenCTM();
  if (!matrix) return null;
  const paper = new DOMPoint(x, y).matrixTransform(matrix.inverse());
  return view.toSand({ x: paper.x, y: paper.y });
}

/** Onto a centre, quarter or half line when close to it; else to the whole centimetre. */
function snapped(arena: Arena, centre: PointM): PointM {
  let { xM, yM } = { xM: Math.round(centre.xM * 100) / 100, yM: Math.round(centre.yM * 100) / 100 };
  for (const { from, to } of arenaLines(arena)) {
    if (from.xM === to.xM && Math.abs(centre.xM - from.xM) < SNAP_M) xM = from.xM;
    if (from.yM === to.yM && Math.abs(centre.yM - from.yM) < SNAP_M) yM = from.yM;
  }
  return { xM, yM };
}

/** Onto a quarter turn when close to it; else to the whole degree. */
function snappedHeading(headingRad: number): number {
  const quarter = Math.round(headingRad / (Math.PI / 2)) * (Math.PI / 2);
  if (Math.abs(headingRad - quarter) < SNAP_RAD) return quarter;
  return (Math.round((headingRad * 180) / Math.PI) * Math.PI) / 180;
}

const NUDGE_M = 0.25;
const BIG_NUDGE_M = 1;
const FINE_NUDGE_M = 0.01;
const TURN_RAD = (5 * Math.PI) / 180;

/** Arrows move the row as it looks on the page (Shift far, Alt fine); comma and full stop turn it. */
function moveByKey(event: KeyboardEvent, placed: PlacedRow, view: SandView, plan: PlanControls): void {
  const byM = event.shiftKey ? BIG_NUDGE_M : event.altKey ? FINE_NUDGE_M : NUDGE_M;
  const arrows: Record<string, [number, number]> = {
    ArrowLeft: [-byM, 0],
    ArrowRight: [byM, 0],
    ArrowUp: [0, -byM],
    ArrowDown: [0, byM],
  };
  const arrow = arrows[event.key];
  const turnRad = event.key === ',' ? TURN_RAD : event.key === '.' ? -TURN_RAD : 0;
  if (!arrow && turnRad === 0) return;
  event.preventDefault();
  if (!arrow) return void plan.change({ kind: 'turn', headingRad: placed.row.headingRad + turnRad });
  const at = view.toPaper(placed.row.centre);
  plan.change({ kind: 'move', centre: view.toSand({ x: at.x + arrow[0], y: at.y + arrow[1] }) });
}
