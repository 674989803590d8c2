import { useState } from 'react';
import { useOwnWorker } from './useOwnWorker';

/** What a worker was asked, and how far it is. */
export type Answer<Said> =
  { kind: 'none' } | { kind: 'running'; said: Said | null } | { kind: 'done'; said: Said } | { kind: 'failed' };

/** Whether something said is the last of it: what says nothing of that is said once. */
const isLast = (said: unknown) => !(typeof said === 'object' && said !== null && 'done' in said && said.done === false);

/**
 * Asks a worker of its own, and holds its last answer; asked again, what was under way is dropped.
 * @param start - makes the worker: bundlers read its address where it is written
 */
export function useAnswer<Ask, Said>(start: () => Worker) {
  const [answer, setAnswer] = useState<Answer<Said>>({ kind: 'none' });
  const worker = useOwnWorker();
  const ask = (asked: Ask) => {
    setAnswer({ kind: 'running', said: null });
    worker.ask<Ask, Said>(start, asked, {
      said: data => {
        const last = isLast(data);
        setAnswer({ kind: last ? 'done' : 'running', said: data });
        return last ? 'last' : 'more';
      },
      failed: () => setAnswer({ kind: 'failed' }),
    });
  };
  /** What was said so far stays; where nothing was, nothing was asked. */
  const stop = () => {
    worker.end();
    setAnswer(before =>
      before.kind === 'running' && before.said !== null ? { kind: 'done', said: before.said } : { kind: 'none' },
    );
  };
  return { answer, ask, stop };
}
