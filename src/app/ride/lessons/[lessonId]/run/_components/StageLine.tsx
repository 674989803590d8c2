import { hasReins, questionWords } from '@/core';
import classes from '@/app/ride/_components/pad/Pad.module.css';
import type { LessonPadProps } from './LessonPad';

type StageLineProps = Pick<LessonPadProps, 'run' | 'name'> & {
  onOpen: () => void;
  /** Reads the course aloud size; null where there is none. */
  onCall: (() => void) | null;
};

const ARROWS = { left: '↶', right: '↷' } as const;

/** What is asked, on which rein and with which counts, in one line: a tap opens what can be changed of it. */
export function StageLine({ run, name, onOpen, onCall }: StageLineProps) {
  const { stage, index, ride, question, way } = run;
  const counts = ride?.track?.legs.flatMap(({ asked }) => (asked === null ? [] : [asked])) ?? [];
  const rein =
    ride && hasReins(ride.ways) && way.rein
      ? `${ARROWS[way.rein]} ${way.rein} rein`
      : way.direction === 'other-way'
        ? 'the other way'
        : '';
  const asked = question && stage.layout ? questionWords(stage.layout, question) : stage.focus;
  return (
    <header className={classes.stage}>
      <button type="button" className={classes.stageKey} aria-haspopup="dialog" onClick={onOpen}>
        <h1>
          <span className={classes.hidden}>{name}: </span>
          {index + 1}. {stage.name}
        </h1>
        <small>
          {[rein, asked === stage.name ? '' : asked, counts.length > 0 ? `${counts.join(', ')} asked` : '']
            .filter(Boolean)
            .join(' · ') || 'tap to change'}
        </small>
      </button>
      {onCall && (
        <button type="button" className={classes.key} onClick={onCall}>
          Call it
        </button>
      )}
    </header>
  );
}
