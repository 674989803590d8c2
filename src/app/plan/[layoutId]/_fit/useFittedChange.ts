import { reckonLayout } from '@/core';
import { useEffect } from 'react';
import type { OfferedChange } from '../_state/offeredMend';
import type { FitState } from './useFit';

/** Tells what a fit would do, to be drawn beside what stands for as long as the panel speaks of it. */
export function useFittedChange(state: FitState, onFitted: (change: OfferedChange | null) => void): void {
  useEffect(() => {
    if (state.kind !== 'done' || state.fit.moved.length === 0) return;
    const { layout } = state.fit;
    onFitted({ of: state.of, after: layout, tracks: reckonLayout(layout) });
    return () => onFitted(null);
  }, [state, onFitted]);
}
