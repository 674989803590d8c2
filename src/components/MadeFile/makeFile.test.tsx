/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { saveFile } from '@/components/saveFile';
import { fileName, followMade, makeFile } from './makeFile';

jest.mock('@/components/saveFile', () => ({ saveFile: jest.fn() }));
const saved = jest.mocked(saveFile);

type Answer = Pick<Response, 'ok'> &
  Partial<{ blob: () => Promise<Blob>; json: () => Promise<unknown>; headers: Headers }>;
let answer: (value: Answer) => void;
let asked: AbortSignal | undefined;
/** How many the server says that it makes first. */
let before: number;

beforeEach(() => {
  jest.useFakeTimers();
  saved.mockReset();
  before = 0;
  const names: unknown[] = [];
  globalThis.fetch = jest.fn(
    (href: string, { signal, headers }: RequestInit) =>
      new Promise((resolve, reject) => {
        names.push(Object.values(headers as object)[0]);
        // Its place is asked for by the name that the file was asked for with.
        if (href === '/api/line') {
          expect(names.every(name => name === names[0])).toBe(true);
          return resolve({ ok: true, json: () => Promise.resolve({ before }) } as Response);
        }
        asked = signal ?? undefined;
        answer = resolve as unknown as typeof answer;
        signal?.addEventListener('abort', () => reject(new Error('aborted')));
      }),
  ) as unknown as typeof fetch;
  render(
    <MantineProvider>
      <Notifications />
      <a href="/a.pdf" onClick={event => followMade(event, 'The sheet')}>
        The sheet
      </a>
    </MantineProvider>,
  );
});
afterEach(() => jest.useRealTimers());

const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const file = (): Answer => ({
  ok: true,
  blob: () => Promise.resolve(new Blob(['x'])),
  headers: new Headers({ 'content-disposition': 'attachment; filename="the-sheet.pdf"' }),
});

test('what takes long says that it is being made, for how long, and is kept under the name it has', async () => {
  fireEvent.click(screen.getByRole('link'));
  await pass(300);
  expect(screen.queryByText(/is being made/)).toBeNull();
  await pass(3300);
  expect(screen.getByText(/The sheet is being made: [34] s/)).toBeTruthy();
  answer(file());
  await pass(1000);
  await waitFor(() => expect(screen.queryByText(/is being made/)).toBeNull());
  expect(saved).toHaveBeenCalledWith(expect.any(Blob), 'the-sheet.pdf');
});

test('whoever waits in a line hears how many are before it, and when it is begun', async () => {
  before = 2;
  fireEvent.click(screen.getByRole('link'));
  await pass(1500);
  expect(screen.getByText(/The sheet waits: 2 others are made first/)).toBeTruthy();
  before = 1;
  await pass(3000);
  expect(screen.getByText(/The sheet waits: one other is made first/)).toBeTruthy();
  before = 0;
  await pass(3000);
  expect(screen.getByText(/The sheet is being made/)).toBeTruthy();
  answer(file());
  await pass(1000);
});

test('stopped, nothing is kept, nobody is scolded, and the server hears of it', async () => {
  fireEvent.click(screen.getByRole('link'));
  await pass(500);
  fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
  await pass(1000);
  expect(asked!.aborted).toBe(true);
  await waitFor(() => expect(screen.queryByText(/is being made/)).toBeNull());
  expect(screen.queryByText(/does not answer/)).toBeNull();
  expect(saved).not.toHaveBeenCalled();
});

test('what the server refuses is said in its sentence', async () => {
  await act(async () => {
    const making = makeFile('/a.pdf', 'The sheet');
    answer({ ok: false, json: () => Promise.resolve({ problem: 'Roan is busy.' }) });
    await making;
  });
  await pass(300);
  expect(screen.getByText('Roan is busy.')).toBeTruthy();
});

test('a file without a name has one all the same', () => {
  expect(fileName(null)).toBe('roan');
  expect(fileName('attachment; filename="a.csv"')).toBe('a.csv');
});
