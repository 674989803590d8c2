import classes from './picture.module.css';

type LineWordsProps = { words: string; y: number; className?: string };

/** What a line of a picture is: a piece of it beneath the picture, with its words, so that nothing lies over the data. */
export function LineWords({ words, y, className }: LineWordsProps) {
  return (
    <g>
      <line x1={2} x2={30} y1={y - 4} y2={y - 4} className={className} />
      <text x={36} y={y} className={classes.tick}>
        {words}
      </text>
    </g>
  );
}
