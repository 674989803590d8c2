/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { act, cleanup, configure, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { rideBox } from './boxes';
import { deviceSync } from './deviceSync';
import { Delivery } from './Delivery';
import { SyncStarter } from './SyncStarter';
import { useBox } from './useBox';

type Tap = { id: string };
/** How what was kept is fetched: a test may keep it from coming. */
const fetches: { reader: () => Promise<(kept: unknown) => Tap[]> } = { reader: async () => kept => kept as Tap[] };
const reader = () => fetches.reader();
const BOX = rideBox('11111111-1111-4111-8111-111111111111', 'version');

jest.setTimeout(60_000);
// A busy machine takes its time.
configure({ asyncUtilTimeout: 15_000 });

let next = 0;
/** A pad with one key: what waits is listed, and it says what is saved. */
function Pad({ answered = () => undefined, look }: { answered?: () => void; look?: () => void }) {
  const { ready, unsent, waits, add } = useBox<Tap>({ box: BOX, reader, answered, look });
  return (
    <>
      <button type="button" onClick={() => add([{ id: `tap ${(next += 1)}` }])}>
        tap
      </button>
      <p data-testid="shown">{unsent.length}</p>
      <p data-testid="ready">{ready ? 'yes' : 'no'}</p>
      <Delivery ready={ready} waits={waits} />
      <SyncStarter />
    </>
  );
}

const answer = (status: number, body: object) =>
  ({ ok: status < 300, status, json: async () => body }) as unknown as Response;
const fetched = jest.fn<Promise<Response>, [string, RequestInit]>();
const sentIds = () =>
  fetched.mock.calls.flatMap(([, { body }]) =>
    (JSON.parse(String(body)) as { events: Tap[] }).events.map(({ id }) => id),
  );

beforeEach(() => {
  fetches.reader = async () => kept => kept as Tap[];
  fetched.mockReset();
  globalThis.fetch = fetched as unknown as typeof fetch;
});
afterEach(async () => {
  cleanup();
  for (const { key } of [...(deviceSync().state().rows ?? [])]) await deviceSync().drop(key);
  await deviceSync().idle();
});
afterAll(() => deviceSync().close());

test('a tap is shown at once, is saved when the server says so, and its answer is told to the page', async () => {
  fetched.mockResolvedValue(answer(200, { taken: 1 }));
  const [answered, look] = [jest.fn(), jest.fn()];
  render(<Pad answered={answered} look={look} />);
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('Saved'));
  fireEvent.click(screen.getByText('tap'));
  expect(screen.getByTestId('shown').textContent).toBe('1');
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('Saved'));
  expect(screen.getByTestId('shown').textContent).toBe('0');
  expect(answered).toHaveBeenCalledWith({ taken: 1 });
  expect(look).not.toHaveBeenCalled();
});

test('without an answer it is said to be kept, on every page, and goes out once there is one', async () => {
  fetched.mockRejectedValue(new TypeError('no connection'));
  render(<Pad />);
  fireEvent.click(screen.getByText('tap'));
  await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^1 not saved yet, kept on this device/));
  expect(screen.getByRole('link').textContent).toBe('1 not sent');
  fetched.mockReset();
  fetched.mockResolvedValue(answer(200, { taken: 1 }));
  act(() => deviceSync().flush());
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('Saved'));
  expect(sentIds()).toEqual([`tap ${next}`]);
});

test('what a portal or a broken server answers is no refusal: nothing is set aside', async () => {
  for (const odd of [answer(200, { signIn: true }), answer(404, {}), answer(500, { problem: 'broken' })]) {
    fetched.mockReset();
    fetched.mockResolvedValue(odd);
    const { unmount } = render(<Pad />);
    fireEvent.click(screen.getByText('tap'));
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/not saved yet/));
    expect(screen.queryByText(/refused/)).toBeNull();
    unmount();
  }
});

test('what Roan refuses is told with a way to see why, and is shown in the record no more', async () => {
  fetched.mockResolvedValue(answer(422, { problem: 'no such pass' }));
  render(<Pad />);
  fireEvent.click(screen.getByText('tap'));
  await waitFor(() => expect(screen.getByText('1 refused: see why')).toBeTruthy());
  expect(screen.getByTestId('shown').textContent).toBe('0');
  expect(deviceSync().state().rows).toMatchObject([{ refused: 'no such pass' }]);
});

test('what another tab sent is asked for', async () => {
  fetched.mockRejectedValue(new TypeError('no connection'));
  const look = jest.fn();
  render(<Pad look={look} />);
  fireEvent.click(screen.getByText('tap'));
  await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/not saved yet/));
  // As the other tab leaves the device's store when it has sent what waits.
  const { openDeviceStore } = await import('./deviceStore');
  const store = await openDeviceStore();
  await store.remove((await store.all()).map(({ seq }) => seq));
  act(() => deviceSync().look());
  await waitFor(() => expect(look).toHaveBeenCalledTimes(1));
});

describe('what lay in the store', () => {
  /** What a page before this one kept, and could not send. */
  async function keptBefore(id: string) {
    fetched.mockRejectedValue(new TypeError('no connection'));
    const { openDeviceStore } = await import('./deviceStore');
    const store = await openDeviceStore();
    await store.add([{ box: BOX, key: id, order: Date.now(), event: { id }, refused: null }]);
    deviceSync().look();
    await waitFor(() => expect(deviceSync().rowsOf(BOX)).toHaveLength(1));
  }

  it('is read before the page is ready, by what is fetched for it', async () => {
    await keptBefore(`kept ${(next += 1)}`);
    let come: (read: (kept: unknown) => Tap[]) => void = () => {};
    fetches.reader = () => new Promise(resolve => (come = resolve));
    render(<Pad />);
    expect(screen.getByTestId('shown').textContent).toBe('0');
    expect(screen.getByTestId('ready').textContent).toBe('no');
    // What is tapped here needs no reading.
    fireEvent.click(screen.getByText('tap'));
    expect(screen.getByTestId('shown').textContent).toBe('1');
    await act(async () => come(kept => kept as Tap[]));
    expect(screen.getByTestId('shown').textContent).toBe('2');
    expect(screen.getByTestId('ready').textContent).toBe('yes');
  });

  it('keeps nobody from tapping where nothing can read it: it waits, and is asked for again', async () => {
    await keptBefore(`kept ${(next += 1)}`);
    let times = 0;
    fetches.reader = async () => {
      times += 1;
      if (times === 1) throw new TypeError('no connection');
      return kept => kept as Tap[];
    };
    render(<Pad />);
    await waitFor(() => expect(screen.getByTestId('ready').textContent).toBe('yes'));
    await waitFor(() => expect(screen.getByTestId('shown').textContent).toBe('1'));
    expect(times).toBe(2);
  });
});
