import { useSay } from '@/components/Lengths/LengthsProvider';
import { questionWords } from '@/core';
import classes from '@/app/ride/_components/pad/Pad.module.css';
import { ReinKey } from '@/app/ride/_components/pad/ReinKey';
import type { LessonPadProps } from './runProps';

type StageLineProps = Pick<LessonPadProps, 'run' | 'name'> & {
  onOpen: () => void;
  /** Reads the course aloud size; null where there is none. */
  onCall: (() => void) | null;
};

/** What is asked, with which counts, and on which rein, in one line: a tap opens what can be changed of it. */
export function StageLine({ run, name, onOpen, onCall }: StageLineProps) {
  const say = useSay();
  const { stage, index, ride, question, way } = run;
  const counts = ride?.track?.legs.flatMap(({ asked }) => (asked === null ? [] : [asked])) ?? [];
  const asked = question && stage.layout ? questionWords(stage.layout, question) : stage.focus;
  return (
    <header className={classes.stage}>
      <button type="button" className={classes.stageKey} aria-haspopup="dialog" onClick={onOpen}>
        <h1>
          <span className={classes.hidden}>{name}: </span>
          {index + 1}. {say(stage.name)}
        </h1>
        <small>
          {[asked === stage.name ? '' : say(asked), counts.length > 0 ? `${counts.join(', ')} asked` : '']
            .filter(Boolean)
            .join(' · ') || 'tap to change'}
        </small>
      </button>
      {ride && <ReinKey ways={ride.ways} way={way} ready={run.lesson.ready} onSteer={run.steer} />}
      {onCall && (
        <button type="button" className={classes.key} onClick={onCall}>
          Call it
        </button>
      )}
    </header>
  );
}
