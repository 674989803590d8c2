import classes from '@/components/Chart/chart.module.css';
import { REINS, wilsonInterval, type Rein, type ReinReview, type Share } from '@/core';
import { scaleLinear } from 'd3-scale';

type ReinHalvesProps = { measures: ReinReview['measures']; label: string };

const SIZE = { width: 360, edge: 4, top: 22, row: 48, bar: 12 };
const MIDDLE = SIZE.width / 2;
/** From the middle to the end of a half: what is all of it. */
const HALF = MIDDLE - SIZE.edge;

/** Left and right of each thing as two halves of one line: as far out as it went well, with how sure each is as a stroke. */
export function ReinHalves({ measures, label }: ReinHalvesProps) {
  const height = SIZE.top + measures.length * SIZE.row;
  const out = scaleLinear([0, 1], [0, HALF]);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${height}`} className={classes.chart} role="img" aria-label={label}>
      <text x={SIZE.edge} y={14} className={classes.tick}>
        left rein
      </text>
      <text x={SIZE.width - SIZE.edge} y={14} textAnchor="end" className={classes.tick}>
        right rein
      </text>
      {measures.map(({ measure, left, right }, index) => {
        const y = SIZE.top + index * SIZE.row;
        const shares = { left, right };
        return (
          <g key={measure}>
            <text x={MIDDLE} y={y + 13} textAnchor="middle">
              {measure}
            </text>
            {REINS.map(rein => (
              <Half key={rein} rein={rein} share={shares[rein]} y={y + 20} out={out} />
            ))}
          </g>
        );
      })}
      <line x1={MIDDLE} x2={MIDDLE} y1={SIZE.top + 18} y2={height} className={classes.axis} />
    </svg>
  );
}

type HalfProps = { rein: Rein; share: Share; y: number; out: (share: number) => number };

function Half({ rein, share, y, out }: HalfProps) {
  const way = rein === 'left' ? -1 : 1;
  const at = (value: number) => MIDDLE + way * out(value);
  const { low, high } = wilsonInterval(share);
  const end = share.of === 0 ? 0 : share.hits / share.of;
  const words = `${share.hits} of ${share.of}`;
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
        y={y + SIZE.bar + 12}
        textAnchor={rein === 'left' ? 'end' : 'start'}
        className={classes.words}
      >
        {words}
      </text>
    </g>
  );
}
