'use client';

import { scaleBarOf, type Arena } from '@/core';
import { useUnit } from '../Lengths/LengthsProvider';
import classes from './Sand.module.css';

type ScaleBarProps = { arena: Arena; x: number; y: number; textM: number };

/** How long something is on this sand, in the unit that the yard reads. */
export function ScaleBar({ arena, x, y, textM }: ScaleBarProps) {
  const { lengthM, words } = scaleBarOf(arena, useUnit());
  const tick = textM * 0.3;
  return (
    <g aria-hidden="true" className={classes.scale} fontSize={textM * 0.85} data-scale-bar={lengthM}>
      <path d={`M${x} ${y - tick}v${tick * 2}M${x} ${y}h${lengthM}M${x + lengthM} ${y - tick}v${tick * 2}`} />
      <text x={x + lengthM + textM * 0.4} y={y} dy="0.35em">
        {words}
      </text>
    </g>
  );
}
