/** What was, is and was undone. Commits are whole: a drag commits once, on release. */
export type History<State> = { past: State[]; present: State; future: State[] };

export function startHistory<State>(present: State): History<State> {
  return { past: [], present, future: [] };
}

/** A new present; what was undone before it is gone. */
export function commit<State>(history: History<State>, next: State): History<State> {
  if (next === history.present) return history;
  return { past: [...history.past, history.present], present: next, future: [] };
}

/** One step back, or the same history if there is none. */
export function undo<State>(history: History<State>): History<State> {
  const previous = history.past[history.past.length - 1];
  if (previous === undefined) return history;
  return { past: history.past.slice(0, -1), present: previous, future: [history.present, ...history.future] };
}

/** One step forward again, or the same history if there is none. */
export function redo<State>(history: History<State>): History<State> {
  const [next, ...future] = history.future;
  if (next === undefined) return history;
  return { past: [...history.past, history.present], present: next, future };
}
