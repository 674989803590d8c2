'use client';

import { whoSays } from '@/components/who/whoSays';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { archiveLessonAction } from '../../actions';

/** Archives a lesson, or restores it; its record stays as it is. */
export function ArchiveLesson({ lessonId, archived }: { lessonId: string; archived: boolean }) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const archive = () =>
    begin(async () => {
      const answer = await archiveLessonAction(lessonId, !archived, whoSays()).catch(() => null);
      setProblem(answer?.ok ? null : (answer?.problem ?? 'The server does not answer: the lesson is as it was.'));
      if (answer?.ok) router.refresh();
    });
  return (
    <>
      {problem && <span role="alert">{problem}</span>}
      <Button variant="default" mih={44} loading={busy} onClick={archive}>
        {archived ? 'Restore it' : 'Archive it'}
      </Button>
    </>
  );
}
