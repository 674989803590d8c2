import { nearestToEven, saidOf, type HorseReading, type ReckonedItemTrack } from '@/core';
import classes from './GroundRibbon.module.css';

type GroundRibbonProps = {
  label: string;
  planned: ReckonedItemTrack;
  /** The same track over the pieces as they stand. */
  standing: ReckonedItemTrack;
  numberOf: (item: string) => string;
  format: (lengthM: number) => string;
};

/** As wide as a page; wider where its words would not stand beside each other: then it is pushed to and fro. */
const LEAST_WIDTH = 1000;
const LEAST_LEG = 230;
const TOP = 34;
const ROW = 64;
const EDGE = 30;

/** A track unrolled as it stands over as it was planned: posts, each horse's strides as arches, and what is said, changes bold. */
export function GroundRibbon({ label, planned, standing, numberOf, format }: GroundRibbonProps) {
  const [was, is] = [stopsM(planned), stopsM(standing)];
  const longestM = Math.max(was.at(-1)!, is.at(-1)!, 1);
  const shortestM = Math.max(0.5, Math.min(...standing.legs.map(({ groundM }) => groundM)));
  const scale = Math.max((LEAST_WIDTH - 2 * EDGE) / longestM, LEAST_LEG / shortestM);
  const width = longestM * scale + 2 * EDGE;
  const x = (alongM: number) => EDGE + alongM * scale;
  const horses = planned.legs[0]?.readings ?? [];
  const height = TOP + Math.max(1, horses.length) * ROW + 6;
  const stops = [planned.legs[0]!.from, ...planned.legs.map(({ to }) => to)];
  return (
    <div className={classes.roll} data-lit="" tabIndex={0} role="group" aria-label={label}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        style={{ width: `max(100%, ${Math.round(width * 0.62)}px)` }}
        role="img"
        aria-label={`${label} as it stands`}
        className={classes.ribbon}
      >
        {stops.map((item, index) => (
          <g key={index}>
            <path d={`M${x(was[index]!)} ${TOP - 8}V${height}`} className={classes.planned} />
            <path d={`M${x(is[index]!)} ${TOP - 8}V${height}`} className={classes.post} />
            <text x={x(is[index]!)} y={TOP - 14} className={classes.number}>
              {numberOf(item)}
            </text>
          </g>
        ))}
        {standing.legs.map((leg, index) => (
          <text key={index} x={(x(is[index]!) + x(is[index + 1]!)) / 2} y={TOP - 14} className={classes.ground}>
            {format(leg.groundM)}
          </text>
        ))}
        {horses.map(({ horse, horseId }, row) => (
          <g key={horseId} transform={`translate(0 ${TOP + row * ROW})`}>
            <text x={2} y={10} className={classes.horse}>
              {horse}
            </text>
            {standing.legs.map((leg, index) => {
              const [now, before] = [leg.readings[row], planned.legs[index]!.readings[row]];
              if (!now) return null;
              const [from, to] = [x(is[index]!), x(is[index + 1]!)];
              const said = saidOf(now);
              return (
                <g key={index}>
                  <path d={arches(from, to, stridesOf(now))} className={classes.arch} />
                  <text
                    x={(from + to) / 2}
                    y={ROW - 8}
                    className={classes.said}
                    data-changed={(before && saidOf(before) !== said) || undefined}
                  >
                    {said}
                  </text>
                </g>
              );
            })}
          </g>
        ))}
      </svg>
    </div>
  );
}

/** How far along the ground each stop is, metres. */
function stopsM({ legs }: ReckonedItemTrack): number[] {
  const stops = [0];
  for (const { groundM } of legs) stops.push(stops.at(-1)! + groundM);
  return stops;
}

const stridesOf = ({ asked, options }: HorseReading) => asked?.strides ?? nearestToEven(options)?.strides ?? 0;

/** A landing, the strides, a take-off: so many arches and a half at each end. */
function arches(from: number, to: number, strides: number): string {
  const wide = (to - from) / (strides + 1);
  const at = (index: number) => from + wide * (index + 0.5);
  return Array.from({ length: strides }, (_, index) => {
    const [a, b] = [at(index), at(index + 1)];
    return `M${a} ${ROW - 26}Q${(a + b) / 2} ${ROW - 50} ${b} ${ROW - 26}`;
  }).join('');
}
