import { eventAtMs } from './eventAtMs';
import type { RecordEvent } from './recordEvent';

// The instants are the test's own.
test.each([
  [{ type: 'mark', atMs: 1 }, 1],
  [{ type: 'pass', pass: { riddenAtMs: 2 } }, 2],
  [{ type: 'join', join: { atMs: 3 } }, 3],
  [{ type: 'change', change: { atMs: 4 } }, 4],
  [{ type: 'acknowledge', atMs: 5 }, 5],
])('%j was at %d', (event, at) => expect(eventAtMs(event as unknown as RecordEvent)).toBe(at));
