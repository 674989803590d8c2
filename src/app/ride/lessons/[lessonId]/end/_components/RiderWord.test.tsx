/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { draftsOf } from '@/components/sync/drafts';
import { RiderWord } from './RiderWord';

const kept = jest.fn();
jest.mock('../../../endActions', () => ({ keepWordAction: (...sent: unknown[]) => kept(...sent) as unknown }));

beforeAll(() => {
  // Mantine asks the browser what the user prefers; this one has no opinion.
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
  Object.defineProperty(document, 'fonts', { value: { addEventListener() {}, removeEventListener() {} } });
});
beforeEach(() => {
  jest.useFakeTimers();
  kept.mockReset();
  localStorage.clear();
});
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});

const PAUSE_MS = 2000;

async function type(words: string) {
  fireEvent.change(screen.getByLabelText('A word to Wren'), { target: { value: words } });
  await act(async () => void (await jest.advanceTimersByTimeAsync(PAUSE_MS)));
}

async function shown(first = { words: '', revision: 0 }) {
  render(
    <MantineProvider env="test">
      <RiderWord lessonId="l" pairId="p" rider="Wren" first={first} />
    </MantineProvider>,
  );
  await act(async () => void (await jest.advanceTimersByTimeAsync(PAUSE_MS)));
}

test('what is typed is kept after a pause, over what was kept before, and leaves this device', async () => {
  kept.mockResolvedValueOnce({ ok: true, revision: 1 }).mockResolvedValueOnce({ ok: true, revision: 2 });
  await shown();
  expect(kept).not.toHaveBeenCalled();
  await type('Look up.');
  expect(screen.getByRole('status').textContent).toContain('Kept.');
  expect(draftsOf('word l p')).toEqual([]);
  await type('Look up, and breathe.');
  expect(kept.mock.calls.map(([sent]) => sent as object)).toMatchObject([
    { words: 'Look up.', revision: 0 },
    { words: 'Look up, and breathe.', revision: 1 },
  ]);
});

test('without an answer it stays on the device, says so, and comes back', async () => {
  kept.mockRejectedValue(new Error('no answer'));
  await shown();
  await type('Look up.');
  expect(screen.getByRole('status').textContent).toContain('kept on this device');
  expect(draftsOf('word l p')).toHaveLength(1);
  cleanup();
  await shown();
  expect(screen.getByLabelText<HTMLTextAreaElement>('A word to Wren').value).toBe('Look up.');
});

test('what somebody else wrote meanwhile is told; kept again, it is over that', async () => {
  kept
    .mockResolvedValueOnce({ ok: false, fields: {}, problem: 'Somebody else wrote.', now: { words: 'X', revision: 4 } })
    .mockResolvedValueOnce({ ok: true, revision: 5 });
  await shown();
  await type('Mine.');
  expect(screen.getByRole('status').textContent).toContain('Somebody else wrote.');
  fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await act(async () => void (await jest.advanceTimersByTimeAsync(PAUSE_MS)));
  expect(kept.mock.calls[1]![0]).toMatchObject({ words: 'Mine.', revision: 4 });
  expect(screen.getByRole('status').textContent).toContain('Kept.');
});
