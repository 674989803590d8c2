import type { StageGate } from '@/core';
import type { RunStage } from '../runStage';
import classes from './RunLesson.module.css';

type StageHeadProps = {
  lessonName: string;
  stages: readonly RunStage[];
  index: number;
  onStage: (index: number) => void;
  /** Whether what is asked has a rein. */
  onReins: boolean;
  /** Whether the chosen pair has earned the next stage; null where nothing is marked. */
  gate: StageGate | null;
};

/** The stage, the one thing to think of, and whether the next one is offered and why. */
export function StageHead({ lessonName, stages, index, onStage, onReins, gate }: StageHeadProps) {
  const stage = stages[index]!;
  const next = stages[index + 1];
  return (
    <header className={classes.head}>
      <p>{lessonName}</p>
      <div className={classes.stageLine}>
        <button
          type="button"
          className={classes.small}
          aria-label="The stage before"
          disabled={index === 0}
          onClick={() => onStage(index - 1)}
        >
          ←
        </button>
        <h1>
          {index + 1}. {stage.name}
        </h1>
        <button
          type="button"
          className={classes.small}
          aria-label="The next stage"
          disabled={!next}
          onClick={() => onStage(index + 1)}
        >
          →
        </button>
      </div>
      <p>
        {[
          stage.layoutName,
          stage.focus,
          stage.seat,
          stage.eachRein > 0 ? `${stage.eachRein} times${onReins ? ' on each rein' : ''}` : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {gate && (
        <p className={classes.gate} data-ready={gate.ready || undefined} role="status">
          {gate.ready && next ? (
            <button type="button" className={classes.key} onClick={() => onStage(index + 1)}>
              On to “{next.name}”
            </button>
          ) : null}{' '}
          {gate.reason}
        </p>
      )}
    </header>
  );
}
