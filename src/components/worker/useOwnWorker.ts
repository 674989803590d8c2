import { useCallback, useEffect, useRef } from 'react';

type Heard<Said> = {
  /** Hears what is said; where it was the last of it the worker is ended. */
  said: (data: Said) => 'more' | 'last';
  failed: () => void;
};

/** A worker of its own for whatever is asked: asked again, what was under way is dropped, and nothing of it is heard. */
export function useOwnWorker() {
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  /** @param start - makes the worker: bundlers read its address where it is written */
  const ask = <Ask, Said>(start: () => Worker, asked: Ask, { said, failed }: Heard<Said>) => {
    end();
    const own = start();
    worker.current = own;
    own.onmessage = ({ data }: MessageEvent<Said>) => {
      if (worker.current === own && said(data) === 'last') end();
    };
    own.onerror = () => {
      if (worker.current !== own) return;
      failed();
      end();
    };
    own.postMessage(asked);
  };
  return { ask, end };
}
