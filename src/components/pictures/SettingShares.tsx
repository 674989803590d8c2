import { wilsonInterval, type Share } from '@/core';
import { scaleLinear } from 'd3-scale';
import { PICTURE_WIDTH, roomOf, shortened } from './pictureWords';
import classes from './picture.module.css';

type SettingSharesProps = { settings: readonly { key: string; name: string; clean: Share }[]; label: string };

const SIZE = { top: 2, row: 38 };

/** One bar for each setting as a pair rode it: its share of clean passes, and how sure that is. */
export function SettingShares({ settings, label }: SettingSharesProps) {
  const height = SIZE.top + settings.length * SIZE.row;
  const words = ({ hits, of }: Share) => `${hits} of ${of}`;
  const right = Math.max(0, ...settings.map(({ clean }) => roomOf(words(clean)))) + 8;
  const x = scaleLinear([0, 1], [0, PICTURE_WIDTH - right]);
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${height}`} className={classes.picture} role="img" aria-label={label}>
      {settings.map(({ key, name, clean }, index) => {
        const y = SIZE.top + index * SIZE.row;
        const { low, high } = wilsonInterval(clean);
        return (
          <g key={key}>
            <text x={0} y={y + 13}>
              {shortened(name, PICTURE_WIDTH)}
            </text>
            <rect x={x(0)} width={x(1) - x(0)} y={y + 19} height="10" className={classes.band} />
            <rect x={x(0)} width={x(clean.hits / clean.of) - x(0)} y={y + 19} height="10" className={classes.bar} />
            <line x1={x(low)} x2={x(high)} y1={y + 24} y2={y + 24} className={classes.interval} />
            <text x={PICTURE_WIDTH} y={y + 28} textAnchor="end" className={classes.tick}>
              {words(clean)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
