'use client';

import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { copyLessonAction } from '../../actions';

/** The same lesson a week later. */
export function CopyLesson({ lessonId }: { lessonId: string }) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const copy = () =>
    begin(async () => {
      const answer = await copyLessonAction(lessonId).catch(() => null);
      setProblem(answer?.ok ? null : (answer?.problem ?? 'The server does not answer: nothing was copied.'));
      if (answer?.ok) router.push(`/ride/lessons/${answer.lessonId}`);
    });
  return (
    <>
      {problem && <span role="alert">{problem}</span>}
      <Button variant="default" loading={busy} onClick={copy}>
        Again in a week
      </Button>
    </>
  );
}
