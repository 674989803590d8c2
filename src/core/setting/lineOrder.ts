import { distanceM } from '../geometry/pointM';
import { isRidden, type Item, type RiddenItem } from '../items/item';
import type { PlannedTrack } from '../layout/layout';
import { orderOfWork } from './orderOfWork';
import type { PointM } from '../geometry/pointM';

/** A piece in the order of the line, and what it belongs to where nobody rides it: the fence that a rail helps. */
export type InLine = { item: Item; owner: RiddenItem | null };

/** A rail, a cone or a block this near to a fence belongs to it, metres (common practice, no source). */
const BELONGS_M = 5;

/**
 * Pieces in the order in which they are ridden, track by track, each once; what helps a fence right behind it. What nobody rides
 * and belongs to nothing comes last, with little walking.
 * @param from - where the kit comes from: what no track rides begins nearest to it
 */
export function lineOrder(items: readonly Item[], tracks: readonly PlannedTrack[], from: PointM): InLine[] {
  const ridden = riddenOrder(items, tracks);
  const helpers = items.filter(item => !isRidden(item));
  const ownerOf = (helper: Item): RiddenItem | null => {
    const near = ridden
      .map(item => ({ item, offM: distanceM(item.at, helper.at) }))
      .filter(({ offM }) => offM <= BELONGS_M)
      .sort((a, b) => a.offM - b.offM)[0];
    return near?.item ?? null;
  };
  const owned = helpers.map(item => ({ item, owner: ownerOf(item) }));
  const inLine = ridden.flatMap((item): InLine[] => [
    { item, owner: null },
    ...owned.filter(({ owner }) => owner === item),
  ]);
  const loose = new Map([...items].map(item => [item.id, item]));
  for (const { item } of inLine) loose.delete(item.id);
  const stops = [...loose.values()].map(({ id, at }) => ({ id, at, isWanted: false }));
  const rest = orderOfWork(stops, inLine.at(-1)?.item.at ?? from);
  return [...inLine, ...rest.map(id => ({ item: loose.get(id)!, owner: null }))];
}

function riddenOrder(items: readonly Item[], tracks: readonly PlannedTrack[]): RiddenItem[] {
  const byId = new Map(items.filter(isRidden).map(item => [item.id, item]));
  const order = tracks.flatMap(track => (track.kind === 'items' ? track.through.map(({ item }) => item) : []));
  return [...new Set(order)].flatMap(id => byId.get(id) ?? []);
}
