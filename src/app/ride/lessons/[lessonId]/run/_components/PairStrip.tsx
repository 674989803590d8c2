import type { PassRecord, WorkCounts } from '@/core';
import classes from '@/app/ride/_components/pad/Pad.module.css';
import type { RunPair } from '../runStage';

type PairStripProps = {
  pairs: readonly RunPair[];
  chosenId: string;
  onChoose: (id: string) => void;
  /** What counts of a pair's passes at this stage. */
  ridden: (pairId: string) => readonly PassRecord[];
  counts: (pairId: string) => WorkCounts;
  warnings: (pairId: string) => string[];
  /** Whether minutes run: of a lesson that is written down they do not. */
  runs: boolean;
};

/** The pairs of the lesson: who rides first, then who comes after, with what each has done. */
export function PairStrip({ pairs, chosenId, onChoose, ridden, counts, warnings, runs }: PairStripProps) {
  const at = pairs.findIndex(({ id }) => id === chosenId);
  const inTurn = at < 0 ? pairs : [...pairs.slice(at), ...pairs.slice(0, at)];
  return (
    <section aria-label="Pairs" className={classes.strip}>
      {inTurn.map(({ id, horse, rider }) => {
        const { lowEfforts, highEfforts, sinceBreakMin } = counts(id);
        const warned = warnings(id).length > 0;
        return (
          <button
            key={id}
            type="button"
            className={classes.pair}
            aria-pressed={id === chosenId}
            data-warned={warned || undefined}
            data-early={`pair ${id}`}
            onClick={() => onChoose(id)}
          >
            <strong>
              {horse} {warned && <span aria-label="at a limit">▲</span>}
            </strong>{' '}
            <span>{rider}</span>
            <small>{riddenWords(ridden(id))}</small>
            <small>
              {lowEfforts + highEfforts} efforts
              {runs ? ` · ${Math.floor(sinceBreakMin)} min` : ''}
            </small>
          </button>
        );
      })}
    </section>
  );
}

/** How often, rein by rein; on a track that changes the rein just how often. */
function riddenWords(passes: readonly PassRecord[]): string {
  const on = (rein: PassRecord['rein']) => passes.filter(pass => pass.rein === rein).length;
  if (on(null) === 0) return `${on('left')} left, ${on('right')} right`;
  return passes.length === on(null)
    ? `${on(null)} ridden`
    : `${on('left')} left, ${on('right')} right, ${on(null)} more`;
}
