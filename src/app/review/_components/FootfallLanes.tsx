'use client';

import type { PassFigures } from '../reviewFigures';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import picture from '@/components/pictures/picture.module.css';
import { PICTURE_WIDTH } from '@/components/pictures/pictureWords';
import classes from './FootfallLanes.module.css';

type FootfallLanesProps = { passes: PassFigures[]; label: string };

const LEFT = 92;
const RIGHT = 14;
const TOP = 26;
const LANE = 22;

const PLACES = [
  { fraction: 0, label: 'pole' },
  { fraction: 1 / 3, label: '⅓' },
  { fraction: 1 / 2, label: '½' },
  { fraction: 3 / 4, label: '¾' },
  { fraction: 1, label: 'pole' },
];

/**
 * The ground between two poles, one lane a pass from the earliest down: small prints where the foot fell in each gap, a
 * print with a point for the mean of the pass, pointing to the rein it was ridden on.
 */
export function FootfallLanes({ passes, label }: FootfallLanesProps) {
  const x = scaleLinear([0, 1], [LEFT, PICTURE_WIDTH - RIGHT]);
  const y = scaleLinear([0, Math.max(1, passes.length)], [TOP, TOP + Math.max(1, passes.length) * LANE]);
  const bottom = y(Math.max(1, passes.length));
  const means = passes.flatMap((pass, index) =>
    pass.meanFraction === null ? [] : [{ pass, fraction: pass.meanFraction, y: y(index + 0.5) }],
  );
  const path = line<(typeof means)[number]>(
    mean => x(mean.fraction),
    mean => mean.y,
  )(means);
  return (
    <svg
      viewBox={`0 0 ${PICTURE_WIDTH} ${bottom + 8}`}
      className={`${picture.picture} ${classes.lanes}`}
      role="img"
      aria-label={label}
    >
      <rect x={x(0)} y={TOP} width={x(1) - x(0)} height={bottom - TOP} className={classes.ground} />
      <rect x={x(0.4)} y={TOP} width={x(0.6) - x(0.4)} height={bottom - TOP} className={classes.right} />
      {PLACES.map(({ fraction, label: place }) => (
        <text key={fraction} x={x(fraction)} y={TOP - 10} className={classes.place}>
          {place}
        </text>
      ))}
      {[0, 1].map(end => (
        <line key={end} x1={x(end)} x2={x(end)} y1={TOP - 4} y2={bottom + 4} className={classes.post} />
      ))}
      {passes.map((pass, index) => (
        <text key={pass.id} x={LEFT - 10} y={y(index + 0.5)} dy="0.35em" className={classes.pass}>
          {newDay(passes, index) && <tspan className={classes.day}>{pass.day.replace(/ \d{4}$/, '')} </tspan>}
          {pass.number}
        </text>
      ))}
      {path && <path d={path} className={classes.thread} />}
      {passes.map((pass, index) =>
        pass.footfalls.map(({ gap, fraction }) => (
          <circle key={`${pass.id}-${gap}`} cx={x(fraction)} cy={y(index + 0.5)} r="3" className={classes.print} />
        )),
      )}
      {means.map(({ pass, fraction, y: laneY }) => (
        <path
          key={pass.id}
          d={pass.rein === 'left' ? 'M-9 0L3 -7V7Z' : 'M9 0L-3 -7V7Z'}
          transform={`translate(${x(fraction)} ${laneY})`}
          className={classes.mean}
          data-rein={pass.rein}
        />
      ))}
    </svg>
  );
}

function newDay(passes: PassFigures[], index: number): boolean {
  return passes[index - 1]?.day !== passes[index]!.day;
}
