import { assertNever } from '../assertNever';
import type { RecordEvent } from './recordEvent';

/** The instant at which what an event tells happened or was said, milliseconds by the clock of its device. */
export function eventAtMs(event: RecordEvent): number {
  switch (event.type) {
    case 'pass':
      return event.pass.riddenAtMs;
    case 'join':
      return event.join.atMs;
    case 'change':
      return event.change.atMs;
    case 'mark':
    case 'break':
    case 'ask':
    case 'acknowledge':
      return event.atMs;
    default:
      return assertNever(event);
  }
}
