import { middleWithin, withRoom } from './pictureWords';
import classes from './picture.module.css';

type TimeWordsProps = { marks: readonly { key: string; at: number; words: string }[]; y: number };

/** Days or months under a picture, as many as have room. */
export function TimeWords({ marks, y }: TimeWordsProps) {
  const within = marks.map(mark => ({ ...mark, at: middleWithin(mark.at, mark.words) }));
  return withRoom(within).map(({ key, at, words }) => (
    <text key={key} x={at} y={y} textAnchor="middle" className={classes.tick}>
      {words}
    </text>
  ));
}
