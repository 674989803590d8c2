import type { Ticks } from '../_state/useTicks';

/** Says that ticks wait for the server, and why. */
export function UnsentTicks({ ticks: { unsent, problem } }: { ticks: Ticks }) {
  if (unsent === 0 && !problem) return null;
  return (
    <span role="status" data-unsent={unsent}>
      {unsent} not sent yet. {problem}
    </span>
  );
}
