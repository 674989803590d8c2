import classes from './picture.module.css';

type DiscProps = { x: number; y: number; r: number; hits: number; of: number };

/** A disc as full as it went clean. */
export function Disc({ x, y, r, hits, of }: DiscProps) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <circle r={r} className={classes.rim} />
      <circle r={of === 0 ? 0 : r * Math.sqrt(hits / of)} className={classes.mark} />
    </g>
  );
}
