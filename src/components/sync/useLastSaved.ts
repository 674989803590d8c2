import type { FormOutcome } from '@/files/formOutcome';
import { useRef, useState } from 'react';

/**
 * Saves a thing as often as it changes: one save after another, and of those that wait only the last, so that what was made last is
 * what is kept.
 * @param noAnswer - what is said where nothing came back
 */
export function useLastSaved<Value>(send: (value: Value) => Promise<FormOutcome>, noAnswer: string) {
  const waiting = useRef<{ value: Value } | null>(null);
  const busy = useRef(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [state, setState] = useState<'as it was' | 'saving' | 'saved'>('as it was');
  const saveAll = async () => {
    busy.current = true;
    setState('saving');
    let isKept = true;
    for (let next = waiting.current; next !== null; next = waiting.current) {
      waiting.current = null;
      const outcome = await send(next.value).catch(() => null);
      isKept = outcome?.ok === true;
      setProblem(outcome?.ok ? null : (outcome?.problem ?? noAnswer));
    }
    busy.current = false;
    setState(isKept ? 'saved' : 'as it was');
  };
  const save = (value: Value) => {
    waiting.current = { value };
    if (!busy.current) void saveAll();
  };
  return { save, state, problem };
}
