'use client';

import { Alert, Switch } from '@mantine/core';
import { useState } from 'react';
import { tellOfficeAction } from '../actions';

/** Whether this yard's sums are told to the office of the other yards. */
export function TellsOffice({ tells: now }: { tells: boolean }) {
  const [tells, setTells] = useState(now);
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (to: boolean) => {
    setTells(to);
    const outcome = await tellOfficeAction(to).catch(() => null);
    setProblem(outcome?.ok ? null : (outcome?.problem ?? 'The server did not answer: nothing was changed.'));
    if (!outcome?.ok) setTells(!to);
  };
  return (
    <>
      <Switch
        checked={tells}
        onChange={event => void change(event.currentTarget.checked)}
        label="Tell how many lessons, pairs, horses and passes there were in a month"
        description="Never names, and nothing of how anybody rode. Whoever has the role “Office” in a yard here reads it."
      />
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
        </Alert>
      )}
    </>
  );
}
