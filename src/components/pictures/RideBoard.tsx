import { Said } from '@/components/Lengths/LengthsProvider';
import { FitMark } from '@/components/FitMark/FitMark';
import { togetherOn, type RideCell } from '@/core';
import Link from 'next/link';
import classes from './board.module.css';

export type RideRow = { key: string; layoutId: string; layout: string; track: string; cells: readonly RideCell[] };

type RideBoardProps = {
  rows: readonly RideRow[];
  horses: readonly { id: string; name: string }[];
};

/** Layouts as they lie by horses: what each is for each, in its counts, and who could ride it together. */
export function RideBoard({ rows, horses }: RideBoardProps) {
  const nameOf = (id: string) => horses.find(horse => horse.id === id)?.name ?? '';
  return (
    <div className={classes.scroll} tabIndex={0} role="group" aria-label="Who could ride what together">
      <table className={classes.board}>
        <thead>
          <tr>
            <th scope="col">As it lies</th>
            {horses.map(({ id, name }) => (
              <th key={id} scope="col">
                {name}
              </th>
            ))}
            <th scope="col">Together</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, layoutId, layout, track, cells }) => (
            <tr key={key}>
              <th scope="row">
                <Link href={`/plan/${layoutId}`} className={classes.link}>
                  {layout}
                </Link>
                <small>
                  <Said>{track}</Said>
                </small>
              </th>
              {cells.map(cell => (
                <td key={cell.horseId} data-leg={nameOf(cell.horseId)}>
                  <Cell cell={cell} />
                </td>
              ))}
              <td data-leg="Together">
                {togetherOn(cells).map(group => (
                  <strong key={group.join()} className={classes.next}>
                    {group.map(nameOf).join(', ')}
                  </strong>
                ))}
                {togetherOn(cells).length === 0 && 'nobody as it lies'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** So many counts are written out; of more the first and how many. */
const MOST_COUNTS = 4;

function Cell({ cell: { counts, word } }: { cell: RideCell }) {
  if (word === null) return <span>cannot</span>;
  // Over a row of poles no stride lies between: there is nothing to count.
  const counted = counts.some(count => count > 0) ? counts : [];
  const said = counted.length <= MOST_COUNTS ? counted.join(' · ') : `${counted.slice(0, MOST_COUNTS).join(' · ')} …`;
  return (
    <div>
      <FitMark word={word} />
      <small>{said}</small>
    </div>
  );
}
