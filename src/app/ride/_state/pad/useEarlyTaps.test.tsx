/** @jest-environment jsdom */
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { useEarlyTaps } from './useEarlyTaps';

const page = window as Window & { roanEarly?: { name: string; atMs: number }[] | null };

/** A pole that is chosen by a tap and left by another. */
function Pad({ ready }: { ready: boolean }) {
  const [chosen, setChosen] = useState(false);
  return (
    <div {...useEarlyTaps(ready)}>
      <button data-early="pole 2" aria-pressed={chosen} onClick={() => setChosen(!chosen)}>
        pole 2
      </button>
    </div>
  );
}

const pole = () => screen.getByRole('button', { name: 'pole 2' });

test('what is tapped before it can be kept is done once, when it can be', async () => {
  // As the first script of the page keeps it.
  page.roanEarly = [{ name: 'pole 2', atMs: 1000 }];
  const { rerender } = render(<Pad ready={false} />);
  expect(pole().getAttribute('aria-pressed')).toBe('false');
  rerender(<Pad ready />);
  await waitFor(() => expect(pole().getAttribute('aria-pressed')).toBe('true'));
  expect(page.roanEarly).toBeNull();
  // From now on a tap is a tap.
  fireEvent.click(pole());
  expect(pole().getAttribute('aria-pressed')).toBe('false');
});

test('a pad that is gone to within Roan keeps what is tapped until it can be done, too', async () => {
  page.roanEarly = null;
  const { rerender } = render(<Pad ready={false} />);
  expect(page.roanEarly).toEqual([]);
  expect(pole().closest('[data-early-taps]')).not.toBeNull();
  page.roanEarly = [{ name: 'pole 2', atMs: 1000 }];
  rerender(<Pad ready />);
  await waitFor(() => expect(pole().getAttribute('aria-pressed')).toBe('true'));
});
