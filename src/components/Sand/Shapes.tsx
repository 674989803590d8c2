import type { LookName } from './looks';
import classes from './looks.module.css';
import type { Shape } from './shape';

/** Shapes as they are pressed and read. */
export function Shapes({ shapes }: { shapes: readonly Shape[] }) {
  return shapes.map((shape, index) => {
    if (shape.kind === 'text')
      return (
        <text key={index} x={shape.x} y={shape.y} dy="0.35em" fontSize={shape.sizeM} className={classes[shape.look]}>
          {shape.runs.map(({ words, look }, run) => (look === undefined ? words : tspan(run, words, look)))}
        </text>
      );
    const { d, look, strokeM, dashM, rail, hoof, lead } = shape;
    return (
      <path
        key={index}
        d={d}
        className={classes[look]}
        strokeWidth={strokeM}
        strokeDasharray={dashM === undefined ? undefined : `${dashM} ${dashM}`}
        data-rail={rail ? '' : undefined}
        data-hoof={hoof}
        data-lead={lead}
      >
        {lead && <title>{`${lead} lead`}</title>}
      </path>
    );
  });
}

const tspan = (key: number, words: string, look: LookName) => (
  <tspan key={key} className={classes[look]}>
    {words}
  </tspan>
);
