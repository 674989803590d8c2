import { isRaised, type Pole } from '@/core';
import classes from './RowRibbon.module.css';
import { drawn } from './sandView';

type RowRibbonProps = {
  poles: readonly Pole[];
  spacingM: number;
  /** Where the feet fall, metres from the first pole, from the take-off before it. */
  footfallsM: readonly number[];
  format: (lengthM: number) => string;
  label: string;
};

const HEIGHT_M = 1.5;
const GROUND_M = 1.05;

/** The row unrolled: poles as posts, the horse's steps as arches over them, and each spacing written in its gap. */
export function RowRibbon({ poles, spacingM, footfallsM, format, label }: RowRibbonProps) {
  const startM = -spacingM * 0.75;
  const lengthM = (poles.length - 1) * spacingM + spacingM * 1.5;
  // The text is set for a ribbon that fills the width: never larger than its gap.
  const textM = Math.min(lengthM / 48, spacingM / 4.2);
  const scaleY = lengthM / 12;
  const groundY = drawn(GROUND_M * scaleY);
  return (
    <svg
      viewBox={`${startM} 0 ${lengthM} ${HEIGHT_M * scaleY}`}
      className={classes.ribbon}
      role="img"
      aria-label={label}
    >
      <g>
        <line x1={startM} x2={startM + lengthM} y1={groundY} y2={groundY} className={classes.ground} />
        {footfallsM.slice(1).map((landM, index) => {
          const fromM = drawn(footfallsM[index]!);
          const topM = 0.12 * scaleY;
          return (
            <path
              key={landM}
              d={`M${fromM} ${groundY}Q${drawn((fromM + landM) / 2)} ${topM} ${drawn(landM)} ${groundY}`}
              className={classes.arch}
            />
          );
        })}
        {footfallsM.map(alongM => (
          <circle key={alongM} cx={drawn(alongM)} cy={groundY} r={textM * 0.28} className={classes.foot} />
        ))}
        {poles.map((pole, index) => (
          <line
            key={pole.id}
            x1={index * spacingM}
            x2={index * spacingM}
            y1={(isRaised(pole.raised) ? 0.52 : 0.78) * scaleY}
            y2={groundY}
            className={classes.post}
          />
        ))}
        {poles.slice(1).map((pole, index) => (
          <text key={pole.id} x={(index + 0.5) * spacingM} y={1.35 * scaleY} fontSize={textM} className={classes.gap}>
            {format(spacingM)}
          </text>
        ))}
      </g>
    </svg>
  );
}
