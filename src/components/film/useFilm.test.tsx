/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useFilm } from './useFilm';

afterEach(cleanup);

function Film({ knownS, onLength }: { knownS: number | null; onLength: (lengthS: number) => void }) {
  const { video, atS, lengthS, go, step, player } = useFilm(knownS, onLength);
  return (
    <>
      <video ref={video} data-testid="film" {...player} />
      <output>{`${atS.toFixed(3)} of ${lengthS}`}</output>
      <button onClick={() => go(99)}>end</button>
      <button onClick={() => step(-1, 25)}>back</button>
    </>
  );
}

/** A player that says so of a film’s length; jsdom has none of its own. */
function saysLength(lengthS: number) {
  Object.defineProperty(HTMLMediaElement.prototype, 'duration', { configurable: true, get: () => lengthS });
  HTMLMediaElement.prototype.pause = () => undefined;
}

test('how long a film is is learnt from the player, and told once where nobody knew', () => {
  saysLength(12);
  const told = jest.fn();
  render(<Film knownS={null} onLength={told} />);
  expect(screen.getByRole('status').textContent).toBe('0.000 of 12');
  expect(told.mock.calls[0]).toEqual([12]);
  cleanup();
  told.mockReset();
  render(<Film knownS={12} onLength={told} />);
  expect(told).not.toHaveBeenCalled();
});

test('a film that does not say how long it is, is sent to its end and back', () => {
  saysLength(Infinity);
  const told = jest.fn();
  render(<Film knownS={null} onLength={told} />);
  const film = screen.getByTestId<HTMLVideoElement>('film');
  expect([screen.getByRole('status').textContent, film.currentTime > 1e6]).toEqual(['0.000 of null', true]);
  saysLength(8);
  act(() => void fireEvent(film, new Event('durationchange')));
  expect([screen.getByRole('status').textContent, film.currentTime]).toEqual(['0.000 of 8', 0]);
  expect(told.mock.calls).toEqual([[8]]);
});

test('it goes no farther than its end, and back by a picture', () => {
  saysLength(8);
  render(<Film knownS={null} onLength={() => undefined} />);
  fireEvent.click(screen.getByText('end'));
  expect(screen.getByRole('status').textContent).toBe('8.000 of 8');
  fireEvent.click(screen.getByText('back'));
  expect(screen.getByRole('status').textContent).toBe('7.960 of 8');
});
