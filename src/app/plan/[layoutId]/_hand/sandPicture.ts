import { itemShapes } from '@/components/Sand/itemShapes';
import { fitted, paintShapes, type Looks, type Paper } from '@/components/Sand/paintShapes';
import { sandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import type { Arena } from '@/core';
import { handShapes } from '../_components/handleShapes';
import { itemNaming } from '../_components/itemNaming';
import { sandLabels } from '../_components/sandLabels';
import { standShape } from '../_components/standShape';
import { legShapes, legsOnSand, sessionShapes } from '../_components/trackShapes';
import { guideShapes } from './guideShapes';
import type { Made } from './liveShown';
import type { PaintedOn, SandScene } from './told';

export type SandSeen = SandScene & {
  arena: Arena;
  /** What lies as it stands is not drawn here. */
  still: ReadonlySet<unknown>;
  format: (lengthM: number) => string;
};

/** Paints what a hand moves on the sand, with what is shown of the hand. */
export function paintSand(canvas: PaintedOn, made: Made, seen: SandSeen, looks: Looks): void {
  const { widthPx, heightPx, box } = seen;
  if (canvas.width !== widthPx) canvas.width = widthPx;
  if (canvas.height !== heightPx) canvas.height = heightPx;
  const paper = canvas.getContext('2d') as Paper | null;
  if (!paper) return;
  paper.setTransform(1, 0, 0, 1, 0, 0);
  paper.clearRect(0, 0, widthPx, heightPx);
  paintShapes(paper, movedShapes(made, seen), fitted(box, widthPx, heightPx), looks);
}

/** A canvas of one pixel shows nothing and takes next to no room; one of none is not shown anew. */
export function clearSand(canvas: PaintedOn): void {
  if (canvas.width === 1) return;
  canvas.width = 1;
  canvas.height = 1;
  (canvas.getContext('2d') as Paper | null)?.clearRect(0, 0, 1, 1);
}

/** Everything that moved, with what is shown of the hand: outlines, handles and guides. */
export function movedShapes({ shown, drag }: Made, scene: SandSeen): Shape[] {
  const { arena, still, selection, marked, chosenTrack, format, textM } = scene;
  const seen = { view: sandView(arena, scene.orientation), textM };
  const { resolved, tracks, plan } = shown;
  const { layout } = resolved;
  const isMoved = (part: unknown) => !still.has(part);
  const horse = layout.horses.find(({ id }) => id === scene.horse) ?? null;
  const inSight = { layout, tracks, chosenTrack, horse, marked: selection.leg ?? marked.leg };
  const ways = tracks.flatMap(track => {
    const chosen = track.id === chosenTrack;
    if (track.kind === 'figures')
      return isMoved(track) ? sessionShapes(track, { chosen, horse: chosen ? horse : null }, seen) : [];
    return legsOnSand(inSight, track.id).flatMap(on => (isMoved(on.leg) ? legShapes(on, seen) : []));
  });
  const naming = itemNaming(resolved, { chosenTrack, selection, lockedIds: plan.lockedIds });
  const labels = sandLabels({ resolved, tracks, arena, chosenTrack, naming, isHere: isMoved }, seen);
  const hand = handShapes(shown, scene, seen);
  const moved = [
    ...ways,
    ...resolved.exercises.filter(isMoved).map(({ laid }) => standShape(laid.stand, seen)),
    ...hand.marked,
    ...hand.selected,
    ...layout.items.flatMap(item => (isMoved(item) ? itemShapes(item, seen.view) : [])),
    ...labels.flatMap(({ shapes }) => shapes),
    ...hand.knob,
    ...hand.via,
  ];
  if (!drag) return moved;
  const taken = moved.filter(shape => shape.kind === 'text');
  return [...moved, ...guideShapes({ drag, layout, arena, format, taken, ids: selection.ids }, seen)];
}
