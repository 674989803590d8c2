import { useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { Painting } from '../_hand/useHandPainter';
import type { RibbonLook } from '../_components/ribbon/paintColumn';
import type { RibbonFrame } from '../_components/ribbon/ribbonFrame';

type RibbonLookedAt = { painting: Painting; trackId: string; frame: RibbonFrame; chosen: string | null };

/**
 * Tells the painter how the ribbon is looked at.
 * @returns what is rolled over it
 */
export function useRibbonScene({ painting, trackId, frame, chosen }: RibbonLookedAt): RefObject<HTMLDivElement | null> {
  const { tell } = painting;
  const rolled = useRef<HTMLDivElement>(null);
  const [{ rolledPx, scrolledPx }, setScrolled] = useState({ rolledPx: 0, scrolledPx: 0 });
  useLayoutEffect(() => {
    const sharpness = window.devicePixelRatio;
    tell({ kind: 'ribbon', scene: { trackId, frame, chosen, rolledPx, scrolledPx, sharpness } });
  }, [tell, trackId, frame, chosen, rolledPx, scrolledPx]);
  useLayoutEffect(() => {
    if (rolled.current) tell({ kind: 'ribbon-look', look: lookOf(rolled.current) });
  }, [tell]);
  useEffect(() => {
    const strip = rolled.current;
    const roll = () => setScrolled({ rolledPx: strip?.scrollTop ?? 0, scrolledPx: strip?.scrollLeft ?? 0 });
    strip?.addEventListener('scroll', roll);
    return () => strip?.removeEventListener('scroll', roll);
  }, []);
  useEffect(() => {
    // Letters that came late: what was drawn in other ones is drawn again, once.
    let gone = false;
    void document.fonts.ready.then(() => {
      if (!gone) tell({ kind: 'letters' });
    });
    return () => {
      gone = true;
    };
  }, [tell]);
  return rolled;
}

/** The colours and letters that the page gives the ribbon. */
function lookOf(within: HTMLElement): RibbonLook {
  const style = getComputedStyle(within);
  const colour = (name: string) => style.getPropertyValue(`--roan-${name}`).trim();
  const fit = (name: string) => colour(`fit-${name}`);
  return {
    fontFamily: style.fontFamily,
    sheet: colour('sheet'),
    ink: colour('ink'),
    quiet: colour('quiet'),
    accent: colour('accent'),
    arch: colour('arch'),
    chosenArch: colour('arch-chosen'),
    fits: ['cold-3', 'cold-2', 'cold-1', 'even', 'warm-1', 'warm-2', 'warm-3'].map(fit),
  };
}
