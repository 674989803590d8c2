import { useCallback, useEffect, useRef, useState } from 'react';

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
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const ask = (asked: Ask) => {
    end();
    const own = start();
    worker.current = own;
    setAnswer({ kind: 'running', said: null });
    own.onmessage = ({ data }: MessageEvent<Said>) => {
      if (worker.current !== own) return;
      if (!isLast(data)) return setAnswer({ kind: 'running', said: data });
      setAnswer({ kind: 'done', said: data });
      end();
    };
    own.onerror = () => {
      if (worker.current !== own) return;
      setAnswer({ kind: 'failed' });
      end();
    };
    own.postMessage(asked);
  };
  /** What was said so far stays; where nothing was, nothing was asked. */
  const stop = () => {
    end();
    setAnswer(before =>
      before.kind === 'running' && before.said !== null ? { kind: 'done', said: before.said } : { kind: 'none' },
    );
  };
  return { answer, ask, stop };
}
