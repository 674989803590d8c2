import { useSay } from '@/components/Lengths/LengthsProvider';
import classes from './RunLesson.module.css';
import type { RunStage } from '../runStage';

type StageChoiceProps = { stages: readonly RunStage[]; index: number; onStage: (index: number) => void };

/** The stages of the lesson: one is taken with a tap. */
export function StageChoice({ stages, index, onStage }: StageChoiceProps) {
  const say = useSay();
  return (
    <section className={classes.part} aria-label="Stages">
      <h2>Stages</h2>
      <div className={classes.list}>
        {stages.map((stage, at) => (
          <button
            key={stage.id}
            type="button"
            className={classes.key}
            aria-pressed={at === index}
            onClick={() => onStage(at)}
          >
            {at + 1}. {say(stage.name)}
            <small>{say([stage.layoutName, stage.focus, stage.seat].filter(Boolean).join(' · '))}</small>
          </button>
        ))}
      </div>
    </section>
  );
}
