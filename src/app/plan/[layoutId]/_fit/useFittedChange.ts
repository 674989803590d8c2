import { reckonLayout } from '@/core';
import { useMemo } from 'react';
import type { PanelPart } from '../_components/ReadingPanel';
import type { OfferedChange } from '../_state/offeredMend';
import type { FitState } from './useFit';

/** What a fit would do, to be drawn beside what stands while the panel speaks of it. */
export function useFittedChange(state: FitState, part: PanelPart): OfferedChange | null {
  const shown = part === 'fit' && state.kind === 'done' && state.fit.moved.length > 0 ? state : null;
  return useMemo(
    () => shown && { of: shown.of, after: shown.fit.layout, tracks: reckonLayout(shown.fit.layout) },
    [shown],
  );
}
