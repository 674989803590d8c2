import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { levels } from './levels';
import { PICTURE_WIDTH, roomOf, shortened } from './pictureWords';
import classes from './picture.module.css';

/** The strides of one sort: of whom, and which of them one spacing is easy for. */
export type ShareStrip = {
  key: string;
  words: string;
  strides: { id: string; name: string; strideM: number }[];
  groups: { ids: readonly string[]; leastM: number; mostM: number }[];
};

type ShareStripsProps = { strips: readonly ShareStrip[]; format: (lengthM: number) => string; label: string };

const SIZE = { left: 8, right: 8, line: 16 };
/** So much of a name is written. */
const NAME = 130;

/** Each horse at its stride on a line, and a band about those that one spacing is easy for. */
export function ShareStrips({ strips, format, label }: ShareStripsProps) {
  const drawn = strips.map(strip => laidOut(strip));
  const tops = drawn.reduce<number[]>((all, { height }) => [...all, all.at(-1)! + height], [0]);
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${tops.at(-1)}`} className={classes.picture} role="img" aria-label={label}>
      {drawn.map(({ strip, x, rows, ground, named }, index) => (
        <g key={strip.key} transform={`translate(0 ${tops[index]})`}>
          <text x={SIZE.left} y={13} className={classes.strong}>
            {strip.words}
          </text>
          {strip.groups.map(({ ids, leastM, mostM }) => (
            <rect
              key={ids.join()}
              x={x(leastM) - 9}
              width={x(mostM) - x(leastM) + 18}
              y={ground - 9}
              height={18}
              rx={9}
              className={classes.band}
            />
          ))}
          <line x1={SIZE.left} x2={PICTURE_WIDTH - SIZE.right} y1={ground} y2={ground} className={classes.axis} />
          {named.map(({ id, name, strideM, level, at }) => (
            <g key={id}>
              <circle cx={x(strideM)} cy={ground} r={4.5} className={classes.mark} />
              <line
                x1={x(strideM)}
                x2={x(strideM)}
                y1={ground - 6}
                y2={ground - 12 - level * SIZE.line}
                className={classes.axis}
              />
              <text x={at} y={ground - 14 - level * SIZE.line}>
                {shortened(name, NAME)}
              </text>
            </g>
          ))}
          <text x={SIZE.left} y={ground + 22} className={classes.tick}>
            {format(rows.leastM)}
          </text>
          <text x={PICTURE_WIDTH - SIZE.right} y={ground + 22} textAnchor="end" className={classes.tick}>
            {format(rows.mostM)}
          </text>
        </g>
      ))}
    </svg>
  );
}

function laidOut(strip: ShareStrip) {
  const [leastM = 0, mostM = 1] = extent(strip.strides, ({ strideM }) => strideM);
  const apart = Math.max(0.05, mostM - leastM);
  const x = scaleLinear([leastM - apart * 0.08, mostM + apart * 0.08], [SIZE.left + 6, PICTURE_WIDTH - SIZE.right - 6]);
  const sorted = [...strip.strides].sort((a, b) => a.strideM - b.strideM);
  const placed = levels(
    sorted.map(({ name, strideM }) => ({ middle: x(strideM), wide: roomOf(shortened(name, NAME)) })),
    PICTURE_WIDTH,
  );
  const named = sorted.map((one, index) => ({ ...one, ...placed[index]! }));
  const most = Math.max(0, ...placed.map(({ level }) => level));
  const ground = 42 + most * SIZE.line;
  return { strip, x, rows: { leastM, mostM }, ground, named, height: ground + 36 };
}
