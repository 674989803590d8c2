import type { RideWay } from '../question/waysToRide';
import type { RecordEvent } from './recordEvent';

type Thing = 'pass' | 'mark' | 'break' | 'ask';

/** For tests: something taken back. */
export function takenBack(id: string, on: Thing, of: string, atMs: number): RecordEvent {
  const change = { id, on, of, what: 'counts', was: true, to: false, from: [], atMs, by: null, undoes: of } as const;
  return { type: 'change', id, lessonId: null, change };
}

/** For tests: the way of a pass put right. */
export function steered(id: string, passId: string, was: RideWay, to: RideWay, atMs: number): RecordEvent {
  const own = { id, on: 'pass', what: 'way', of: passId, was, to, from: [], atMs, by: null, undoes: null } as const;
  return { type: 'change', id, lessonId: null, change: own };
}
