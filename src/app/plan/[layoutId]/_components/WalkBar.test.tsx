/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { gaitSpeedMPerMin } from '@/core';
import { LINE, shows } from '../_state/testShown';
import WalkBar from './WalkBar';

/** The screen’s clock, moved by hand. */
const screenClock = { frames: new Map<number, (nowMs: number) => void>(), last: 0, nowMs: 0 };
const frame = (byMs: number) => {
  screenClock.nowMs += byMs;
  const due = [...screenClock.frames.values()];
  screenClock.frames.clear();
  act(() => due.forEach(step => step(screenClock.nowMs)));
};

function walk(unit: 'm' | 'ft' = 'm') {
  const { layout, tracks } = shownLine();
  const at = { walkedM: 0 as number | null, playing: false };
  function Board() {
    const [walkedM, onWalk] = useState<number | null>(0);
    const [playing, onPlay] = useState(false);
    const [saddle, onSaddle] = useState(false);
    Object.assign(at, { walkedM, playing });
    if (walkedM === null) return <p>Walked enough</p>;
    return (
      <WalkBar
        {...{ layout, walkedM, onWalk, playing, onPlay, saddle, onSaddle }}
        track={layout.tracks[0]!}
        reckoned={tracks[0]!}
        horse={layout.horses[0] ?? null}
      />
    );
  }
  renderInRoan(<Board />, { unit });
  return at;
}
const shownLine = () => {
  const { resolved, tracks } = shows()(LINE);
  return { layout: resolved.layout, tracks };
};
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const says = () => screen.getByRole('status').textContent;

beforeEach(() => {
  screenClock.frames.clear();
  globalThis.requestAnimationFrame = step => {
    screenClock.frames.set((screenClock.last += 1), step);
    return screenClock.last;
  };
  globalThis.cancelAnimationFrame = id => void screenClock.frames.delete(id);
});

test('goes from fence to fence, and back, and says how far it is', () => {
  const at = walk();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Back one' }).disabled).toBe(true);
  press('On to the next');
  expect(at.walkedM).toBeCloseTo(18, 6);
  press('On to the next');
  expect(at.walkedM).toBeCloseTo(36, 6);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'On to the next' }).disabled).toBe(true);
  expect(says()).toContain('36.00 m of 36.00 m');
  press('Back one');
  expect(at.walkedM).toBeCloseTo(18, 6);
});

test('says how many strides of the leg are done: four at 3.6 m in 18 m, a half at each end for landing and take-off', () => {
  walk();
  fireEvent.change(screen.getByRole('slider'), { target: { value: '8' } });
  // Landed at 1.8 m, one stride at 5.4 m: common practice, no source.
  expect(says()).toContain('one of four strides for Mayfly');
});

test('may begin before the first fence', () => {
  walk();
  fireEvent.change(screen.getByRole('slider'), { target: { value: '-6' } });
  expect(says()).toContain('6.00 m before the first');
});

test('plays at the speed of the gait, at half of it or three times, and waits at the end', async () => {
  const at = walk();
  press('Go');
  frame(0);
  frame(1000);
  const aSecondM = gaitSpeedMPerMin('course-canter') / 60;
  expect(at.walkedM).toBeCloseTo(aSecondM, 6);
  fireEvent.click(screen.getByText('half'));
  frame(0);
  frame(1000);
  expect(at.walkedM).toBeCloseTo(1.5 * aSecondM, 6);
  fireEvent.click(screen.getByText('× 3'));
  frame(0);
  frame(60_000);
  await act(async () => {});
  expect([at.walkedM, at.playing]).toEqual([36, false]);
});

test('waits when it is told to, and ends', () => {
  const at = walk();
  press('Go');
  press('Wait');
  frame(1000);
  expect(at.walkedM).toBe(0);
  press('Enough');
  expect(screen.getByText('Walked enough')).toBeTruthy();
});

test('is seen from the saddle by one key', () => {
  walk();
  press('From the saddle');
  expect(screen.getByRole('button', { name: 'From the saddle' }).getAttribute('aria-pressed')).toBe('true');
});
