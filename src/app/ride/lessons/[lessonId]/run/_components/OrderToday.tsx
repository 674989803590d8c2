import classes from './RunLesson.module.css';
import type { RunPair } from '../runStage';

type OrderTodayProps = { pairs: readonly RunPair[]; ready: boolean; onOrder: (ids: readonly string[]) => void };

/** In which order the pairs ride: each goes up one with a tap. */
export function OrderToday({ pairs, ready, onOrder }: OrderTodayProps) {
  if (pairs.length < 2) return null;
  const up = (index: number) => {
    const ids = pairs.map(({ id }) => id);
    [ids[index - 1], ids[index]] = [ids[index]!, ids[index - 1]!];
    onOrder(ids);
  };
  return (
    <section className={classes.part} aria-label="Order of pairs">
      <h2>Order of pairs</h2>
      {pairs.map(({ id, horse, rider }, index) => (
        <div key={id} className={classes.stepper}>
          <span>
            {index + 1}. {horse} <small>{rider}</small>
          </span>
          <button
            type="button"
            className={classes.small}
            aria-label={`${horse} rides earlier`}
            disabled={!ready || index === 0}
            onClick={() => up(index)}
          >
            ↑
          </button>
        </div>
      ))}
    </section>
  );
}
