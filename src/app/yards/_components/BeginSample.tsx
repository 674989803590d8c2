'use client';

import { Problem } from '@/components/form/Problem';
import { useAct } from '@/components/form/useAct';
import { anewWithout } from '@/components/offline/forgetKept';
import { Button } from '@mantine/core';
import { beginSampleAction } from '../sampleActions';

/** Leads to a sample yard beside this one, which is thrown away again in two taps. */
export function BeginSample() {
  const { act, busy, problem } = useAct('The server does not answer: no sample was made. Try again.');
  return (
    <>
      <p>
        A yard with horses, layouts and a season of lessons, to try everything with. It lies beside yours, and is thrown
        away when you like.
      </p>
      <Button variant="default" loading={busy} onClick={() => act(beginSampleAction, () => void anewWithout('/'))}>
        Look round a sample yard
      </Button>
      <Problem>{problem}</Problem>
    </>
  );
}
