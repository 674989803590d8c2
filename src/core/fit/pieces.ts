import { distanceM, pointAlong } from '../geometry/pointM';
import { placeMoved } from '../geometry/frame';
import type { Pose } from '../geometry/pose';
import { isRidden, type Item } from '../items/item';
import type { Layout } from '../layout/layout';

/**
 * What moves as one: an item that is ridden with what stands by it, or an exercise. `pose` is what it is moved about: ahead
 * is the way it is ridden.
 */
export type FitPiece = { id: string; itemIds: readonly string[]; pose: Pose; locked: boolean };

/** How a piece is moved: along the way it is ridden, to the left of it, and turned about its middle. */
export type FitMove = { alongM: number; leftM: number; turnRad: number };

export const STAYS: FitMove = { alongM: 0, leftM: 0, turnRad: 0 };

/** What lies this near to something ridden belongs to it: its guide rails, its cones. */
const BESIDE_M = 2.5;

/**
 * The pieces of a layout. What is not ridden goes with what it stands by, and by itself stays where it is.
 * @param ownerOf - the exercise that an item belongs to
 * @param lockedIds - items and exercises that may not be moved
 */
export function piecesOf(
  { items }: Pick<Layout, 'items'>,
  ownerOf: ReadonlyMap<string, string>,
  lockedIds: readonly string[],
): FitPiece[] {
  const pieces = new Map<string, Item[]>();
  for (const item of items) {
    const id = ownerOf.get(item.id) ?? (isRidden(item) ? item.id : null);
    if (id !== null) pieces.set(id, [...(pieces.get(id) ?? []), item]);
  }
  const alone = items.filter(item => !isRidden(item) && !ownerOf.has(item.id));
  for (const item of alone) {
    const near = [...pieces]
      .map(([id, parts]) => ({ id, farM: Math.min(...parts.map(({ at }) => distanceM(at, item.at))) }))
      .sort((a, b) => a.farM - b.farM)[0];
    if (near && near.farM <= BESIDE_M && !lockedIds.includes(item.id)) pieces.get(near.id)!.push(item);
  }
  return [...pieces].map(([id, parts]) => ({
    ...{ id, itemIds: parts.map(part => part.id), pose: poseOf(parts) },
    locked: lockedIds.includes(id) || parts.some(part => lockedIds.includes(part.id)),
  }));
}

/** Its middle, facing as the first thing of it is ridden. */
function poseOf(parts: readonly Item[]): Pose {
  const ridden = parts.filter(isRidden);
  const of = ridden.length > 0 ? ridden : parts;
  const mean = (value: (item: Item) => number) => of.reduce((sum, item) => sum + value(item), 0) / of.length;
  return { at: { xM: mean(item => item.at.xM), yM: mean(item => item.at.yM) }, headingRad: ridden[0]?.headingRad ?? 0 };
}

/** Where a piece lies once it is moved. */
export function movedPose({ pose }: FitPiece, { alongM, leftM, turnRad }: FitMove): Pose {
  const ahead = pointAlong(pose.at, pose.headingRad, alongM);
  return { at: pointAlong(ahead, pose.headingRad + Math.PI / 2, leftM), headingRad: pose.headingRad + turnRad };
}

/** The same item where it lies once its piece is moved. */
export function movedItem(item: Item, piece: FitPiece, move: FitMove): Item {
  if (isStill(move)) return item;
  const to = movedPose(piece, move);
  const headingRad = 'headingRad' in item ? item.headingRad : 0;
  const moved = placeMoved({ at: item.at, headingRad }, piece.pose, to);
  return { ...item, at: moved.at, ...('headingRad' in item ? { headingRad: moved.headingRad } : {}) };
}

export const isStill = ({ alongM, leftM, turnRad }: FitMove): boolean => alongM === 0 && leftM === 0 && turnRad === 0;

/** A layout with its pieces moved; what is not moved is the very same item. */
export function movedLayout(layout: Layout, pieces: readonly FitPiece[], moves: readonly FitMove[]): Layout {
  const moveOf = new Map<string, { piece: FitPiece; move: FitMove }>();
  pieces.forEach((piece, index) => {
    const move = moves[index]!;
    if (!isStill(move)) for (const id of piece.itemIds) moveOf.set(id, { piece, move });
  });
  if (moveOf.size === 0) return layout;
  const items = layout.items.map(item => {
    const moved = moveOf.get(item.id);
    return moved ? movedItem(item, moved.piece, moved.move) : item;
  });
  return { ...layout, items };
}
