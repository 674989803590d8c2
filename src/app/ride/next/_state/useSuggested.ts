'use client';

import { useAnswer } from '@/components/worker/useAnswer';
import type { SuggestMaterial } from '@/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { ShownFor } from './suggest.worker';

/** What suggestions are wanted for. */
export type Wanted = { pairIds: readonly string[]; arenaId: string; startsAt: string; minutes: number; each: boolean };

const startWorker = () => new Worker(new URL('./suggest.worker.ts', import.meta.url));

export type Suggested =
  { kind: 'waiting' } | { kind: 'failed'; problem: string } | { kind: 'done'; of: readonly ShownFor[] };

/** Fetches what suggestions are made from, and has them made in a worker; asked again, what was under way is dropped. */
export function useSuggested(wanted: Wanted | null): { suggested: Suggested | null; again: () => void } {
  const { answer, ask } = useAnswer<SuggestMaterial, ShownFor[]>(startWorker);
  const [failed, setFailed] = useState<{ key: string; problem: string } | null>(null);
  const [times, setTimes] = useState(0);
  const key = wanted && JSON.stringify([wanted, times]);
  const asked = useRef(ask);
  useEffect(() => {
    asked.current = ask;
  });
  const [made, setMade] = useState<string | null>(null);
  useEffect(() => {
    if (wanted === null || key === null) return;
    let isWanted = true;
    void material(wanted).then(found => {
      if (!isWanted) return;
      if ('problem' in found) return setFailed({ key, problem: found.problem });
      setMade(key);
      asked.current(found.material);
    });
    return () => {
      isWanted = false;
    };
    // What is wanted is told by its key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const again = useCallback(() => setTimes(before => before + 1), []);
  return { suggested: key === null ? null : told(), again };

  function told(): Suggested {
    if (failed?.key === key) return { kind: 'failed', problem: failed.problem };
    if (made === key && answer.kind === 'failed')
      return { kind: 'failed', problem: 'They could not be reckoned here.' };
    return made === key && answer.kind === 'done' ? { kind: 'done', of: answer.said } : { kind: 'waiting' };
  }
}

async function material(wanted: Wanted): Promise<{ material: SuggestMaterial } | { problem: string }> {
  const { pairIds, arenaId, startsAt, minutes, each } = wanted;
  const query = new URLSearchParams({ pairs: pairIds.join(), arena: arenaId, at: startsAt, minutes: String(minutes) });
  if (each) query.set('each', '1');
  try {
    const answer = await fetch(`/api/next?${query}`);
    const said = (await answer.json()) as SuggestMaterial & { problem?: string };
    return answer.ok ? { material: said } : { problem: said.problem ?? 'The server cannot say.' };
  } catch {
    return { problem: 'The server does not answer: nothing can be suggested without it.' };
  }
}
