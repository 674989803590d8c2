import { useState } from 'react';
import type { EditorGround } from './shown';

/**
 * The same ground as long as nothing in it differs. The server hands a new one at every refresh, and what hangs on it (the
 * part of the sand that is shown, every reckoned leg) would begin anew.
 */
export function useSameGround(next: EditorGround): EditorGround {
  const [state, setState] = useState({ seen: next, kept: next });
  if (next === state.seen) return state.kept;
  const kept = JSON.stringify(next) === JSON.stringify(state.kept) ? state.kept : next;
  setState({ seen: next, kept });
  return kept;
}
