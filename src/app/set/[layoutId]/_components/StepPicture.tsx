import { CroppedSand } from '@/components/Sand/CroppedSand';
import { paperFrame } from '@/components/Sand/paperFrame';
import type { SandView } from '@/components/Sand/sandView';
import { linePath, type Shape } from '@/components/Sand/shape';
import { isRidden, type Arena, type Item, type SetStretch } from '@/core';

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
      over={seen => [...stretches.flatMap(one => tapeShapes(one, seen)), ...(own ? lookShapes(own, seen) : [])]}
    />
  );
}

type Seen = { view: SandView; textM: number };

function tapeShapes({ from, to, tape }: StepDrawn['stretches'][number], { view, textM }: Seen): Shape[] {
  const [a, b] = [view.toPaper(from), view.toPaper(to)];
  const pull: Shape = { kind: 'path', d: linePath(a, b), look: 'pull', strokeM: textM * 0.12 };
  if (tape === null) return [pull];
  const at = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 - textM * 0.1 };
  return [pull, { kind: 'text', ...at, sizeM: textM, look: 'measureText', runs: [{ words: tape }] }];
}

/** Which way what is ridden is ridden: a chevron ahead of it. */
function lookShapes(item: Item, { view, textM }: Seen): Shape[] {
  if (!isRidden(item)) return [];
  const frame = paperFrame(view, { at: item.at, headingRad: item.headingRad });
  const [half, ahead] = [textM * 0.5, textM * 1.5];
  const d = `M${frame.at(ahead - half, -half)}L${frame.at(ahead, 0)}L${frame.at(ahead - half, half)}`;
  return [{ kind: 'path', d, look: 'head', strokeM: textM * 0.16 }];
}
