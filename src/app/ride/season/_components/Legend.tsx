import type { SeasonDay } from '@/core';
import type { ReactNode } from 'react';
import classes from './Season.module.css';

const LEGEND: { words: string; mark: ReactNode }[] = [
  { words: 'flat', mark: <Bar kind="flat" /> },
  { words: 'poles', mark: <Bar kind="poles" /> },
  { words: 'fences', mark: <Bar kind="fences" /> },
  { words: 'planned', mark: <Bar kind="fences" isPlanned /> },
  {
    words: 'left and right rein',
    mark: (
      <>
        <rect x={1} y={8} width={12} height={4} className={classes.left} />
        <rect x={13} y={8} width={8} height={4} className={classes.right} />
      </>
    ),
  },
  { words: 'too much', mark: <path d="M 8 4 l 6 11 h -12 z" className={classes.over} /> },
  { words: 'enough for a day', mark: <line x1={1} x2={21} y1={10} y2={10} className={classes.full} /> },
];

/** A day as it is drawn in the strips. */
function Bar({ kind, isPlanned }: { kind: SeasonDay['kinds'][number]; isPlanned?: true }) {
  return (
    <g className={classes.day} data-planned={isPlanned}>
      <rect
        x={6}
        y={3}
        width={9}
        height={14}
        data-kind={kind}
        fill={kind === 'poles' ? 'url(#season-poles)' : undefined}
      />
    </g>
  );
}

/** What the marks of the picture mean. */
export function Legend() {
  return (
    <ul className={classes.legend} aria-label="What the marks mean">
      {LEGEND.map(({ words, mark }) => (
        <li key={words}>
          <svg width={22} height={20} aria-hidden="true">
            {mark}
          </svg>
          {words}
        </li>
      ))}
    </ul>
  );
}
