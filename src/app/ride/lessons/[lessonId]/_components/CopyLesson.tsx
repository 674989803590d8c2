'use client';

import { useAct } from '@/components/form/useAct';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { copyLessonAction } from '../../actions';

/** The same lesson a week later. */
export function CopyLesson({ lessonId }: { lessonId: string }) {
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: nothing was copied.');
  const copy = () =>
    act(
      () => copyLessonAction(lessonId),
      answer => router.push(`/ride/lessons/${answer.lessonId}`),
    );
  return (
    <>
      {problem && <span role="alert">{problem}</span>}
      <Button variant="default" loading={busy} onClick={copy}>
        Again in a week
      </Button>
    </>
  );
}
