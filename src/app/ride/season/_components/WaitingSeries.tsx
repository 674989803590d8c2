'use client';

import { useAct } from '@/components/form/useAct';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { bringGoalWeeksAction } from '../actions';
import type { Waiting } from '../waitingSeries';

/** Series towards a goal that wait: with one tap their lessons ask what comes next. */
export function WaitingSeries({ series }: { series: readonly Waiting[] }) {
  const say = useSay();
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: the lessons are as they were.');
  if (series.length === 0) return null;
  const bring = (goalId: string) =>
    act(
      () => bringGoalWeeksAction(goalId),
      () => router.refresh(),
    );
  return (
    <section aria-label="Series that wait">
      {problem && <p role="alert">{problem}</p>}
      <ul style={{ listStyle: 'none', padding: 0 }}>
        {series.map(({ goalId, goal, pair, words }) => (
          <li key={goalId}>
            <strong>{pair}</strong>, “{goal}”: {say(words)}.{' '}
            <Button mih={44} size="compact-md" variant="default" disabled={busy} onClick={() => bring(goalId)}>
              Plan it so
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
