import classes from '@/components/Chart/chart.module.css';
import { wilsonInterval, type ReinReview } from '@/core';
import { scaleLinear } from 'd3-scale';

type ReinPairsProps = { measures: ReinReview['measures']; label: string };

const SIZE = { width: 440, left: 10, right: 16, top: 30, row: 46 };

/** Left and right of each thing on one line from none to all: a triangle that points to its rein, and how sure each is. */
export function ReinPairs({ measures, label }: ReinPairsProps) {
  const height = SIZE.top + measures.length * SIZE.row + 6;
  const x = scaleLinear([0, 1], [SIZE.left, SIZE.width - SIZE.right]);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${height}`} className={classes.chart} role="img" aria-label={label}>
      {[0, 0.25, 0.5, 0.75, 1].map(tick => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={SIZE.top - 6} y2={height} className={classes.axis} />
          <text
            x={x(tick)}
            y={SIZE.top - 12}
            textAnchor={tick === 1 ? 'end' : tick === 0 ? 'start' : 'middle'}
            className={classes.tick}
          >
            {tick * 100} %
          </text>
        </g>
      ))}
      {measures.map(({ measure, left, right }, index) => {
        const y = SIZE.top + index * SIZE.row + 12;
        return (
          <g key={measure}>
            <text x={SIZE.left} y={y}>
              {measure}
            </text>
            {[
              { rein: 'left' as const, share: left, at: y + 13 },
              { rein: 'right' as const, share: right, at: y + 24 },
            ].map(({ rein, share, at }) => {
              const { low, high } = wilsonInterval(share);
              return (
                <g key={rein} className={classes[rein]}>
                  <line x1={x(low)} x2={x(high)} y1={at} y2={at} strokeWidth="1.5" />
                  <path
                    d={rein === 'left' ? 'M-6 0L4 -5V5Z' : 'M6 0L-4 -5V5Z'}
                    transform={`translate(${x(share.hits / share.of)} ${at})`}
                    stroke="none"
                  />
                </g>
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}
