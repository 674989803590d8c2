import { footprintCorners, ridingPose } from '../items/footprint';
import { isRidden, type Item } from '../items/item';
import { toWallM } from '../arena/arena';
import type { PointM } from '../geometry/pointM';
import type { LayoutEdit } from '../layout/layoutEdit';
import { NOWHERE } from './caution';
import { ROUNDING } from './cautionLimits';
import { called, metresBy, type CautionContext, type CautionRule } from './cautionRule';
import { lineOf } from './mendMoves';
import { shiftItems } from '../layout/shiftItems';

type Wanting = { wantingM: number; text: string };

/** How much room an item lacks to the walls: its stands, and the line over it where it is jumped or cantered over. */
function wanting(context: CautionContext, item: Item): Wanting | null {
  const { layout, limits } = context;
  if (!isRidden(item)) return null;
  const cantered = layout.tracks.some(
    track =>
      track.kind === 'items' &&
      (track.gait === 'canter' || track.gait === 'course-canter') &&
      track.through.some(({ item: id }) => id === item.id),
  );
  const standM =
    item.kind === 'fence' ? Math.min(...footprintCorners(item).map(at => toWallM(layout.arena, at))) : Infinity;
  const trackM = item.kind === 'fence' || cantered ? toWallM(layout.arena, ridingPose(item, false).at) : Infinity;
  const standWantsM = limits.standToWallM - standM;
  const trackWantsM = limits.trackToWallM - trackM;
  if (Math.max(standWantsM, trackWantsM) <= ROUNDING) return null;
  const text =
    standWantsM >= trackWantsM
      ? `A stand of ${called(context, item.id)} is ${metresBy(Math.max(0, standM), limits.standToWallM)} from the wall; ${limits.standToWallM} m is usual.`
      : `The line over ${called(context, item.id)} is ${metresBy(Math.max(0, trackM), limits.trackToWallM)} from the wall; ${limits.trackToWallM} m of free track is usual.`;
  return { wantingM: Math.max(standWantsM, trackWantsM), text };
}

/** A stand or a ridden line with too little room beside the wall. */
export const wallNear: CautionRule = {
  code: 'wall-near',
  find: context =>
    context.layout.items.flatMap(item => {
      const found = wanting(context, item);
      if (!found) return [];
      return [
        {
          code: 'wall-near' as const,
          level: 'warn' as const,
          items: [item.id],
          place: NOWHERE,
          text: found.text,
          mend: 'Move it away from the wall.',
        },
      ];
    }),
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const { layout } = context;
    const item = layout.items.find(({ id }) => id === caution.items[0]);
    const found = item && wanting(context, item);
    if (!item || !found) return;
    const { widthM, lengthM } = layout.arena;
    const inward: PointM[] = [
      { xM: item.at.xM < widthM / 2 ? 1 : -1, yM: 0 },
      { xM: 0, yM: item.at.yM < lengthM / 2 ? 1 : -1 },
    ];
    for (const way of inward)
      for (const moved of [lineOf(layout, [item.id]), [item.id]])
        yield shiftItems(layout, moved, { xM: way.xM * found.wantingM, yM: way.yM * found.wantingM });
    for (const widthM of [3, 2.5, 2, 1.5]) yield [{ kind: 'change-fence', item: item.id, changes: { widthM } }];
  },
};
