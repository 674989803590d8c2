'use client';

import { useSaveId } from '@/components/sync/useSaveId';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { planNextAction } from '../../../endActions';

/** The lesson after this one, planned from what was earned: with one tap it is there, to be looked at. */
export function PlanNext({ lessonId }: { lessonId: string }) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const nameSave = useSaveId();
  const plan = () =>
    begin(async () => {
      const answer = await planNextAction(lessonId, nameSave(lessonId)).catch(() => null);
      setProblem(answer?.ok ? null : (answer?.problem ?? 'The server does not answer: nothing was planned.'));
      if (answer?.ok) router.push(`/ride/lessons/${answer.lessonId}`);
    });
  return (
    <>
      {problem && <span role="alert">{problem}</span>}
      <Button mih={44} loading={busy} onClick={plan}>
        Plan the next lesson
      </Button>
    </>
  );
}
