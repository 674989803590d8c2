import type { Sync } from './createSync';
import { NO_ANSWER } from './post';

/** What came of something that was kept and sent: in the yard, kept on this device until it can be, in this page alone, or refused. */
export type Kept =
  | { kind: 'sent' }
  | { kind: 'kept'; problem: string }
  | { kind: 'in-page'; problem: string }
  | { kind: 'refused'; problem: string };

/**
 * Keeps events and waits a little for the server: what does not get through is sent later, from any page. What is refused is not
 * kept here: whoever asked has it still.
 * @param mostMs - so long is waited
 */
export function keepAndSend(sync: Sync, box: string, events: readonly unknown[], mostMs: number): Promise<Kept> {
  const keys = new Set(sync.add(box, events));
  return new Promise(resolve => {
    const end = (kept: Kept) => {
      stop();
      clearTimeout(timer);
      resolve(kept);
    };
    const look = (isLate: boolean) => {
      const { rows, problem } = sync.state();
      const own = (rows ?? []).filter(({ key }) => keys.has(key));
      if (own.length === 0) return end({ kind: 'sent' });
      const refused = own.find(row => row.refused !== null)?.refused;
      if (refused) {
        end({ kind: 'refused', problem: refused });
        return own.forEach(({ key }) => void sync.drop(key));
      }
      if (own.some(({ keptIn }) => keptIn === 'writing') || (problem === null && !isLate)) return;
      const inPage = own.some(({ keptIn }) => keptIn === 'page');
      end({ kind: inPage ? 'in-page' : 'kept', problem: problem ?? NO_ANSWER });
    };
    const stop = sync.subscribe(() => look(false));
    const timer = setTimeout(() => look(true), mostMs);
    look(false);
  });
}
