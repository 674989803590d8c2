/** @jest-environment jsdom */
import { act } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { later } from './later';

type Props = { says: string };
const StandIn = ({ says }: Props) => <input aria-label="Pairs" disabled defaultValue={says} />;
const Alive = ({ says }: Props) => <input aria-label="Pairs" defaultValue={says} />;

let root: HTMLDivElement;
const field = () => root.querySelector('input');

/** The page as the server sends it, and alive. */
async function comesAlive(page: React.ReactNode) {
  root = document.createElement('div');
  document.body.replaceChildren(root);
  root.innerHTML = renderToString(page);
  expect([field()?.disabled, field()?.value]).toEqual([true, 'Moth']);
  await act(async () => void hydrateRoot(root, page));
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('what stands in says the same, and gives way once the part is there', async () => {
  let bring: (part: { default: typeof Alive }) => void = () => undefined;
  const load = jest.fn(() => new Promise<{ default: typeof Alive }>(resolve => (bring = resolve)));
  const Field = later(load, StandIn);
  await comesAlive(<Field says="Moth" />);
  expect(field()?.disabled).toBe(true);
  await act(async () => bring({ default: Alive }));
  expect([field()?.disabled, field()?.value]).toEqual([false, 'Moth']);
  expect(load).toHaveBeenCalledTimes(1);
});

test('a part that cannot be fetched is said in its place', async () => {
  const Field = later<Props>(() => Promise.reject(new TypeError('no connection')), StandIn);
  await comesAlive(<Field says="Moth" />);
  await act(async () => jest.advanceTimersByTimeAsync(10_000));
  expect(field()).toBeNull();
  expect(root.querySelector('[role=alert]')?.textContent).toContain('could not be fetched');
});
