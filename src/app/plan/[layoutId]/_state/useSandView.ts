import type { Arena, PointM } from '@/core';
import { wholeBox, type PaperBox } from '@/components/Sand/Sand';
import { sandView, type PaperPoint, type SandOrientation, type SandView } from '@/components/Sand/sandView';
import { useCallback, useMemo, useState } from 'react';

/** How near one can come, and how far away: shares of the whole. */
const NEAREST = 0.06;
const FARTHEST = 1.6;

/** Round a piece that lies outside of the sand, metres. */
const ROOM_M = 2.5;

/** The whole arena, and whatever lies outside of it: on a sand that was made smaller nothing gets out of sight. */
function boxWith(box: PaperBox, view: SandView, places: readonly PointM[]): PaperBox {
  const points = places.map(view.toPaper);
  const x = Math.min(box.x, ...points.map(point => point.x - ROOM_M));
  const y = Math.min(box.y, ...points.map(point => point.y - ROOM_M));
  return {
    ...{ x, y },
    width: Math.max(box.x + box.width, ...points.map(point => point.x + ROOM_M)) - x,
    height: Math.max(box.y + box.height, ...points.map(point => point.y + ROOM_M)) - y,
  };
}

/**
 * Which part of the sand is shown, and how it lies.
 * @param outside - where something lay outside of it when the layout was opened
 */
export function useSandView(arena: Arena, orientation: SandOrientation, outside: readonly PointM[]) {
  const view = useMemo(() => sandView(arena, orientation), [arena, orientation]);
  const whole = useMemo(() => boxWith(wholeBox(arena, view), view, outside), [arena, view, outside]);
  const [own, setOwn] = useState<{ of: PaperBox; box: PaperBox } | null>(null);
  const box = own?.of === whole ? own.box : whole;
  const setBox = useCallback(
    (next: (box: PaperBox) => PaperBox) =>
      setOwn(current => ({ of: whole, box: next(current?.of === whole ? current.box : whole) })),
    [whole],
  );
  /** Nearer (above 1) or farther about a place on the paper, which stays where it is. */
  const zoom = useCallback(
    (by: number, about?: PaperPoint) =>
      setBox(current => {
        const width = Math.min(whole.width * FARTHEST, Math.max(whole.width * NEAREST, current.width / by));
        const share = width / current.width;
        const at = about ?? { x: current.x + current.width / 2, y: current.y + current.height / 2 };
        return {
          x: at.x - (at.x - current.x) * share,
          y: at.y - (at.y - current.y) * share,
          width,
          height: current.height * share,
        };
      }),
    [setBox, whole],
  );
  const pan = useCallback(
    (byX: number, byY: number) => setBox(current => ({ ...current, x: current.x - byX, y: current.y - byY })),
    [setBox],
  );
  const fit = useCallback(() => setOwn(null), []);
  return useMemo(
    () => ({ view, box, zoom, pan, fit, share: box.width / whole.width }),
    [view, box, zoom, pan, fit, whole],
  );
}

export type SandWindow = ReturnType<typeof useSandView>;
