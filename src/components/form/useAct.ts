import type { FormOutcome } from '@/files/formOutcome';
import { useState, useTransition } from 'react';

/**
 * One key that asks the server for something: whether it is on its way, and what was wrong with it.
 * @param noAnswer - what is said where nothing came back: what is safe, and that it can be tried again
 */
export function useAct(noAnswer: string) {
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  /** Sends it; `then` is done with what came back, where it was done. */
  const act = <Extra extends object>(
    send: () => Promise<FormOutcome<Extra>>,
    then: (done: { ok: true } & Extra) => void = () => undefined,
  ) =>
    begin(async () => {
      const outcome = await send().catch(() => null);
      // What is wrong with one field stands for all where the form has none to say it at.
      setProblem(outcome?.ok ? null : (outcome?.problem ?? Object.values(outcome?.fields ?? {})[0] ?? noAnswer));
      if (outcome?.ok) then(outcome);
    });
  return { act, busy, problem };
}
