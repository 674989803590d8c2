import { CroppedSand } from '@/components/Sand/CroppedSand';
import { paperFrame } from '@/components/Sand/paperFrame';
import type { SandView } from '@/components/Sand/sandView';
import { linePath, type Shape } from '@/components/Sand/shape';
import { isRidden, type Arena, type Item, type PointM, type SetStretch } from '@/core';

/** What one step of the work looks like from above. */
export type StepDrawn = {
  arena: Arena;
  /** The piece itself, first, and what it is measured from. */
  items: Item[];
  stretches: (SetStretch & { tape: string | null })[];
};

/** A step as a picture: the piece, what it is measured from, each tape with its length, and which way it is ridden. */
export function StepPicture({ drawn: { arena, items, stretches } }: { drawn: StepDrawn }) {
  const [own] = items;
  return (
    <CroppedSand
      arena={arena}
      items={items}
      tracks={[]}
      letters={20}
      more={stretches.flatMap(({ from, to }) => [from, to])}
      over={seen => [...stretches.flatMap(one => tapeShapes(arena, one, seen)), ...(own ? lookShapes(own, seen) : [])]}
    />
  );
}

type Seen = { view: SandView; textM: number };

function tapeShapes(arena: Arena, { from, to, tape }: StepDrawn['stretches'][number], { view, textM }: Seen): Shape[] {
  const [a, b] = [view.toPaper(from), view.toPaper(to)];
  const pull: Shape = { kind: 'path', d: linePath(a, b), look: 'pull', strokeM: textM * 0.12 };
  if (tape === null) return [pull];
  // Along a wall its length is written on the sand beside it.
  const middle = view.toPaper(inwards(arena, { xM: (from.xM + to.xM) / 2, yM: (from.yM + to.yM) / 2 }, textM));
  const at = { x: middle.x, y: middle.y - textM * 0.1 };
  return [pull, { kind: 'text', ...at, sizeM: textM, look: 'measureText', runs: [{ words: tape }] }];
}

const ON_WALL_M = 0.05;

/** A place on a wall, a little way in from it; any other where it is. */
function inwards({ widthM, lengthM }: Arena, { xM, yM }: PointM, byM: number): PointM {
  const off = (at: number, most: number) => (at < ON_WALL_M ? byM : at > most - ON_WALL_M ? -byM : 0);
  return { xM: xM + off(xM, widthM), yM: yM + off(yM, lengthM) };
}

/** Which way what is ridden is ridden: a chevron ahead of it. */
function lookShapes(item: Item, { view, textM }: Seen): Shape[] {
  if (!isRidden(item)) return [];
  const frame = paperFrame(view, { at: item.at, headingRad: item.headingRad });
  const [half, ahead] = [textM * 0.5, textM * 1.5];
  const d = `M${frame.at(ahead - half, -half)}L${frame.at(ahead, 0)}L${frame.at(ahead - half, half)}`;
  return [{ kind: 'path', d, look: 'head', strokeM: textM * 0.16 }];
}
