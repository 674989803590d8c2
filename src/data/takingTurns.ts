import { AsyncLocalStorage } from 'node:async_hooks';
import type { Client } from '@libsql/client';
import { oneForAll } from './oneForAll';
import { overlaid } from './overlaid';

/** So long a page may read on before others have their turn, milliseconds. */
const TURN_MS = 8;

const first = oneForAll('who is answered first', () => new AsyncLocalStorage<true>());

/**
 * Runs something short that a thumb waits for: it asks all its questions in one turn. With a turn for each it would wait, question by
 * question, for a slice of every page that is being made.
 */
export const inOneTurn = <Result>(work: () => Promise<Result>): Promise<Result> => first.run(true, work);

/**
 * The client of a file that lets others have their turn between its questions. It answers at once, so that whoever asks a hundred things
 * one after another would hold up everybody until the last: a tap waits for one of them.
 */
export function takingTurns(client: Client): Client {
  let sinceMs = performance.now();
  const turn = async () => {
    if (first.getStore() || performance.now() - sinceMs < TURN_MS) return;
    await new Promise(resolve => setImmediate(resolve));
    sinceMs = performance.now();
  };
  const execute = async (...asked: unknown[]) => {
    await turn();
    return (client.execute as (...given: unknown[]) => ReturnType<Client['execute']>)(...asked);
  };
  return overlaid(client, { execute: execute as Client['execute'] });
}
