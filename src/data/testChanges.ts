import { amend, type RecordEvent, type RideWay } from '@/core';

const said = (id: string, atMs: number) => ({ newId: () => id, atMs, by: null });

/** For tests: something taken back. */
export function takenBack(id: string, on: 'pass' | 'mark' | 'break' | 'ask', of: string, atMs: number): RecordEvent {
  return amend({ changes: [] }, null, { on, of, what: 'counts', was: true, to: false }, said(id, atMs));
}

/** For tests: the way of a pass put right. */
export function steered(id: string, of: string, was: RideWay, to: RideWay, atMs: number): RecordEvent {
  return amend({ changes: [] }, null, { on: 'pass', of, what: 'way', was, to }, said(id, atMs));
}
