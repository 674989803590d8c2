import { paperDegrees, type SandView } from '@/components/Sand/sandView';
import type { LookName } from '@/components/Sand/looks';
import { circlePath, linePath, type PathShape, type Shape } from '@/components/Sand/shape';
import { footprintCorners, pointAlong, poseAt, type Chain, type Item, type PointM } from '@/core';
import type { Selection } from '../_state/selection';
import { itemsOf, middleOf } from '../_state/thingsShown';
import type { Shown } from '../_state/shown';
import type { Seen } from './trackShapes';

type LookedAt = { selection: Selection; marked: { items: readonly string[] } };

/** What the eye is led to, and what the hand takes hold of: outlines, the knob, the point of a leg. */
export function handShapes(shown: Shown, { selection, marked }: LookedAt, seen: Seen) {
  const selected = itemsOf(shown.resolved, selection.ids);
  const pointedAt = shown.resolved.layout.items.filter(({ id }) => marked.items.includes(id));
  return {
    marked: outlineShapes(pointedAt, seen.view, 'marked'),
    selected: outlineShapes(selected, seen.view, 'selected'),
    knob: knobShapes(middleOf(shown, selection.ids), selected, seen),
    via: viaShapes(shown, selection, seen),
  };
}

/** Round an item, so far outside what it covers that it stays to be seen. */
const ROUND_M = 0.3;

/** A line round items: those that are selected, or pointed at. */
export function outlineShapes(items: readonly Item[], view: SandView, look: LookName): PathShape[] {
  return items.map(item => {
    const headingRad = 'headingRad' in item ? item.headingRad : 0;
    const ways = [1, 3, 5, 7].map(eighths => headingRad + (eighths * Math.PI) / 4);
    const corners = footprintCorners(item)
      .map((corner, index) => view.toPaper(pointAlong(corner, ways[index]!, ROUND_M * Math.SQRT2)))
      .map(({ x, y }) => `${x} ${y}`);
    return { kind: 'path', d: `M${corners.join('L')}Z`, look };
  });
}

const KNOB_M = 3.2;

/** What turns the selected things: ahead of their middle, the way they are ridden. */
export function knobShapes(at: PointM | null, items: readonly Item[], { view, textM }: Seen): Shape[] {
  const facing = items.find((item): item is Extract<Item, { headingRad: number }> => 'headingRad' in item);
  if (!at || !facing) return [];
  const knob = view.toPaper(pointAlong(at, facing.headingRad, KNOB_M * Math.max(0.5, textM * 1.2)));
  const turnRad = (paperDegrees(view, facing.headingRad) * Math.PI) / 180;
  const arrow = turned(knob, turnRad, textM, [
    [-0.5, -0.42],
    [0.5, 0],
    [-0.5, 0.42],
  ]);
  return [
    { kind: 'path', d: linePath(view.toPaper(at), knob), look: 'knobArm', strokeM: textM * 0.06 },
    { kind: 'path', d: circlePath(knob, textM * 1.05), look: 'knobGrip' },
    { kind: 'path', d: arrow, look: 'handle' },
  ];
}

type Place = { x: number; y: number };

function turned(
  { x, y }: Place,
  turnRad: number,
  scale: number,
  places: readonly (readonly [number, number])[],
): string {
  const [cos, sin] = [Math.cos(turnRad) * scale, Math.sin(turnRad) * scale];
  return `M${places.map(([a, b]) => `${x + a * cos - b * sin} ${y + a * sin + b * cos}`).join('L')}Z`;
}

/** The point that the selected leg is drawn through: dragging it makes one where there was none. */
export function viaShapes(shown: Shown, { leg }: Selection, { view, textM }: Seen): Shape[] {
  const reckoned = leg && shown.tracks.find(({ id }) => id === leg.track);
  const planned = leg && shown.resolved.layout.tracks.find(({ id }) => id === leg.track);
  if (!leg || reckoned?.kind !== 'items' || planned?.kind !== 'items') return [];
  const choice = planned.legs[leg.leg]?.track;
  const ridden = reckoned.legs[leg.leg];
  if (!ridden || planned.legs[leg.leg]?.circle) return [];
  const at = view.toPaper(typeof choice === 'object' ? choice.via : middleOfLeg(ridden.chain));
  const corners = [
    [-0.4, -0.4],
    [0.4, -0.4],
    [0.4, 0.4],
    [-0.4, 0.4],
  ] as const;
  return [
    { kind: 'path', d: circlePath(at, textM * 1.1), look: 'knobGrip' },
    { kind: 'path', d: turned(at, Math.PI / 4, textM, corners), look: 'handle', rail: true },
  ];
}

function middleOfLeg(chain: Chain): PointM {
  return poseAt(chain, chain.lengthM / 2).at;
}
