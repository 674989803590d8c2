import type { PassRecord, WorkCounts } from '@/core';
import type { RunPair } from '../runStage';
import classes from './RunLesson.module.css';

type PairKeysProps = {
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

/** The pairs of the lesson with what each has done; the one that is next is chosen with a tap. */
export function PairKeys({ pairs, chosenId, onChoose, ridden, counts, warnings, runs }: PairKeysProps) {
  const chosen = warnings(chosenId);
  const next = pairs[(pairs.findIndex(({ id }) => id === chosenId) + 1) % pairs.length];
  return (
    <section aria-label="Pairs">
      <div className={classes.pairs}>
        {pairs.map(({ id, horse, rider }) => {
          const { lowEfforts, highEfforts, sinceBreakMin } = counts(id);
          const passes = ridden(id);
          return (
            <button
              key={id}
              type="button"
              className={classes.pair}
              aria-pressed={id === chosenId}
              data-warned={warnings(id).length > 0 || undefined}
              onClick={() => onChoose(id)}
            >
              <strong>{horse}</strong> {rider}
              <small>
                {riddenWords(passes)} · {lowEfforts + highEfforts} efforts
                {runs ? ` · ${Math.floor(sinceBreakMin)} min` : ''}
              </small>
            </button>
          );
        })}
        {next && pairs.length > 1 && (
          <button type="button" className={classes.key} onClick={() => onChoose(next.id)}>
            Next: {next.horse}
          </button>
        )}
      </div>
      {chosen.length > 0 && (
        <p className={classes.notice} role="status">
          Take care. {chosen.join(' ')}
        </p>
      )}
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
