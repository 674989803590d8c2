'use client';

import { useAct } from '@/components/form/useAct';
import type { FormOutcome } from '@/files/formOutcome';
import { Alert, Button } from '@mantine/core';

type ClockNoticeProps = {
  /** What the clock of Roan's machine says, in words. */
  says: string;
  /** What it said before, in words. */
  before: string;
  onTrust: () => Promise<FormOutcome>;
};

/** The clock of Roan's machine went back: what is recorded now would stand under a day that was. */
export function ClockNotice({ says, before, onTrust }: ClockNoticeProps) {
  const { act, busy, problem } = useAct('The server does not answer: try again.');
  const trust = () => act(onTrust);
  return (
    <Alert color="ochre" role="alert" title="The clock of Roan’s machine went back">
      It says {says}, and it has said {before} before. What is recorded now is kept under the day that it says: set the
      clock right, or say that it is.{' '}
      <Button size="compact-sm" variant="default" loading={busy} onClick={trust}>
        It is right now
      </Button>
      {problem && <p>{problem}</p>}
    </Alert>
  );
}
