'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { stepsText } from '@/core';
import { itemWords } from '@/core';
import { wallName, type Arena, type EndPlacing, type LayoutSetting } from '@/core';
import classes from './PlacingTable.module.css';
import type { Walker } from './SettingSheet';

type PlacingTableProps = { setting: LayoutSetting; arena: Arena; walker: Walker | null };

/** Where each end of each piece goes, in the yard's unit and in own steps. */
export function PlacingTable({ setting, arena, walker }: PlacingTableProps) {
  const { format, formatTape } = useLengths();
  const long = wallName(arena, setting.longSide);
  const short = wallName(arena, setting.shortSide);
  return (
    <div className={classes.scroll}>
      <table className={classes.table}>
        <thead>
          <tr>
            <th rowSpan={2}>Piece</th>
            <th colSpan={2}>Left end from</th>
            <th colSpan={2}>Right end from</th>
            <th rowSpan={2}>Check from the one before</th>
          </tr>
          <tr>
            <th>{long}</th>
            <th>{short}</th>
            <th>{long}</th>
            <th>{short}</th>
          </tr>
        </thead>
        <tbody>
          {setting.placings.map(({ number, item, left, right, checkFromPreviousM }) => (
            <tr key={item.id}>
              <th scope="row">
                {number}
                <small>{itemWords(item, format)}</small>
              </th>
              <EndCells side={right ? 'Left end' : 'Middle'} walls={[long, short]} end={left} walker={walker} />
              {right ? (
                <EndCells side="Right end" walls={[long, short]} end={right} walker={walker} />
              ) : (
                <td colSpan={2}>its middle</td>
              )}
              <td data-label="Check from the one before">
                {checkFromPreviousM === null ? 'first piece' : formatTape(checkFromPreviousM)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

type EndCellsProps = { side: string; walls: [string, string]; end: EndPlacing; walker: Walker | null };

function EndCells({ side, walls, end, walker }: EndCellsProps) {
  const { formatTape, unit } = useLengths();
  return (
    <>
      {[end.fromLongM, end.fromShortM].map((lengthM, index) => (
        <td key={index} data-label={`${side} from ${walls[index]}`}>
          <strong>{formatTape(lengthM)}</strong>
          {walker && <small>{stepsText(lengthM, walker.stepLengthM, unit)}</small>}
        </td>
      ))}
    </>
  );
}
