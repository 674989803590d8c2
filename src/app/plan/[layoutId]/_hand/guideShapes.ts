import { circlePath, linePath, type Shape } from '@/components/Sand/shape';
import { distanceM, wallName, type Arena, type Layout, type PointM, type Wall } from '@/core';
import type { DragView } from './liveShown';
import { nearestOther } from '../_state/thingsShown';
import type { Seen } from '../_components/trackShapes';

export type DragOnSand = {
  drag: DragView;
  layout: Layout;
  arena: Arena;
  /** What is dragged: it is not measured against itself. */
  ids: readonly string[];
  format: (lengthM: number) => string;
};

/** While something is dragged: what draws it, and how far it is from two walls and from its nearest neighbour. */
export function guideShapes({ drag, layout, arena, ids, format }: DragOnSand, seen: Seen): Shape[] {
  const item = layout.items.find(({ id }) => id === drag.item);
  if (!item) return [];
  const { view, textM } = seen;
  const other = nearestOther(layout.items, item, ids);
  const { x, y } = view.toPaper(item.at);
  const measure = (to: PointM, after: string) =>
    measureShapes(item.at, to, `${format(distanceM(item.at, to))}${after}`, seen);
  return [
    ...drag.guides.map((guide): Shape => {
      if (guide.kind === 'line')
        return { kind: 'path', d: linePath(view.toPaper(guide.from), view.toPaper(guide.to)), look: 'pull' };
      return { kind: 'path', d: circlePath(view.toPaper(guide.centre), guide.radiusM), look: 'pull' };
    }),
    ...wallsBeside(arena, item.at).flatMap(({ wall, to }) => measure(to, ` from ${wallName(arena, wall)}`)),
    ...(other ? measure(other.at, ` to ${other.id}`) : []),
    {
      ...{ kind: 'text', x, y: y - textM * 2.25, sizeM: textM, look: 'drawnTo' },
      runs: [{ words: drawnWords(drag) }],
    },
  ];
}

/** "easy five for Juniper · left quarter line". */
export function drawnWords({ words, guides }: DragView): string {
  return [...(words ? [words] : []), ...guides.map(guide => guide.words)].join(' · ');
}

/** The nearer of the long and of the short sides. */
function wallsBeside(arena: Arena, { xM, yM }: PointM): { wall: Wall; to: PointM }[] {
  const left = xM <= arena.widthM / 2;
  const near = yM <= arena.lengthM / 2;
  return [
    { wall: left ? 'left' : 'right', to: { xM: left ? 0 : arena.widthM, yM } },
    { wall: near ? 'near' : 'far', to: { xM, yM: near ? 0 : arena.lengthM } },
  ];
}

function measureShapes(from: PointM, to: PointM, words: string, { view, textM }: Seen): Shape[] {
  const [a, b] = [view.toPaper(from), view.toPaper(to)];
  const [x, y] = [(a.x + b.x) / 2, (a.y + b.y) / 2 - textM * 0.68];
  return [
    { kind: 'path', d: linePath(a, b), look: 'measure' },
    { kind: 'text', x, y, sizeM: textM * 0.8, look: 'measureText', runs: [{ words }] },
  ];
}
