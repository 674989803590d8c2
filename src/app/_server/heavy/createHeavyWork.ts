import type { Asked, Told } from './heavy.worker';

/** What this needs of a worker thread. */
export type Hand = {
  postMessage: (asked: Asked) => void;
  on: ((event: 'message', hear: (told: Told) => void) => void) &
    ((event: 'error', hear: (error: Error) => void) => void);
  terminate: () => unknown;
  unref: () => void;
};

/** A worker, and who hears what it says now. */
type Heard = Hand & { hear: ((said: Told | Error) => void) | null };

/** Who asked: whose signal says that nobody waits any more, and by which name it asks for its place in the line. */
export type Asker = { signal?: AbortSignal; name?: string | null };

type Waiting = Asker & { asked: Asked; done: (told: Told) => void; failed: (error: Error) => void };

/** More is asked for than can be done soon. */
export class TooMuchAsked extends Error {}
/** Nobody waits for it any more. */
export class GivenUp extends Error {}

/**
 * Heavy work, beside the thread that takes taps: so many tasks at a time, the others wait in a line of a limited length.
 * @param start - makes a worker; one that fails, or whose task is given up, is ended, and another made when it is needed
 */
export function createHeavyWork(start: () => Hand, { hands, mostWaiting }: { hands: number; mostWaiting: number }) {
  const idle: Heard[] = [];
  const line: Waiting[] = [];
  let busy = 0;

  const next = () => {
    while (busy < hands) {
      const one = line.shift();
      if (!one) return;
      if (one.signal?.aborted) one.failed(new GivenUp());
      else run(one);
    }
  };
  const run = ({ asked, signal, done, failed }: Waiting) => {
    busy += 1;
    const hand = idle.pop() ?? startHand();
    let isOver = false;
    const over = (then: () => void, isSound: boolean) => {
      if (isOver) return;
      isOver = true;
      busy -= 1;
      signal?.removeEventListener('abort', giveUp);
      hand.hear = null;
      if (isSound) idle.push(hand);
      else void hand.terminate();
      then();
      next();
    };
    const giveUp = () => over(() => failed(new GivenUp()), false);
    signal?.addEventListener('abort', giveUp);
    hand.hear = said => (said instanceof Error ? over(() => failed(said), false) : over(() => done(said), true));
    hand.postMessage(asked);
  };
  const startHand = (): Heard => {
    const hand: Heard = Object.assign(start(), { hear: null });
    hand.on('message', told => hand.hear?.(told));
    hand.on('error', error => {
      // One that dies while it waits is not to be asked: its answer would never come.
      if (idle.includes(hand)) idle.splice(idle.indexOf(hand), 1);
      hand.hear?.(error);
    });
    // A server that ends waits for none of them.
    hand.unref();
    return hand;
  };
  /** Has a task done. @throws {TooMuchAsked} where the line is full; {GivenUp} where the signal says that nobody waits */
  const work = (asked: Asked, { signal, name }: Asker = {}): Promise<Told> =>
    new Promise((done, failed) => {
      if (line.length >= mostWaiting) return failed(new TooMuchAsked());
      line.push({ signal, name, asked, done, failed });
      next();
    });
  /** How many are done before what was asked for by a name is begun; none where it is begun, or nobody asked by that name. */
  const before = (name: string): number => {
    const place = line.findIndex(one => one.name === name);
    return place < 0 ? 0 : place + busy;
  };
  return Object.assign(work, { before });
}
