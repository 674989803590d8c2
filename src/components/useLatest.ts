import { useEffect, useRef, type RefObject } from 'react';

/** What handlers need of the last time, without drawing anew what did not change. */
export function useLatest<Value>(value: Value): RefObject<Value> {
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  return latest;
}
