import type { RecordEvent } from '@/core';
import fc from 'fast-check';
import { createOutbox, type Delivery } from './outbox';

const event = (id: string): RecordEvent => ({ type: 'acknowledge', id, lessonId: 'l', atMs: 0 });

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** A server that takes, loses the request, or takes it and loses the answer, as the test says. */
function unreliable(outcomes: ('takes' | 'loses-request' | 'loses-answer')[]) {
  const taken = new Map<string, number>();
  const order: string[] = [];
  let call = 0;
  const deliver = async (events: readonly RecordEvent[]): Promise<Delivery> => {
    const outcome = outcomes[call++] ?? 'takes';
    if (outcome !== 'loses-request')
      for (const { id } of events)
        if (!taken.has(id)) {
          taken.set(id, 1);
          order.push(id);
        }
    return outcome === 'takes' ? { kind: 'taken' } : { kind: 'later', problem: 'no answer' };
  };
  return { deliver, order };
}

test('through any run of lost requests and lost answers every event arrives once, in order', async () => {
  const outcome = fc.constantFrom('takes' as const, 'loses-request' as const, 'loses-answer' as const);
  await fc.assert(
    fc.asyncProperty(fc.array(outcome, { maxLength: 12 }), fc.integer({ min: 1, max: 30 }), async (outcomes, count) => {
      const server = unreliable(outcomes);
      let kept: readonly RecordEvent[] = [];
      const outbox = createOutbox<RecordEvent>({ kept: [], deliver: server.deliver, keep: unsent => (kept = unsent) });
      const ids = Array.from({ length: count }, (_, i) => `e${i}`);
      for (const id of ids) {
        outbox.add([event(id)]);
        await jest.advanceTimersByTimeAsync(100);
      }
      await jest.advanceTimersByTimeAsync(60_000);
      expect(server.order).toEqual(ids);
      expect(outbox.state()).toEqual({ unsent: [], problem: null });
      expect(kept).toEqual([]);
    }),
    { numRuns: 50 },
  );
});

test('an event is kept on the device before it is sent', () => {
  const steps: string[] = [];
  const outbox = createOutbox<RecordEvent>({
    kept: [],
    keep: () => steps.push('keep'),
    deliver: async () => {
      steps.push('send');
      return { kind: 'taken' };
    },
  });
  outbox.add([event('a')]);
  expect(steps.slice(0, 2)).toEqual(['keep', 'send']);
});

test('what was kept from before goes first', async () => {
  const server = unreliable([]);
  const outbox = createOutbox<RecordEvent>({ kept: [event('old')], deliver: server.deliver, keep: () => undefined });
  outbox.add([event('new')]);
  await jest.advanceTimersByTimeAsync(10);
  expect(server.order).toEqual(['old', 'new']);
});

test('what will never be taken stays visible until it is given up', async () => {
  let calls = 0;
  const deliver = async (): Promise<Delivery> => {
    calls += 1;
    return { kind: 'never', problem: 'no such pass' };
  };
  const outbox = createOutbox<RecordEvent>({ kept: [], deliver, keep: () => undefined });
  outbox.add([event('a')]);
  await jest.advanceTimersByTimeAsync(60_000);
  expect(calls).toBe(1);
  expect(outbox.state()).toMatchObject({ problem: 'no such pass', unsent: [{ id: 'a' }] });
  outbox.discard();
  expect(outbox.state()).toEqual({ unsent: [], problem: null });
});
