import type { LegReview } from '@/core';
import { CountDiscs, riddenWords } from './CountDiscs';
import { PICTURE_WIDTH, wrapped } from './pictureWords';
import classes from './picture.module.css';

type LegCountsProps = {
  legs: readonly (Pick<LegReview, 'asked' | 'predicted' | 'counts'> & { key: string; name: string })[];
  label: string;
};

const SIZE = { top: 6, row: 52, discs: 138 };
const WORDS = PICTURE_WIDTH - SIZE.discs - 6;

/** Legs one under the other, each with the counts that were ridden in it. */
export function LegCounts({ legs, label }: LegCountsProps) {
  const height = SIZE.top + legs.length * SIZE.row;
  const said = legs.map(({ name, counts }) => `${name}: ${riddenWords(counts) || 'no count'}`).join('; ');
  return (
    <svg
      viewBox={`0 0 ${PICTURE_WIDTH} ${height}`}
      className={classes.picture}
      role="img"
      aria-label={`${label}. ${said}`}
    >
      {legs.map(({ key, name, asked, predicted, counts }, index) => {
        const y = SIZE.top + index * SIZE.row + 22;
        return (
          <g key={key}>
            {wrapped(name, WORDS, 2).map((line, at) => (
              <text key={at} x={0} y={y - 2 + at * 15}>
                {line}
              </text>
            ))}
            <CountDiscs
              ridden={counts}
              meant={asked}
              even={predicted}
              x={PICTURE_WIDTH - SIZE.discs / 2 - 1}
              y={y}
              room={SIZE.discs - 2}
            />
          </g>
        );
      })}
    </svg>
  );
}
