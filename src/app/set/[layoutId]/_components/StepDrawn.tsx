import { stepPicture } from '@/files/stepPicture';
import { useMemo } from 'react';
import type { SetStep } from './setStep';
import classes from './StepDrawn.module.css';

/** A step as it is on paper: black on white, whatever the colours of the page are. */
export default function StepDrawn({ pictured: { layout, sheet, step } }: Pick<SetStep, 'pictured'>) {
  const { box, shapes } = useMemo(() => stepPicture(layout, sheet, step), [layout, sheet, step]);
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.widthM} ${box.heightM}`}
      className={classes.picture}
      data-lit=""
      aria-hidden="true"
      focusable="false"
    >
      {shapes.map((shape, index) =>
        shape.kind === 'text' ? (
          <text
            key={index}
            x={shape.x}
            y={shape.y}
            dy="0.35em"
            fontSize={shape.sizeM}
            textAnchor="middle"
            fontWeight={shape.bold ? 700 : 400}
          >
            {shape.text}
          </text>
        ) : (
          <path
            key={index}
            d={shape.d}
            fill={shape.fill ?? 'none'}
            stroke={shape.stroke ?? 'none'}
            strokeWidth={shape.strokeM}
            strokeDasharray={shape.dashM === null ? undefined : `${shape.dashM} ${shape.dashM}`}
          />
        ),
      )}
    </svg>
  );
}
