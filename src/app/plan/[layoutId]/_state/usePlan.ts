import type { PlannedRow } from '@/files/planDocument';
import { useCallback, useMemo, useState } from 'react';
import { changeRow, type RowChange, type RowContext } from './changeRow';
import { commit, redo, startHistory, undo } from './history';
import type { Edited } from './autosaver';

/** The layout being edited, with undo and redo over everything, its name included. */
export function usePlan(first: Edited, context: RowContext) {
  const [history, setHistory] = useState(() => startHistory(first));
  const present = history.present;
  const row = present.plan.rows[0]!;

  const put = useCallback((next: Edited) => setHistory(current => commit(current, next)), []);
  /** Tries a change without keeping it: what a drag shows on its way. */
  const attempt = useCallback((change: RowChange) => changeRow(row, change, context), [row, context]);
  /** Makes a change, one undo step; returns why not if it cannot be. */
  const change = useCallback(
    (wanted: RowChange): string | null => {
      const result = attempt(wanted);
      if (!result.ok) return result.reason;
      put({ ...present, plan: { rows: [result.row] } });
      return null;
    },
    [attempt, present, put],
  );
  const putRow = useCallback((next: PlannedRow) => put({ ...present, plan: { rows: [next] } }), [present, put]);

  return useMemo(
    () => ({
      present,
      row,
      attempt,
      change,
      putRow,
      put,
      undo: () => setHistory(undo),
      redo: () => setHistory(redo),
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
    }),
    [present, row, attempt, change, putRow, put, history],
  );
}

export type PlanControls = ReturnType<typeof usePlan>;
