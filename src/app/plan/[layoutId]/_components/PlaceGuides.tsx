'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { SandView } from '@/components/Sand/sandView';
import type { Arena, PointM } from '@/core';
import classes from './SandBoard.module.css';

type PlaceGuidesProps = { arena: Arena; view: SandView; centre: PointM; textM: number };

/** From the middle of the row to the nearer long side and the nearer short side, with the distances. */
export function PlaceGuides({ arena, view, centre, textM }: PlaceGuidesProps) {
  const { format } = useLengths();
  const longWallXM = centre.xM <= arena.widthM / 2 ? 0 : arena.widthM;
  const shortWallYM = centre.yM <= arena.lengthM / 2 ? 0 : arena.lengthM;
  const guides = [
    { key: 'long', to: { xM: longWallXM, yM: centre.yM }, lengthM: Math.abs(centre.xM - longWallXM) },
    { key: 'short', to: { xM: centre.xM, yM: shortWallYM }, lengthM: Math.abs(centre.yM - shortWallYM) },
  ];
  const from = view.toPaper(centre);
  return (
    <g aria-hidden="true">
      {guides.map(({ key, to, lengthM }) => {
        const end = view.toPaper(to);
        // Nearer to the wall than to the row, where the poles would hide it.
        const at = { x: from.x + (end.x - from.x) * 0.72, y: from.y + (end.y - from.y) * 0.72 };
        return (
          <g key={key}>
            <line x1={from.x} y1={from.y} x2={end.x} y2={end.y} className={classes.guide} />
            <text x={at.x} y={at.y} dy="-0.3em" fontSize={textM * 0.8} className={classes.guideText}>
              {format(lengthM)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
