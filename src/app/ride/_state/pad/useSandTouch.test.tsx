/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useSandTouch } from './useSandTouch';

const held = jest.fn();
const swiped = jest.fn();
const tapped = jest.fn();

function Sand() {
  const touch = useSandTouch({ onHold: held, onSwipe: swiped });
  return (
    <div data-testid="sand" {...touch}>
      <button type="button" onClick={tapped}>
        2
      </button>
    </div>
  );
}

/** jsdom has no pointers: a mouse event of their name has what is asked of them. */
function pointer(type: string, x: number, y: number): void {
  const event = new MouseEvent(type, { bubbles: true, cancelable: true, clientX: x, clientY: y, button: 0 });
  Object.defineProperty(event, 'isPrimary', { value: true });
  act(() => void screen.getByRole('button').dispatchEvent(event));
}

beforeEach(() => {
  jest.useFakeTimers();
  render(<Sand />);
});
afterEach(() => {
  cleanup();
  jest.useRealTimers();
  [held, swiped, tapped].forEach(mock => mock.mockReset());
});

test('a tap is a tap, a long press is a place, and no tap on the key under it', () => {
  pointer('pointerdown', 40, 60);
  act(() => void jest.advanceTimersByTime(200));
  pointer('pointerup', 40, 60);
  fireEvent.click(screen.getByRole('button'));
  expect(held).not.toHaveBeenCalled();
  expect(tapped).toHaveBeenCalledTimes(1);
  pointer('pointerdown', 40, 60);
  act(() => void jest.advanceTimersByTime(700));
  expect(held).toHaveBeenCalledWith({ x: 40, y: 60 });
  pointer('pointerup', 40, 60);
  fireEvent.click(screen.getByRole('button'));
  expect(tapped).toHaveBeenCalledTimes(1);
});

test('a finger that goes aside swipes, and holds nothing', () => {
  pointer('pointerdown', 200, 60);
  pointer('pointermove', 150, 62);
  pointer('pointermove', 110, 64);
  expect(swiped).toHaveBeenCalledWith(1);
  act(() => void jest.advanceTimersByTime(900));
  expect(held).not.toHaveBeenCalled();
});
