/** @jest-environment jsdom */
import { keepDraft, allDrafts } from '@/components/sync/drafts';
import { MantineProvider } from '@mantine/core';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { RiderWord } from './RiderWord';

const keep = jest.fn();
jest.mock('../../../endActions', () => ({ keepWordAction: (...sent: unknown[]) => keep(...sent) }));

const field = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'A word to Ode' });
const type = (words: string) => fireEvent.change(field(), { target: { value: words } });
const word = () =>
  render(
    <MantineProvider>
      <RiderWord lessonId="lesson" pairId="pair" rider="Ode" first={{ words: 'Soft hands.', revision: 2 }} />
    </MantineProvider>,
  );
const drafts = () => allDrafts().map(({ value }) => value);

describe('a word to a rider', () => {
  beforeEach(() => {
    keep.mockReset();
    localStorage.clear();
    sessionStorage.clear();
  });

  it('is kept by itself after a pause, over what was read, and the device keeps it until then', async () => {
    keep.mockResolvedValue({ ok: true, revision: 3 });
    word();
    type('Soft hands, and look up.');
    expect(drafts()).toEqual(['Soft hands, and look up.']);
    expect(keep).not.toHaveBeenCalled();
    expect(await screen.findByText('Kept.', undefined, { timeout: 5000 })).toBeTruthy();
    expect(keep.mock.calls[0]![0]).toEqual({
      ...{ lessonId: 'lesson', pairId: 'pair', words: 'Soft hands, and look up.', revision: 2 },
    });
    expect(drafts()).toEqual([]);
  });

  it('stays on the device where the server does not answer, and is kept by its key', async () => {
    keep.mockRejectedValueOnce(new Error('gone')).mockResolvedValue({ ok: true, revision: 3 });
    word();
    type('Look up.');
    expect(await screen.findByText(/kept on this device/, undefined, { timeout: 5000 })).toBeTruthy();
    expect(drafts()).toEqual(['Look up.']);
    await waitFor(() => expect(screen.getByRole('button', { name: 'Keep it' }).dataset.loading).toBeUndefined());
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText('Kept.', undefined, { timeout: 5000 })).toBeTruthy();
  });

  it('that somebody else wrote meanwhile is said, and goes over theirs only when it is asked for', async () => {
    keep.mockResolvedValueOnce({
      ...{ ok: false, fields: {}, problem: 'Somebody else wrote “Sit up.” meanwhile.' },
      now: { words: 'Sit up.', revision: 5 },
    });
    keep.mockResolvedValue({ ok: true, revision: 6 });
    word();
    type('Look up.');
    expect(await screen.findByText(/Somebody else wrote/, undefined, { timeout: 5000 })).toBeTruthy();
    expect(field().value).toBe('Look up.');
    await act(() => new Promise(resolve => setTimeout(resolve, 1200)));
    expect(keep).toHaveBeenCalledTimes(1);
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(keep).toHaveBeenCalledTimes(2));
    expect(keep.mock.calls[1]![0].revision).toBe(5);
  });

  it('that was typed here and not kept comes back', async () => {
    keep.mockResolvedValue({ ok: true, revision: 3 });
    keepDraft('word lesson pair', 'From before.');
    word();
    await waitFor(() => expect(field().value).toBe('From before.'));
  });
});
