import { useEffect, useRef, type MouseEvent, type PointerEvent } from 'react';

const HOLD_MS = 550;
/** A finger that is held still trembles by so much, pixels. */
const STILL_PX = 10;
const SWIPE_PX = 70;

type SandTouch = {
  /** Held in one place: where, in pixels of the element. */
  onHold: (at: { x: number; y: number }) => void;
  onSwipe: ((by: 1 | -1) => void) | null;
};

type Down = { x: number; y: number; timer: ReturnType<typeof setTimeout> };

/** A long press marks a place, a swipe goes on; a tap stays a tap. */
export function useSandTouch({ onHold, onSwipe }: SandTouch) {
  const down = useRef<Down | null>(null);
  /** What was held or swiped is no tap on the key under it. */
  const isTaken = useRef(false);
  const end = () => {
    if (down.current) clearTimeout(down.current.timer);
    down.current = null;
  };
  useEffect(() => end, []);
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      end();
      isTaken.current = false;
      if (!event.isPrimary || event.button !== 0) return;
      const { left, top } = event.currentTarget.getBoundingClientRect();
      const [x, y] = [event.clientX, event.clientY];
      const timer = setTimeout(() => {
        isTaken.current = true;
        down.current = null;
        onHold({ x: x - left, y: y - top });
      }, HOLD_MS);
      down.current = { x, y, timer };
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (!down.current) return;
      const [dx, dy] = [event.clientX - down.current.x, event.clientY - down.current.y];
      if (Math.hypot(dx, dy) > STILL_PX) clearTimeout(down.current.timer);
      if (!onSwipe || Math.abs(dx) < SWIPE_PX || Math.abs(dy) > SWIPE_PX / 2) return;
      end();
      isTaken.current = true;
      onSwipe(dx < 0 ? 1 : -1);
    },
    onPointerUp: end,
    onPointerCancel: end,
    onContextMenu: (event: MouseEvent) => event.preventDefault(),
    onClickCapture: (event: MouseEvent) => {
      if (!isTaken.current) return;
      isTaken.current = false;
      event.stopPropagation();
      event.preventDefault();
    },
  };
}
