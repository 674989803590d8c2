import { piecesOf, type Fit } from '@/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { PlanControls } from '../_state/usePlanEditor';
import type { Shown } from '../_state/shown';
import type { AskFit, FitSaid } from './fitTold';

/** A fit of what was shown: on its way, come to its end, or stopped with its best so far. */
export type FitState =
  | { kind: 'none' }
  | { kind: 'running'; of: Shown; share: number; best: Fit | null }
  | { kind: 'done'; of: Shown; fit: Fit; stopped: boolean }
  | { kind: 'failed' };

export type FitControls = {
  state: FitState;
  begin: (horseIds: string[]) => void;
  stop: () => void;
  forget: () => void;
};

const NONE: FitState = { kind: 'none' };

/** Fits what is shown, in a worker. What is changed meanwhile ends it: it was for what stood before. */
export function useFit({ shown, present, limits }: Pick<PlanControls, 'shown' | 'present' | 'limits'>): FitControls {
  const [state, setState] = useState<FitState>(NONE);
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const begin = (horseIds: string[]) => {
    end();
    const { layout, ownerOf } = shown.resolved;
    const pieces = piecesOf(layout, ownerOf, present.plan.lockedIds);
    const own = new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' });
    worker.current = own;
    setState({ kind: 'running', of: shown, share: 0, best: null });
    own.onmessage = ({ data }: MessageEvent<FitSaid>) => {
      if (worker.current !== own) return;
      if (data.kind === 'step') return setState({ kind: 'running', of: shown, share: data.share, best: data.best });
      setState({ kind: 'done', of: shown, fit: data.fit, stopped: false });
      end();
    };
    own.onerror = () => {
      if (worker.current !== own) return;
      setState({ kind: 'failed' });
      end();
    };
    own.postMessage({ layout, pieces, horseIds, limits } satisfies AskFit);
  };
  const stop = () => {
    end();
    setState(before =>
      before.kind === 'running' && before.best
        ? { kind: 'done', of: before.of, fit: before.best, stopped: true }
        : NONE,
    );
  };
  const forget = () => {
    end();
    setState(NONE);
  };
  const isOld = (state.kind === 'running' || state.kind === 'done') && state.of !== shown;
  return { state: isOld ? NONE : state, begin, stop, forget };
}
