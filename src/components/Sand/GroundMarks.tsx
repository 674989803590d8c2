import { paperDegrees, type SandView } from './sandView';
import { headingFromFacing } from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import { memo } from 'react';
import classes from './GroundMarks.module.css';

type GroundMarksProps = { marks: ArenaMarks; view: SandView; textM: number };

/** What the yard has marked on this sand: bad places, the way in, how it falls and where home lies. */
export const GroundMarks = memo(function GroundMarks({ marks, view, textM }: GroundMarksProps) {
  const { patches, entrance, fall, homeFacingDeg } = marks;
  const corner = { x: view.widthM, y: view.heightM + textM * 1.5 };
  return (
    <g className={classes.marks}>
      {patches.map(({ id, at, radiusM, words }) => {
        const { x, y } = view.toPaper(at);
        return (
          <g key={id}>
            <title>{words}</title>
            <circle cx={x} cy={y} r={radiusM} className={classes.patch} />
            <text x={x} y={y} dy="0.35em" fontSize={textM * 0.75}>
              {words}
            </text>
          </g>
        );
      })}
      {entrance && <WayIn {...view.toPaper(entrance)} textM={textM} view={view} />}
      {fall && (
        <Pointer
          x={corner.x - textM * 8}
          y={corner.y}
          degrees={paperDegrees(view, headingFromFacing(fall.facingDeg))}
          textM={textM}
          words={`falls ${fall.percent} %`}
        />
      )}
      {homeFacingDeg !== null && (
        <Pointer
          x={corner.x - textM * 1}
          y={corner.y}
          degrees={paperDegrees(view, headingFromFacing(homeFacingDeg))}
          textM={textM}
          words="home"
        />
      )}
    </g>
  );
});

function WayIn({ x, y, textM, view }: { x: number; y: number; textM: number; view: SandView }) {
  // Written a little way in from its wall.
  const inM = { x: Math.sign(view.widthM / 2 - x) * textM * 2.2, y: Math.sign(view.heightM / 2 - y) * textM * 1.1 };
  const isSide = Math.min(x, view.widthM - x) < Math.min(y, view.heightM - y);
  return (
    <g>
      <title>The way in</title>
      <circle cx={x} cy={y} r={textM * 0.45} className={classes.entrance} />
      <text x={isSide ? x + inM.x : x} y={isSide ? y : y + inM.y} dy="0.35em" fontSize={textM * 0.75}>
        way in
      </text>
    </g>
  );
}

type PointerProps = { x: number; y: number; degrees: number; textM: number; words: string };

function Pointer({ x, y, degrees, textM, words }: PointerProps) {
  return (
    <g>
      <path
        d="M-0.6 0H0.5M0.1 -0.35L0.6 0L0.1 0.35"
        transform={`translate(${x} ${y}) rotate(${degrees}) scale(${textM})`}
        className={classes.pointer}
      />
      <text x={x - textM} y={y} dy="0.35em" fontSize={textM * 0.75} className={classes.pointerWords}>
        {words}
      </text>
    </g>
  );
}
