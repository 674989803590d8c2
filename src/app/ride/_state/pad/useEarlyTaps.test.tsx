/** @jest-environment jsdom */
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { useEarlyTaps } from './useEarlyTaps';

const page = window as Window & { roanEarly?: { name: string; atMs: number }[] | null };

/** A pole that is chosen by a tap and left by another, and a key that is none of the early ones. */
function Pad({ ready }: { ready: boolean }) {
  const [chosen, setChosen] = useState(false);
  const [opened, setOpened] = useState(false);
  useEarlyTaps(ready);
  return (
    <>
      <button data-early="pole 2" aria-pressed={chosen} onClick={() => setChosen(!chosen)}>
        pole 2
      </button>
      <button aria-expanded={opened} onClick={() => setOpened(true)}>
        the day
      </button>
    </>
  );
}

const pole = () => screen.getByRole('button', { name: 'pole 2' }).getAttribute('aria-pressed');

test('what is tapped before it can be kept is done once, when it can be', async () => {
  const { rerender } = render(<Pad ready={false} />);
  // As the first script of the page keeps it.
  page.roanEarly = [{ name: 'pole 2', atMs: 1000 }];
  fireEvent.click(screen.getByRole('button', { name: 'pole 2' }));
  expect(pole()).toBe('false');
  fireEvent.click(screen.getByRole('button', { name: 'the day' }));
  expect(screen.getByRole('button', { name: 'the day' }).getAttribute('aria-expanded')).toBe('true');
  rerender(<Pad ready />);
  await waitFor(() => expect(pole()).toBe('true'));
  // From now on a tap is a tap.
  fireEvent.click(screen.getByRole('button', { name: 'pole 2' }));
  expect(pole()).toBe('false');
});
