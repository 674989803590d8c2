import { Said } from '@/components/Lengths/LengthsProvider';
import { REINS, wilsonInterval, type Rein, type Share } from '@/core';
import { scaleLinear } from 'd3-scale';
import { PICTURE_WIDTH, shortened } from './pictureWords';
import classes from './picture.module.css';

type HalvesProps = {
  measures: readonly { measure: string; left: Share; right: Share; standsOut?: boolean }[];
  /** What either half is of. */
  names?: { left: string; right: string };
  label: string;
};

const SIZE = { edge: 2, top: 20, row: 50, bar: 12 };
const MIDDLE = PICTURE_WIDTH / 2;
/** From the middle to the end of a half: what is all of it. */
const HALF = MIDDLE - SIZE.edge;
const REIN_NAMES = { left: 'left rein', right: 'right rein' };

/** Two sides of each thing as two halves of one line: as far out as it went well, with how sure each is as a stroke. */
export function Halves({ measures, names = REIN_NAMES, label }: HalvesProps) {
  const height = SIZE.top + measures.length * SIZE.row;
  const out = scaleLinear([0, 1], [0, HALF]);
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${height}`} className={classes.picture} role="img" aria-label={label}>
      <text x={SIZE.edge} y={13} className={classes.tick}>
        {shortened(names.left, HALF - 8)}
      </text>
      <text x={PICTURE_WIDTH - SIZE.edge} y={13} textAnchor="end" className={classes.tick}>
        {shortened(names.right, HALF - 8)}
      </text>
      {measures.map(({ measure, left, right, standsOut }, index) => {
        const y = SIZE.top + index * SIZE.row;
        const shares = { left, right };
        return (
          <g key={measure}>
            <text x={MIDDLE} y={y + 14} textAnchor="middle" className={standsOut ? classes.strong : undefined}>
              <Said>{shortened(measure, PICTURE_WIDTH - 4)}</Said>
            </text>
            {REINS.map(rein => (
              <Half key={rein} rein={rein} share={shares[rein]} y={y + 20} out={out} />
            ))}
            <line x1={MIDDLE} x2={MIDDLE} y1={y + 18} y2={y + 20 + SIZE.bar + 14} className={classes.axis} />
          </g>
        );
      })}
    </svg>
  );
}

type HalfProps = { rein: Rein; share: Share; y: number; out: (share: number) => number };

function Half({ rein, share, y, out }: HalfProps) {
  const way = rein === 'left' ? -1 : 1;
  const at = (value: number) => MIDDLE + way * out(value);
  const { low, high } = wilsonInterval(share);
  const end = share.of === 0 ? 0 : share.hits / share.of;
  return (
    <g className={classes[rein]}>
      <rect
        x={Math.min(MIDDLE, at(end))}
        y={y}
        width={out(end)}
        height={SIZE.bar}
        className={classes.half}
        data-rein={rein}
      />
      <line x1={at(low)} x2={at(high)} y1={y + SIZE.bar / 2} y2={y + SIZE.bar / 2} className={classes.interval} />
      <text
        x={MIDDLE + way * 6}
        y={y + SIZE.bar + 13}
        textAnchor={rein === 'left' ? 'end' : 'start'}
        className={classes.words}
      >
        {share.hits} of {share.of}
      </text>
    </g>
  );
}
