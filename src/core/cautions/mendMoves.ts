import { distanceM, pointAlong } from '../geometry/pointM';
import { isRiddenAnywhere } from '../layout/isRiddenAnywhere';
import type { Layout } from '../layout/layout';
import type { LayoutEdit } from '../layout/layoutEdit';

/** One item moved a little, then farther, in sixteen directions: the nearest place that serves is found first. */
export function* ringMoves(layout: Layout, id: string, stepM: number, farthestM: number): Generator<LayoutEdit[]> {
  const item = layout.items.find(candidate => candidate.id === id);
  if (!item) return;
  for (let awayM = stepM; awayM <= farthestM; awayM += stepM)
    for (let direction = 0; direction < 16; direction += 1)
      yield [{ kind: 'move-item', item: id, to: pointAlong(item.at, (direction * Math.PI) / 8, awayM) }];
}

/** A thing that is in the way moved a little, then farther; taken away only where nothing rides it. */
export function* removeOrMove(
  { layout }: { layout: Layout },
  { items: [id] }: { items: readonly string[] },
): Generator<LayoutEdit[]> {
  if (id === undefined) return;
  yield* ringMoves(layout, id, 0.25, 3);
  if (!isRiddenAnywhere(layout, id)) yield [{ kind: 'remove-item', item: id }];
  yield* ringMoves(layout, id, 3.5, 8);
}

/** The ids of every track that shares an item with these, so that lines stay as they are when they move. */
export function lineOf(layout: Layout, ids: readonly string[]): string[] {
  const together = new Set(ids);
  for (const track of layout.tracks) {
    if (track.kind !== 'items' || !track.through.some(({ item }) => together.has(item))) continue;
    for (const { item } of track.through) together.add(item);
  }
  return [...together];
}

/** What lies within reach of a line and belongs to it: guides, cones and markers move with what they stand by. */
export function withCompany(layout: Layout, ids: readonly string[], reachM = 3): string[] {
  const line = layout.items.filter(({ id }) => ids.includes(id));
  const company = layout.items.filter(
    item => item.kind !== 'pole' && item.kind !== 'fence' && line.some(({ at }) => distanceM(at, item.at) <= reachM),
  );
  return [...ids, ...company.map(({ id }) => id)];
}
