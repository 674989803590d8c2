import { max } from 'd3-array';
import classes from './picture.module.css';

export type Ridden = { count: number; times: number };

type CountDiscsProps = {
  ridden: readonly Ridden[];
  /** The count that was meant; null where none was. */
  meant: number | null;
  /** The count at which the stride of the profile is even, a fraction; null where nobody knows it. */
  even: number | null;
  /** The middle of the discs, and how much room they have. */
  x: number;
  y: number;
  room: number;
};

const STEP = 26;
const LARGEST = 9;

/**
 * The counts of strides that were ridden in a leg, wherever they are shown: a disc for each, as large as it was often ridden,
 * full where it was meant; the point above where the stride of the profile is even.
 */
export function CountDiscs({ ridden, meant, even, x, y, room }: CountDiscsProps) {
  const counts = shownCounts(ridden, room);
  const middle = counts.length === 0 ? (meant ?? even ?? 1) : (counts[0]! + counts.at(-1)!) / 2;
  const at = (count: number) => x + (count - middle) * STEP;
  const most = max(ridden, ({ times }) => times) ?? 1;
  const full = meant ?? mostRidden(ridden);
  const isSeen = even !== null && Math.abs(at(even) - x) <= room / 2;
  return (
    <g>
      <line x1={x - room / 2} x2={x + room / 2} y1={y} y2={y} className={classes.axis} />
      {isSeen && <path d="M-5 -19H5L0 -11Z" transform={`translate(${at(even)} ${y})`} className={classes.high} />}
      {ridden
        .filter(({ count }) => counts.includes(count))
        .map(({ count, times }) => (
          <g key={count}>
            <circle
              cx={at(count)}
              cy={y}
              r={3 + (LARGEST - 3) * Math.sqrt(times / most)}
              className={count === full ? classes.mark : classes.rim}
            />
            <text x={at(count)} y={y + 23} textAnchor="middle">
              {count}
            </text>
          </g>
        ))}
    </g>
  );
}

/** The count that was ridden most often, the lower of two alike; null where none was. */
export const mostRidden = (ridden: readonly Ridden[]) =>
  [...ridden].sort((a, b) => b.times - a.times || a.count - b.count)[0]?.count ?? null;

/** The counts side by side that have room, about the one that was ridden most often. */
function shownCounts(ridden: readonly Ridden[], room: number): number[] {
  const most = mostRidden(ridden);
  if (most === null) return [];
  const beside = Math.max(0, Math.floor((room / STEP - 1) / 2));
  return ridden
    .map(({ count }) => count)
    .filter(count => Math.abs(count - most) <= beside)
    .sort((a, b) => a - b);
}

/** The same in words, for those who do not see it. */
export function riddenWords(ridden: readonly Ridden[]): string {
  return ridden
    .map(({ count, times }) => `${count} ${count === 1 ? 'stride' : 'strides'} ${timesWords(times)}`)
    .join(', ');
}

const timesWords = (times: number) => (times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`);
