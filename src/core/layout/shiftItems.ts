import type { PointM } from '../geometry/pointM';
import type { Layout } from './layout';
import type { LayoutEdit } from './layoutEdit';

/** Everything that is moved together: the items named, each by the same way. */
export function shiftItems(layout: Layout, ids: readonly string[], byM: PointM): LayoutEdit[] {
  return ids.flatMap(id => {
    const item = layout.items.find(candidate => candidate.id === id);
    if (!item) return [];
    return [{ kind: 'move-item' as const, item: id, to: { xM: item.at.xM + byM.xM, yM: item.at.yM + byM.yM } }];
  });
}
