import { createHeavyWork, GivenUp, TooMuchAsked, type Hand } from './createHeavyWork';
import type { Asked, Told } from './heavy.worker';

/** Workers that answer when they are told to. */
function hands() {
  const all: { asked: Asked[]; answer: (told: Told) => void; fail: (error: Error) => void; isEnded: boolean }[] = [];
  const start = (): Hand => {
    const hear = { message: (_told: Told) => {}, error: (_error: Error) => {} };
    const one = {
      asked: [] as Asked[],
      answer: (told: Told) => hear.message(told),
      fail: (error: Error) => hear.error(error),
      isEnded: false,
    };
    all.push(one);
    return {
      postMessage: asked => void one.asked.push(asked),
      on: ((event: 'message' | 'error', listener: never) => void (hear[event] = listener)) as Hand['on'],
      terminate: () => (one.isEnded = true),
      unref: () => {},
    };
  };
  return { all, start };
}

const task = (input: number): Asked => ({ task: 'setting', input });
const told = (result: number): Told => ({ ok: true, result });

test('so many at a time, the others in a line, each answered with its own', async () => {
  const { all, start } = hands();
  const work = createHeavyWork(start, { hands: 2, mostWaiting: 10 });
  const answers = [1, 2, 3].map(input => work(task(input)));
  expect(all.map(({ asked }) => asked.map(({ input }) => input))).toEqual([[1], [2]]);
  all[1]!.answer(told(20));
  expect(await answers[1]).toEqual(told(20));
  expect(all[1]!.asked.map(({ input }) => input)).toEqual([2, 3]);
  all[0]!.answer(told(10));
  all[1]!.answer(told(30));
  expect(await Promise.all(answers)).toEqual([told(10), told(20), told(30)]);
  expect(all).toHaveLength(2);
});

test('a line that is full is told at once', async () => {
  const { start } = hands();
  const work = createHeavyWork(start, { hands: 1, mostWaiting: 1 });
  void work(task(1));
  void work(task(2));
  await expect(work(task(3))).rejects.toBeInstanceOf(TooMuchAsked);
});

test('what nobody waits for is given up: in the line it is never begun, begun it ends its worker', async () => {
  const { all, start } = hands();
  const work = createHeavyWork(start, { hands: 1, mostWaiting: 9 });
  const [first, second] = [new AbortController(), new AbortController()];
  const begun = work(task(1), first);
  const waits = work(task(2), second);
  const last = work(task(3));
  second.abort();
  first.abort();
  await expect(begun).rejects.toBeInstanceOf(GivenUp);
  await expect(waits).rejects.toBeInstanceOf(GivenUp);
  expect(all[0]!.isEnded).toBe(true);
  expect(all[1]!.asked.map(({ input }) => input)).toEqual([3]);
  // What the ended one still says is of nobody.
  all[0]!.answer(told(10));
  all[1]!.answer(told(30));
  expect(await last).toEqual(told(30));
});

test('a worker that dies fails its task alone, and another takes what comes', async () => {
  const { all, start } = hands();
  const work = createHeavyWork(start, { hands: 1, mostWaiting: 9 });
  const dies = work(task(1));
  const next = work(task(2));
  all[0]!.fail(new Error('out of memory'));
  await expect(dies).rejects.toThrow('out of memory');
  all[1]!.answer(told(20));
  expect(await next).toEqual(told(20));
});

test('a worker that dies while it waits is not asked again', async () => {
  const { all, start } = hands();
  const work = createHeavyWork(start, { hands: 1, mostWaiting: 9 });
  const first = work(task(1));
  all[0]!.answer(told(10));
  await first;
  all[0]!.fail(new Error('late'));
  const second = work(task(2));
  all[1]!.answer(told(20));
  expect(await second).toEqual(told(20));
});

test('whoever waits hears how many are before it; whoever is not in the line waits for nobody', async () => {
  const { all, start } = hands();
  const work = createHeavyWork(start, { hands: 1, mostWaiting: 9 });
  const asked = ['first', 'second', 'third'].map((name, at) => work(task(at), { name }));
  expect(['first', 'second', 'third', 'nobody'].map(work.before)).toEqual([0, 1, 2, 0]);
  all[0]!.answer(told(1));
  await asked[0];
  expect(['second', 'third'].map(work.before)).toEqual([0, 1]);
});
