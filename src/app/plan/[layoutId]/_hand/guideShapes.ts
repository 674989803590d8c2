import type { SandView } from '@/components/Sand/sandView';
import { circlePath, linePath, type PathShape, type Shape, type TextShape } from '@/components/Sand/shape';
import {
  distanceM,
  layoutLabels,
  wallName,
  type Arena,
  type Layout,
  type PointM,
  type SnapGuide,
  type Wall,
} from '@/core';
import { apart } from './apart';
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
  /** What is written already: what is said of the hand keeps off it. */
  taken: readonly TextShape[];
};

/** While something is dragged: what draws it, and how far it is from two walls and from its nearest neighbour. */
export function guideShapes({ drag, layout, arena, ids, format, taken }: DragOnSand, seen: Seen): Shape[] {
  const item = layout.items.find(({ id }) => id === drag.item);
  const { view, textM } = seen;
  if (!item) return drag.at && drag.words ? [wordsShape(view.toPaper(drag.at), drag.words, textM)] : [];
  const other = nearestOther(layout.items, item, ids);
  const { x, y } = view.toPaper(item.at);
  const measures = [
    ...wallsBeside(arena, item.at).map(({ wall, to }) => ({ to, after: ` from ${wallName(arena, wall)}` })),
    ...(other ? [{ to: other.at, after: ` to ${layoutLabels(layout).inWords(other.id)}` }] : []),
  ].map(({ to, after }) => measureShapes(item.at, to, `${format(distanceM(item.at, to))}${after}`, seen));
  const words = drawnWords(drag);
  const drawnTo = wordsShape({ x, y }, words, textM);
  return [
    ...drag.guides.map(guide => guideShape(guide, view)),
    ...measures.map(({ line }) => line),
    ...apart(taken, [...(words === '' ? [] : [drawnTo]), ...measures.map(({ text }) => text)]),
  ];
}

function wordsShape({ x, y }: { x: number; y: number }, words: string, textM: number): TextShape {
  return {
    ...{ kind: 'text', x, y: y - textM * 2.25, sizeM: textM, look: 'drawnTo' },
    runs: [{ words }],
  };
}

function guideShape(guide: SnapGuide, view: SandView): Shape {
  const d =
    guide.kind === 'line'
      ? linePath(view.toPaper(guide.from), view.toPaper(guide.to))
      : circlePath(view.toPaper(guide.centre), guide.radiusM);
  return { kind: 'path', d, look: 'pull' };
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

type Measure = { line: PathShape; text: TextShape };

function measureShapes(from: PointM, to: PointM, words: string, { view, textM }: Seen): Measure {
  const [a, b] = [view.toPaper(from), view.toPaper(to)];
  const [x, y] = [(a.x + b.x) / 2, (a.y + b.y) / 2 - textM * 0.68];
  return {
    line: { kind: 'path', d: linePath(a, b), look: 'measure' },
    text: { kind: 'text', x, y, sizeM: textM * 0.8, look: 'measureText', runs: [{ words }] },
  };
}
