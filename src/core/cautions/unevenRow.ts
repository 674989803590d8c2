import { joinChains, poseAt } from '../geometry/chain';
import type { LayoutEdit } from '../layout/layoutEdit';
import {
  called,
  itemTracks,
  legOfCaution,
  riddenItem,
  type CautionContext,
  type CautionRule,
  type TrackOfItems,
} from './cautionRule';
import { ROUNDING } from './cautionLimits';

/** Spacings of one row lie within this of its closest: more is another distance, not a careless one. */
const SAME_ROW = 1.5;

type Row = { track: TrackOfItems; firstLeg: number; lastLeg: number };

/** Runs of two gaps and more between poles that are of one kind: three poles and more in a row. */
function rowsOf(context: CautionContext): Row[] {
  return itemTracks(context).flatMap(track => {
    const gaps = track.reckoned.legs.map(({ from, to, groundM }) => {
      const kinds = [from, to].map(id => riddenItem(context.layout, id)?.kind);
      return kinds.every(kind => kind === 'pole') && from !== to ? groundM : null;
    });
    const rows: Row[] = [];
    let first = 0;
    for (let leg = 0; leg <= gaps.length; leg += 1) {
      const run = gaps.slice(first, leg + 1).filter(gap => gap !== null);
      const goesOn = leg < gaps.length && gaps[leg] !== null && Math.max(...run) <= SAME_ROW * Math.min(...run);
      if (goesOn) continue;
      if (leg - first >= 2) rows.push({ track, firstLeg: first, lastLeg: leg - 1 });
      first = gaps[leg] === null ? leg + 1 : leg;
    }
    return rows;
  });
}

/** Poles of one row that do not lie evenly: a gap that is off makes a horse leap. */
export const unevenRow: CautionRule = {
  code: 'uneven-row',
  find: context =>
    rowsOf(context).flatMap(({ track, firstLeg, lastLeg }) => {
      const legs = track.reckoned.legs.slice(firstLeg, lastLeg + 1);
      const gaps = legs.map(({ groundM }) => groundM);
      const offM = Math.max(...gaps) - Math.min(...gaps);
      if (offM <= context.limits.unevenRowM + ROUNDING) return [];
      const items = [legs[0]!.from, ...legs.map(({ to }) => to)];
      return [
        {
          code: 'uneven-row',
          level: 'warn',
          items,
          place: { track: track.plan.id, part: firstLeg },
          text: `The gaps from ${called(context, items[0]!)} to ${called(context, items[items.length - 1]!)} differ by ${Math.round(offM * 100)} cm.`,
          mend: 'Share the row out evenly between its first and its last pole.',
        },
      ];
    }),
  mends: (context, caution) => {
    const leg = legOfCaution(context, caution);
    return leg ? [evenly(leg.reckoned.legs.slice(leg.index, leg.index + caution.items.length - 1), caution.items)] : [];
  },
};

/** The poles between the first and the last, at equal distances along the track they are ridden on. */
function evenly(legs: TrackOfItems['reckoned']['legs'], items: readonly string[]): LayoutEdit[] {
  const line = joinChains(legs.map(({ chain }) => chain));
  return items.slice(1, -1).map((item, index) => ({
    kind: 'move-item' as const,
    item,
    to: poseAt(line, (line.lengthM * (index + 1)) / legs.length).at,
  }));
}
