import { roomOf } from './pictureWords';
import classes from './picture.module.css';

type YTicksProps = {
  ticks: readonly number[];
  y: (value: number) => number;
  from: number;
  to: number;
  words?: (value: number) => string;
};

/** How much room the widest of some values needs at the left of a picture. */
export function tickRoom(ticks: readonly number[], words: (value: number) => string = String): number {
  return Math.max(0, ...ticks.map(tick => roomOf(words(tick)))) + 8;
}

/** Quiet lines across a picture, each with its value at the left. */
export function YTicks({ ticks, y, from, to, words = String }: YTicksProps) {
  return ticks.map(tick => (
    <g key={tick}>
      <line x1={from} x2={to} y1={y(tick)} y2={y(tick)} className={classes.axis} />
      <text x={from - 6} y={y(tick)} dy="0.35em" textAnchor="end" className={classes.tick}>
        {words(tick)}
      </text>
    </g>
  ));
}
