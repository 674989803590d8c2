import { Said } from '@/components/Lengths/LengthsProvider';
import { PictureCard } from '@/components/pictures/PictureCard';
import type { Move, Moves } from '@/core';
import { scaleLinear } from 'd3-scale';
import classes from './WhatMoved.module.css';

type WhatMovedProps = { horse: string; moves: Moves };

const WIDE = 260;
const HIGH = 20;

/** Which exercises went along with what: each a point with its range about “no different”, for this pair and for horses like it. */
export function WhatMoved({ horse, moves: { own, alike, likePairs } }: WhatMovedProps) {
  if (own.length === 0 && alike.length === 0) return null;
  const held = [...own, ...alike].filter(({ holds }) => holds);
  const percent = (share: number) => Math.round(100 * share);
  const rows = (of: string, moves: readonly Move[]) =>
    moves.map(({ title, difference, low, high, values, holds }) => [
      ...[of, title, percent(difference), percent(low), percent(high), values, holds ? 'yes' : 'no'],
    ]);
  return (
    <PictureCard
      title="What moved what"
      isWide
      says={held.length === 0 ? [] : [{ text: heldWords(held), because: HOW }]}
      sub={
        held.length === 0
          ? `Nothing stands out: after no exercise did the others get clean more often than after the rest, as far as can be told. ${HOW}`
          : undefined
      }
      fileName={`${horse}-what-moved-what`}
      table={{
        columns: ['for', 'exercise', 'more clean in 100', 'low', 'high', 'times', 'beyond chance'],
        rows: [...rows(horse, own), ...rows(`${likePairs} pairs`, alike)],
      }}
    >
      <div className={classes.columns}>
        <Column title={horse} moves={own} />
        {likePairs > 1 && <Column title={`${likePairs} pairs of horses like it, ${horse} among them`} moves={alike} />}
      </div>
    </PictureCard>
  );
}

const HOW =
  'From one time to the next that a question was ridden: how much more often it was clean, where the exercise was ridden in between, against where it was not; the line is where it lies 95 times in 100. A record is no experiment: what you chose before a good week may have been chosen because the weeks were good.';

const heldWords = (held: readonly Move[]) =>
  `${held.map(({ title }) => `After “${title}”`).join(', ')} the other questions changed more than after the rest.`;

function Column({ title, moves }: { title: string; moves: readonly Move[] }) {
  if (moves.length === 0)
    return (
      <div>
        <h3>{title}</h3>
        <p className={classes.quiet}>Too little yet.</p>
      </div>
    );
  const most = Math.max(0.2, ...moves.flatMap(({ low, high }) => [-low, high]));
  const x = scaleLinear([-most, most], [0, WIDE]);
  return (
    <div>
      <h3>{title}</h3>
      <ul>
        {moves.map(({ exercise, title: name, difference, low, high, values, holds }) => (
          <li key={exercise} data-holds={holds || undefined}>
            <span>
              <Said>{name}</Said>
            </span>
            <svg viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={inWords(difference, low, high)}>
              <line x1={x(0)} x2={x(0)} y1={0} y2={HIGH} className={classes.none} />
              <line x1={x(low)} x2={x(high)} y1={HIGH / 2} y2={HIGH / 2} className={classes.range} />
              <circle cx={x(difference)} cy={HIGH / 2} r={5} className={holds ? classes.held : classes.open} />
            </svg>
            <small>
              {inWords(difference, low, high)}, {values} times
            </small>
          </li>
        ))}
      </ul>
    </div>
  );
}

const points = (share: number) => `${share < 0 ? '−' : '+'}${Math.abs(Math.round(100 * share))}`;

function inWords(difference: number, low: number, high: number): string {
  return `${points(difference)} in 100 clean (${points(low)} to ${points(high)})`;
}
