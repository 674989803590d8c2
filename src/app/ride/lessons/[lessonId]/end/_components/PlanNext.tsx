'use client';

import { useAct } from '@/components/form/useAct';
import { useSaveId } from '@/components/sync/useSaveId';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { planNextAction } from '../../../endActions';

/** The lesson after this one, planned from what was earned: with one tap it is there, to be looked at. */
export function PlanNext({ lessonId }: { lessonId: string }) {
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: nothing was planned.');
  const nameSave = useSaveId();
  const plan = () =>
    act(
      () => planNextAction(lessonId, nameSave(lessonId)),
      answer => router.push(`/ride/lessons/${answer.lessonId}`),
    );
  return (
    <>
      {problem && <span role="alert">{problem}</span>}
      <Button mih={44} loading={busy} onClick={plan}>
        Plan the next lesson
      </Button>
    </>
  );
}
