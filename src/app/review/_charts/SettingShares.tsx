import classes from '@/components/Chart/chart.module.css';
import { wilsonInterval, type Share } from '@/core';
import { scaleLinear } from 'd3-scale';

type SettingSharesProps = { settings: { key: string; name: string; clean: Share }[]; label: string };

const SIZE = { width: 440, left: 10, right: 52, top: 6, row: 36 };

/** One bar for each setting as a pair rode it: its share of clean passes, and how sure that is. */
export function SettingShares({ settings, label }: SettingSharesProps) {
  const height = SIZE.top + settings.length * SIZE.row;
  const x = scaleLinear([0, 1], [SIZE.left, SIZE.width - SIZE.right]);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${height}`} className={classes.chart} role="img" aria-label={label}>
      {settings.map(({ key, name, clean }, index) => {
        const y = SIZE.top + index * SIZE.row;
        const { low, high } = wilsonInterval(clean);
        return (
          <g key={key}>
            <text x={SIZE.left} y={y + 11}>
              {name}
            </text>
            <rect x={x(0)} width={x(1) - x(0)} y={y + 17} height="10" className={classes.band} />
            <rect x={x(0)} width={x(clean.hits / clean.of) - x(0)} y={y + 17} height="10" className={classes.bar} />
            <line x1={x(low)} x2={x(high)} y1={y + 22} y2={y + 22} className={classes.interval} />
            <text x={x(1) + 6} y={y + 26} className={classes.tick}>
              {clean.hits} of {clean.of}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
