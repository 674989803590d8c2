import type { PointM } from '../geometry/pointM';
import { footprintCorners } from '../items/footprint';
import type { Item } from '../items/item';
import { NOWHERE } from './caution';
import { called, sentence, type CautionRule } from './cautionRule';
import { ringMoves } from './mendMoves';

/** What belongs together touches on purpose: a guide leans on its fence, a block lies under a pole's end. */
function belongTogether(a: Item, b: Item): boolean {
  const kinds = [a.kind, b.kind].sort().join(' ');
  return kinds === 'fence guide' || kinds === 'guide guide' || kinds === 'block pole' || kinds === 'block guide';
}

type Placed = { item: Item; corners: PointM[]; fromXM: number; toXM: number };

const TOUCHING_M = 1e-6;

/** Two things that lie on each other. */
export const overlap: CautionRule = {
  code: 'overlap',
  find: context =>
    overlapping(context.layout.items).map(([a, b]) => ({
      code: 'overlap' as const,
      level: 'warn' as const,
      items: [a.id, b.id],
      place: NOWHERE,
      text: sentence(`${called(context, a.id)} and ${called(context, b.id)} lie on each other.`),
      mend: 'Move one of the two.',
    })),
  mends: function* ({ layout }, { items: [a, b] }) {
    yield* ringMoves(layout, b!, 0.5, 6);
    yield* ringMoves(layout, a!, 0.5, 6);
  },
};

/** Sweeps along the width, so that only what lies beside each other is compared. */
function overlapping(items: readonly Item[]): [Item, Item][] {
  const placed = items
    .map((item): Placed => {
      const corners = footprintCorners(item);
      const xs = corners.map(({ xM }) => xM);
      return { item, corners, fromXM: Math.min(...xs), toXM: Math.max(...xs) };
    })
    .sort((a, b) => a.fromXM - b.fromXM);
  const pairs: [Item, Item][] = [];
  for (const [index, a] of placed.entries())
    for (let next = index + 1; next < placed.length && placed[next]!.fromXM < a.toXM; next += 1) {
      const b = placed[next]!;
      if (!belongTogether(a.item, b.item) && doOverlap(a.corners, b.corners)) pairs.push([a.item, b.item]);
    }
  return pairs;
}

/** Convex shapes overlap unless some side of one has all of the other beyond it (separating axis). */
function doOverlap(a: readonly PointM[], b: readonly PointM[]): boolean {
  return [a, b].every(shape =>
    shape.every((corner, index) => {
      const next = shape[(index + 1) % shape.length]!;
      const lengthM = Math.hypot(next.xM - corner.xM, next.yM - corner.yM);
      if (lengthM === 0) return true;
      const along = (p: PointM) => ((next.yM - corner.yM) * p.xM - (next.xM - corner.xM) * p.yM) / lengthM;
      const [as, bs] = [a.map(along), b.map(along)];
      return Math.min(...as) < Math.max(...bs) - TOUCHING_M && Math.min(...bs) < Math.max(...as) - TOUCHING_M;
    }),
  );
}
