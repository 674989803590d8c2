'use client';

import { useAct } from '@/components/form/useAct';
import { whoSays } from '@/components/who/whoSays';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { archiveLessonAction } from '../../actions';

/** Archives a lesson, or restores it; its record stays as it is. */
export function ArchiveLesson({ lessonId, archived }: { lessonId: string; archived: boolean }) {
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: the lesson is as it was.');
  const archive = () =>
    act(
      () => archiveLessonAction(lessonId, !archived, whoSays()),
      () => router.refresh(),
    );
  return (
    <>
      {problem && <span role="alert">{problem}</span>}
      <Button variant="default" mih={44} loading={busy} onClick={archive}>
        {archived ? 'Restore it' : 'Archive it'}
      </Button>
    </>
  );
}
