import { Said } from '@/components/Lengths/LengthsProvider';
import type { FaultCount } from '@/core';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { PICTURE_WIDTH, roomOf, shortened } from './pictureWords';
import classes from './picture.module.css';

type FaultHalvesProps = { faults: readonly FaultCount[]; label: string };

const SIZE = { top: 20, row: 38, bar: 10 };
const MIDDLE = PICTURE_WIDTH / 2;

/** What went wrong as two halves: as far out as it happened on either rein; what was on neither is told in words. */
export function FaultHalves({ faults, label }: FaultHalvesProps) {
  const most = max(faults, ({ left, right }) => Math.max(left, right)) || 1;
  const out = scaleLinear([0, most], [0, MIDDLE - roomOf(String(most)) - 8]);
  return (
    <svg
      viewBox={`0 0 ${PICTURE_WIDTH} ${SIZE.top + faults.length * SIZE.row}`}
      className={classes.picture}
      role="img"
      aria-label={label}
    >
      <text x={2} y={13} className={classes.tick}>
        left rein
      </text>
      <text x={PICTURE_WIDTH - 2} y={13} textAnchor="end" className={classes.tick}>
        right rein
      </text>
      {faults.map(({ what, left, right, without }, index) => {
        const y = SIZE.top + index * SIZE.row;
        const words = `${what}${without > 0 ? `, ${without} where the rein changes` : ''}`;
        return (
          <g key={what}>
            <text x={MIDDLE} y={y + 13} textAnchor="middle">
              <Said>{shortened(words, PICTURE_WIDTH - 4)}</Said>
            </text>
            <g className={classes.left}>
              <rect x={MIDDLE - out(left)} y={y + 19} width={out(left)} height={SIZE.bar} className={classes.half} />
              <text x={MIDDLE - out(left) - 5} y={y + 28} textAnchor="end" className={classes.words}>
                {left}
              </text>
            </g>
            <g className={classes.right}>
              <rect
                x={MIDDLE}
                y={y + 19}
                width={out(right)}
                height={SIZE.bar}
                className={classes.half}
                data-rein="right"
              />
              <text x={MIDDLE + out(right) + 5} y={y + 28} className={classes.words}>
                {right}
              </text>
            </g>
          </g>
        );
      })}
    </svg>
  );
}
