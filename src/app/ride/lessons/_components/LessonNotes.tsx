import { Problem } from '@/components/form/Problem';
import { Alert, Button } from '@mantine/core';
import classes from './LessonEditor.module.css';
import type { KeptTyped } from '../_state/useTypedLesson';

/** What another lesson wants at the same time. */
export type Clash = { what: string; name: string; lessonId: string; lesson: string };

type LessonNotesProps = {
  clashes: readonly Clash[];
  kept: KeptTyped;
  /** What was said of what was saved. */
  said: readonly string[];
  problem: string | null;
};

/** Beside the key that saves: what else the lesson touches, what was brought back, and what was wrong. */
export function LessonNotes({ clashes, kept, said, problem }: LessonNotesProps) {
  return (
    <>
      {clashes.map(({ what, name: wanted, lesson, lessonId: other }) => (
        <p key={`${what} ${wanted} ${other}`} role="status" className={classes.clash}>
          <strong>At the same time:</strong> the {what} {wanted} is in “{lesson}” too.
        </p>
      ))}
      {kept.isBack && (
        <Alert color="slate" role="status">
          Brought back what was typed here and not saved.{' '}
          <Button size="compact-sm" variant="default" onClick={kept.startAgain}>
            Start again from what is saved
          </Button>
        </Alert>
      )}
      {said.map(sentence => (
        <p key={sentence} role="status" className={classes.clash}>
          {sentence}
        </p>
      ))}
      <Problem>{problem}</Problem>
    </>
  );
}
