import type { LegBoard, LegCell } from '../layouts/[layoutId]/legBoards';
import classes from './LegBoardPicture.module.css';

type LegBoardPictureProps = {
  board: Pick<LegBoard, 'legs' | 'rows' | 'words'>;
  nameOf: (pairId: string) => string;
  format: (lengthM: number) => string;
};

/** Pairs by legs: in each the counts that were ridden as discs, and beneath them what to set it to next. */
export function LegBoardPicture({ board: { legs, rows, words }, nameOf, format }: LegBoardPictureProps) {
  return (
    <div className={classes.scroll} tabIndex={0} role="group" aria-label={`Legs of ${words}`}>
      <table className={classes.board}>
        <thead>
          <tr>
            <th scope="col">Pair</th>
            {legs.map(({ from, to, groundM }) => (
              <th key={`${from} ${to}`} scope="col">
                {from} to {to}
                <small>{format(groundM)}</small>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ pairId, cells, clean }) => (
            <tr key={pairId}>
              <th scope="row">
                {nameOf(pairId)}
                <small>
                  {clean.hits} of {clean.of} clean
                </small>
              </th>
              {cells.map((cell, index) => (
                <td key={index}>{cell ? <Cell cell={cell} format={format} /> : '–'}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const WIDE = 96;
const STEP = 24;

function Cell({ cell, format }: { cell: LegCell; format: (lengthM: number) => string }) {
  const { count, ridden, kind, groundM, liesM, reason } = cell;
  const most = Math.max(1, ...ridden.map(({ times }) => times));
  const at = (strides: number) => WIDE / 2 + (strides - count) * STEP;
  const shown = ridden.filter(one => Math.abs(one.count - count) <= 1);
  const said = shown.map(one => `${one.count} strides ${one.times === 1 ? 'once' : `${one.times} times`}`).join(', ');
  return (
    <div title={reason}>
      <svg viewBox={`0 0 ${WIDE} 40`} width={WIDE} role="img" aria-label={said || 'no count was noted'}>
        <path d={`M ${at(count)} 8 l -4 -7 h 8 z`} className={classes.even} />
        {shown.map(({ count: strides, times }) => (
          <g key={strides}>
            <circle
              cx={at(strides)}
              cy={19}
              r={3 + 6 * Math.sqrt(times / most)}
              className={strides === count ? classes.meant : classes.other}
            />
            <text x={at(strides)} y={39} textAnchor="middle">
              {strides}
            </text>
          </g>
        ))}
      </svg>
      <span className={classes.next} data-kind={kind}>
        {nextWords(kind, groundM - liesM, format)}
      </span>
    </div>
  );
}

function nextWords(kind: LegCell['kind'], byM: number, format: (lengthM: number) => string): string {
  if (kind === 'harder') return 'ask one more or fewer';
  if (kind === 'keep' || Math.abs(byM) < 0.005) return 'leave it';
  return `${byM > 0 ? 'longer' : 'shorter'} by ${format(Math.abs(byM))}`;
}
