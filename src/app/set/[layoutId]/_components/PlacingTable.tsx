'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { isRaised, wallName, type Arena, type EndPlacing, type RowSetting } from '@/core';
import { stepsText } from '@/components/Lengths/stepsText';
import classes from './PlacingTable.module.css';
import type { Walker } from './SettingSheet';

type PlacingTableProps = { setting: RowSetting; arena: Arena; walker: Walker | null };

/** Where each end of each pole goes, in the yard's unit and in own steps. */
export function PlacingTable({ setting, arena, walker }: PlacingTableProps) {
  const { format, formatTape } = useLengths();
  const long = wallName(arena, setting.longSide);
  const short = wallName(arena, setting.shortSide);
  return (
    <div className={classes.scroll}>
      <table className={classes.table}>
        <thead>
          <tr>
            <th rowSpan={2}>Pole</th>
            <th colSpan={2}>Left end from</th>
            <th colSpan={2}>Right end from</th>
            <th rowSpan={2}>Check from the pole before</th>
          </tr>
          <tr>
            <th>{long}</th>
            <th>{short}</th>
            <th>{long}</th>
            <th>{short}</th>
          </tr>
        </thead>
        <tbody>
          {setting.placings.map(({ number, pole, left, right, checkFromPreviousM }) => (
            <tr key={pole.id}>
              <th scope="row">
                {number}
                {isRaised(pole.raised) && <small>{raisedText(pole.raised, format)}</small>}
              </th>
              <EndCells side="Left end" walls={[long, short]} end={left} walker={walker} />
              <EndCells side="Right end" walls={[long, short]} end={right} walker={walker} />
              <td data-label="Check from the pole before">
                {checkFromPreviousM === null ? 'first pole' : formatTape(checkFromPreviousM)}
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

function raisedText({ leftM, rightM }: { leftM: number; rightM: number }, format: (m: number) => string): string {
  if (leftM > 0 && rightM > 0) return `up ${format(leftM)} both ends`;
  return leftM > 0 ? `up ${format(leftM)} left` : `up ${format(rightM)} right`;
}
