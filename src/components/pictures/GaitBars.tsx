'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { gaitWord, type AskedGait, type TrackGait } from '@/core';
import { shortened, PICTURE_WIDTH } from './pictureWords';
import classes from './picture.module.css';

type GaitBarsProps = { gaits: readonly AskedGait[]; label: string };

const SIZE = { left: 2, row: 58, bar: 18 };
/** What was asked is told at the left, and what it slipped into most at the right: there is room for two. */
const shareWords = (gait: TrackGait, share: number) => `${gaitWord(gait)} ${Math.round(share * 100)} %`;

/** Each gait that was asked as a bar of how far it was ridden in which gait: what was asked first, filled; the others outlined. */
export function GaitBars({ gaits, label }: GaitBarsProps) {
  const say = useSay();
  return (
    <svg
      viewBox={`0 0 ${PICTURE_WIDTH} ${gaits.length * SIZE.row}`}
      className={classes.picture}
      role="img"
      aria-label={say(label)}
    >
      {gaits.map(({ asked, passes, slipped, riddenM }, index) => {
        const sumM = Object.values(riddenM).reduce((sum, metres) => sum + metres, 0);
        const told = passes === 1 ? '1 pass' : `${passes} passes`;
        const words = say(`${gaitWord(asked)}: ${told}${slipped > 0 ? `, slipped in ${slipped}` : ''}`);
        return (
          <g key={asked} transform={`translate(0 ${index * SIZE.row})`}>
            <text x={SIZE.left} y={14} className={classes.strong}>
              {shortened(words, PICTURE_WIDTH - SIZE.left)}
            </text>
            {shares(asked, riddenM, sumM).map(({ gait, x, width, share }, order) => (
              <g key={gait}>
                <rect
                  x={x}
                  y={22}
                  width={width}
                  height={SIZE.bar}
                  className={gait === asked ? classes.bar : classes.band}
                />
                {gait === asked ? (
                  <text x={x + 2} y={22 + SIZE.bar + 13} className={classes.tick}>
                    {say(shareWords(gait, share))}
                  </text>
                ) : (
                  order === 1 && (
                    <text
                      x={PICTURE_WIDTH - SIZE.left}
                      y={22 + SIZE.bar + 13}
                      textAnchor="end"
                      className={classes.tick}
                    >
                      {say(shareWords(gait, share))}
                    </text>
                  )
                )}
              </g>
            ))}
          </g>
        );
      })}
    </svg>
  );
}

/** What was asked first, then the others by how far they were ridden. */
function shares(asked: TrackGait, riddenM: AskedGait['riddenM'], sumM: number) {
  const wide = PICTURE_WIDTH - 2 * SIZE.left;
  let x = SIZE.left;
  const ordered = (Object.entries(riddenM) as [TrackGait, number][]).sort(
    ([a, aM], [b, bM]) => Number(b === asked) - Number(a === asked) || bM - aM,
  );
  return ordered.flatMap(([gait, metres]) => {
    if (!(sumM > 0)) return [];
    const width = (metres / sumM) * wide;
    const at = x;
    x += width;
    return [{ gait, x: at, width, share: metres / sumM }];
  });
}
