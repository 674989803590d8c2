import type { EyePicture } from '@/core';
import { EYE_EDGE, EYE_GRID, EYE_INK, EYE_SAND, EYE_SKY, inLight } from '@/files/eyeColours';

const HIGH = 400;
const place = (value: number, of: number) => (value * of).toFixed(1);

type EyeStillProps = {
  picture: EyePicture;
  /** Its width by its height. */
  aspect: number;
  /** What is seen, in words. */
  label: string;
  className?: string;
};

/** What a rider sees from one place, standing still: for a page and for paper. */
export function EyeStill({ picture, aspect, label, className }: EyeStillProps) {
  const wide = HIGH * aspect;
  const horizon = Math.min(HIGH, Math.max(0, picture.horizon * HIGH));
  return (
    <svg viewBox={`0 0 ${wide} ${HIGH}`} role="img" aria-label={label} className={className}>
      <rect width={wide} height={horizon} fill={EYE_SKY[1]} />
      <rect y={horizon} width={wide} height={HIGH - horizon} fill={EYE_SAND[1]} />
      {picture.drawn.map((drawn, index) => {
        if (drawn.kind === 'word')
          return (
            <text
              key={index}
              x={place(drawn.at.x, wide)}
              y={place(drawn.at.y, HIGH)}
              fontSize={place(drawn.size, HIGH)}
              fontWeight={700}
              textAnchor="middle"
              dominantBaseline="central"
              fill={EYE_INK}
              stroke={EYE_SKY[1]}
              strokeWidth={place(drawn.size * 0.2, HIGH)}
              paintOrder="stroke"
            >
              {drawn.words}
            </text>
          );
        const points = drawn.points.map(({ x, y }) => `${place(x, wide)},${place(y, HIGH)}`).join(' ');
        return drawn.kind === 'line' ? (
          <polyline key={index} points={points} fill="none" stroke={EYE_GRID} strokeWidth={1} />
        ) : (
          <polygon
            key={index}
            points={points}
            fill={inLight(drawn.tone, drawn.light)}
            stroke={drawn.tone === 'wall' ? inLight(drawn.tone, drawn.light) : EYE_EDGE}
            strokeWidth={0.6}
          />
        );
      })}
    </svg>
  );
}
