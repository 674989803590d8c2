/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { fetched, lazily } from './lazily';
import { onceStill } from './onceStill';

const Part = ({ name }: { name: string }) => <p>Part {name}</p>;

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** Lets what was asked for come, however often it has to be asked for again. */
const comes = () => act(async () => jest.advanceTimersByTimeAsync(10_000));

test('a part is fetched when the page is still, before anybody asks for it', async () => {
  const load = jest.fn(async () => ({ default: Part }));
  const Lazy = lazily(load);
  expect(load).not.toHaveBeenCalled();
  await comes();
  expect(load).toHaveBeenCalledTimes(1);
  render(<Lazy name="more" />);
  await comes();
  expect(screen.getByText('Part more')).toBeTruthy();
});

test('what may be needed without a server is fetched as it is said', () => {
  const soon = jest.fn(async () => ({ default: Part }));
  lazily(soon, { atOnce: true });
  expect(soon).toHaveBeenCalledTimes(1);
});

test('a connection that comes back brings it', async () => {
  let times = 0;
  const part = fetched(async () => {
    times += 1;
    if (times < 3) throw new TypeError('no connection');
    return { default: Part };
  });
  await comes();
  expect((await part).default).toBe(Part);
});

test('where it cannot be fetched the page stays, and says so', async () => {
  const part = fetched<{ name: string }>(async () => {
    throw new TypeError('no connection');
  });
  await comes();
  const { default: Instead } = await part;
  render(<Instead name="more" />);
  expect(screen.getByRole('alert').textContent).toContain('could not be fetched');
});

test('what is put off until the page is still is done once, or not at all where it is given up', async () => {
  const act1 = jest.fn();
  onceStill(act1);
  const act2 = jest.fn();
  onceStill(act2)();
  await comes();
  expect([act1.mock.calls.length, act2.mock.calls.length]).toEqual([1, 0]);
});

test('a browser that tells when it is idle is believed, once the page is alive', async () => {
  const asked: (() => void)[] = [];
  const cancelled: number[] = [];
  Object.assign(globalThis, {
    requestIdleCallback: (act1: () => void) => asked.push(act1),
    cancelIdleCallback: (id: number) => cancelled.push(id),
  });
  const done = jest.fn();
  const giveUp = onceStill(done);
  expect(asked).toEqual([]);
  await comes();
  asked[0]!();
  expect(done).toHaveBeenCalledTimes(1);
  giveUp();
  expect(cancelled).toEqual([1]);
  Reflect.deleteProperty(globalThis, 'requestIdleCallback');
  Reflect.deleteProperty(globalThis, 'cancelIdleCallback');
});

test('a page that is still loading is waited for', async () => {
  const state = jest.spyOn(document, 'readyState', 'get').mockReturnValue('interactive');
  const [done, not] = [jest.fn(), jest.fn()];
  onceStill(done);
  onceStill(not)();
  await comes();
  expect(done).not.toHaveBeenCalled();
  window.dispatchEvent(new Event('load'));
  await comes();
  expect([done.mock.calls.length, not.mock.calls.length]).toEqual([1, 0]);
  state.mockRestore();
});
