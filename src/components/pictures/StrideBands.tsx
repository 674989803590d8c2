import { Said } from '@/components/Lengths/LengthsProvider';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { middleWithin, PICTURE_WIDTH, shortened } from './pictureWords';
import classes from './picture.module.css';

export type StrideBand = {
  key: string;
  /** What stride it is, or whose. */
  words: string;
  ridden: { strideM: number; lowM: number; highM: number };
  /** What the profile has; null where it has none. */
  profileM: number | null;
};

type StrideBandsProps = {
  bands: readonly StrideBand[];
  /** All on one scale, to be held against each other. */
  isOneScale?: boolean;
  format: (lengthM: number) => string;
  label: string;
};

const SIZE = { row: 62, edge: 12 };
/** A line is at least so long, as a share of the stride: what is nearly alike looks nearly alike. */
const LEAST_SPAN = 0.12;

/** Strides as they were ridden, each with the band where the true one lies, against the point of the profile. */
export function StrideBands({ bands, isOneScale, format, label }: StrideBandsProps) {
  const said = bands
    .map(
      ({ words, ridden: { strideM, lowM, highM }, profileM }) =>
        `${words}: ridden ${format(strideM)}, ${format(lowM)} to ${format(highM)}${profileM === null ? '' : `, profile ${format(profileM)}`}`,
    )
    .join('; ');
  return (
    <svg
      viewBox={`0 0 ${PICTURE_WIDTH} ${bands.length * SIZE.row}`}
      className={classes.picture}
      role="img"
      aria-label={`${label}. ${said}`}
    >
      {bands.map(({ key, words, ridden, profileM }, index) => {
        const x = scaleOf(isOneScale ? bands : [{ ridden, profileM }]);
        const y = index * SIZE.row + 34;
        const values = `ridden ${format(ridden.strideM)}${profileM === null ? '' : `, profile ${format(profileM)}`}`;
        return (
          <g key={key}>
            <text x={0} y={y - 20} className={classes.strong}>
              <Said>{shortened(words, PICTURE_WIDTH)}</Said>
            </text>
            <line x1={0} x2={PICTURE_WIDTH} y1={y} y2={y} className={classes.axis} />
            <rect
              x={x(ridden.lowM)}
              width={Math.max(2, x(ridden.highM) - x(ridden.lowM))}
              y={y - 7}
              height={14}
              className={classes.band}
            />
            <circle cx={x(ridden.strideM)} cy={y} r={5} className={classes.mark} />
            {profileM !== null && (
              <path d="M-5 -15H5L0 -7Z" transform={`translate(${x(profileM)} ${y})`} className={classes.high} />
            )}
            <text x={middleWithin(x(ridden.strideM), values)} y={y + 21} textAnchor="middle" className={classes.tick}>
              {values}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function scaleOf(bands: readonly Pick<StrideBand, 'ridden' | 'profileM'>[]) {
  const all = bands.flatMap(({ ridden: { lowM, highM }, profileM }) => [lowM, highM, profileM ?? lowM]);
  const [least = 0, most = 1] = extent(all);
  const middle = (least + most) / 2;
  const half = Math.max(most - least, middle * LEAST_SPAN) / 2;
  return scaleLinear([middle - half, middle + half], [SIZE.edge, PICTURE_WIDTH - SIZE.edge]);
}
