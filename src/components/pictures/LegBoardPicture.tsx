import type { NextSetting } from '@/core';
import { CountDiscs, riddenWords, type Ridden } from './CountDiscs';
import classes from './board.module.css';
import picture from './picture.module.css';

/** One pair on one leg: the counts it rode, and what to set it to next. */
export type LegCell = NextSetting & { liesM: number; asked: number | null; ridden: Ridden[] };

/** Legs of a question, and how each pair went in each. */
export type LegBoardShown = {
  words: string;
  legs: readonly { from: string; to: string; groundM: number }[];
  rows: readonly { pairId: string; clean: { of: number; hits: number }; cells: readonly (LegCell | null)[] }[];
};

type LegBoardPictureProps = {
  board: LegBoardShown;
  nameOf: (pairId: string) => string;
  format: (lengthM: number) => string;
};

/** Pairs by legs: in each the counts that were ridden, and beneath them what to set it to next. On a phone, one under the other. */
export function LegBoardPicture({ board: { legs, rows, words }, nameOf, format }: LegBoardPictureProps) {
  return (
    <div className={classes.scroll} tabIndex={0} role="group" aria-label={`Legs of ${words}`}>
      <table className={classes.board}>
        <thead>
          <tr>
            <th scope="col">Pair</th>
            {legs.map((leg, index) => (
              <th key={index} scope="col">
                {leg.from} to {leg.to}
                <small>{format(leg.groundM)}</small>
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
              {cells.map((cell, index) => {
                const { from, to, groundM } = legs[index]!;
                return (
                  <td
                    key={index}
                    data-leg={`${from} to ${to}, ${format(groundM)}`}
                    data-empty={cell === null || undefined}
                  >
                    {cell ? <Cell cell={cell} format={format} /> : '–'}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const SIZE = { width: 96, height: 48, y: 22 };

function Cell({ cell, format }: { cell: LegCell; format: (lengthM: number) => string }) {
  const { count, ridden, kind, groundM, liesM, reason } = cell;
  return (
    <div title={reason}>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        width={SIZE.width}
        className={`${picture.picture} ${classes.discs}`}
        role="img"
        aria-label={riddenWords(ridden) || 'no count was noted'}
      >
        <CountDiscs ridden={ridden} meant={count} even={null} x={SIZE.width / 2} y={SIZE.y} room={SIZE.width - 4} />
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
