/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useSandView } from './useSandView';

const ARENA = { widthM: 20, lengthM: 60, letters: 'none' as const };
const NOTHING_OUTSIDE: never[] = [];

const shown = (outside: { xM: number; yM: number }[] = NOTHING_OUTSIDE) =>
  renderHook(({ arena }) => useSandView(arena, 'along', outside), { initialProps: { arena: ARENA } });

describe('the part of the sand that is shown', () => {
  it('is all of it at first, and whatever lies outside of it too', () => {
    const { width, height } = shown().result.current.box;
    expect([width > 60, height > 20]).toEqual([true, true]);
    const far = shown([{ xM: 10, yM: 80 }]).result.current;
    const at = far.view.toPaper({ xM: 10, yM: 80 });
    expect(at.x).toBeGreaterThan(far.box.x);
    expect(at.x).toBeLessThan(far.box.x + far.box.width);
  });

  it('comes nearer about a place that stays where it is, and never nearer or farther than one can see', () => {
    const { result } = shown();
    const whole = result.current.box;
    const about = { x: whole.x + whole.width / 4, y: whole.y + whole.height / 4 };
    act(() => result.current.zoom(2, about));
    const near = result.current.box;
    expect(near.width).toBeCloseTo(whole.width / 2, 9);
    expect((about.x - near.x) / near.width).toBeCloseTo(1 / 4, 9);
    expect((about.y - near.y) / near.height).toBeCloseTo(1 / 4, 9);
    act(() => result.current.zoom(1000));
    expect(result.current.share).toBeCloseTo(0.06, 9);
    act(() => result.current.zoom(1e-6));
    expect(result.current.share).toBeCloseTo(1.6, 9);
    act(() => result.current.fit());
    expect(result.current.box).toEqual(whole);
  });

  it('is pushed about, and is the whole again where the sand is another', () => {
    const { result, rerender } = shown();
    const whole = result.current.box;
    act(() => result.current.pan(3, -2));
    expect(result.current.box).toEqual({ ...whole, x: whole.x - 3, y: whole.y + 2 });
    rerender({ arena: { ...ARENA, lengthM: 40 } });
    expect(result.current.share).toBe(1);
  });
});
