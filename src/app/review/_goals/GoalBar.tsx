import type { GoalProgress } from '@/core';
import classes from './Goals.module.css';

const WIDE = 240;
const HIGH = 22;

/** How far a goal is: where it is now, where the truth lies 95 times in 100, and a post at what is wanted. */
export function GoalBar({ progress: { now, low, high, wanted, state } }: { progress: GoalProgress }) {
  if (state === 'unmeasured') return null;
  const x = (share: number) => share * WIDE;
  return (
    <svg viewBox={`-2 0 ${WIDE + 4} ${HIGH}`} className={classes.bar} aria-hidden="true">
      <line x1={0} x2={WIDE} y1={HIGH - 4} y2={HIGH - 4} className={classes.ground} />
      {now !== null && (
        <>
          <rect x={x(low)} width={Math.max(1, x(high - low))} y={8} height={8} className={classes.range} />
          <rect x={0} width={x(now)} y={10} height={4} className={classes.now} />
          <circle cx={x(now)} cy={12} r={4} className={classes.now} />
        </>
      )}
      <path d={`M ${x(wanted)} ${HIGH - 4} V 1 l 7 3 l -7 3`} className={classes.wanted} />
    </svg>
  );
}
