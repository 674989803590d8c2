import type { Arena } from '@/core';
import { wholeBox, type PaperBox } from '@/components/Sand/Sand';
import { sandView, type PaperPoint, type SandOrientation } from '@/components/Sand/sandView';
import { useCallback, useMemo, useState } from 'react';

/** How near one can come, and how far away: shares of the whole. */
const NEAREST = 0.06;
const FARTHEST = 1.6;

/** Which part of the sand is shown, and how it lies. */
export function useSandView(arena: Arena, orientation: SandOrientation) {
  const view = useMemo(() => sandView(arena, orientation), [arena, orientation]);
  const whole = useMemo(() => wholeBox(arena, view), [arena, view]);
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
