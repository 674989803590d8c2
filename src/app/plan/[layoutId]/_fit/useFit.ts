import { piecesOf, type Fit } from '@/core';
import { useOwnWorker } from '@/components/worker/useOwnWorker';
import { useState } from 'react';
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
  const worker = useOwnWorker();
  const begin = (horseIds: string[]) => {
    const { layout, ownerOf } = shown.resolved;
    const pieces = piecesOf(layout, ownerOf, present.plan.lockedIds);
    setState({ kind: 'running', of: shown, share: 0, best: null });
    const start = () => new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' });
    worker.ask<AskFit, FitSaid>(
      start,
      { layout, pieces, horseIds, limits },
      {
        said: data => {
          if (data.kind === 'step') {
            setState({ kind: 'running', of: shown, share: data.share, best: data.best });
            return 'more';
          }
          setState({ kind: 'done', of: shown, fit: data.fit, stopped: false });
          return 'last';
        },
        failed: () => setState({ kind: 'failed' }),
      },
    );
  };
  const stop = () => {
    worker.end();
    setState(before =>
      before.kind === 'running' && before.best
        ? { kind: 'done', of: before.of, fit: before.best, stopped: true }
        : NONE,
    );
  };
  const forget = () => {
    worker.end();
    setState(NONE);
  };
  const isOld = (state.kind === 'running' || state.kind === 'done') && state.of !== shown;
  return { state: isOld ? NONE : state, begin, stop, forget };
}
