import {
  above,
  eyePicture,
  isRidden,
  lookFacts,
  nextStop,
  ridingHeightM,
  riderCamera,
  stopNumbers,
  type EyePicture,
  type Layout,
  type Look,
  type LookFacts,
  type RiddenTrack,
  type SceneWord,
} from '@/core';
import { useCallback, useMemo } from 'react';

export type EyeAt = { layout: Layout; ridden: RiddenTrack; alongM: number; eyeM: number; look: Look };

export type Eye = {
  pictureOf: (aspect: number) => EyePicture | null;
  facts: LookFacts | null;
  /** What is ridden at next. */
  next: string | null;
};

/** What a rider sees so far along a track, for a picture of any shape, and what is to be said of it. */
export function useEye({ layout, ridden, alongM, eyeM, look }: EyeAt): Eye {
  const words = useMemo(() => numbersOver(layout, ridden), [layout, ridden]);
  const pictureOf = useCallback(
    (aspect: number) => {
      const camera = riderCamera(layout, ridden, alongM, { eyeM, look, aspect });
      return camera && eyePicture(camera, { arena: layout.arena, items: layout.items, words });
    },
    [layout, ridden, alongM, eyeM, look, words],
  );
  const facts = useMemo(() => lookFacts(layout, ridden, alongM), [layout, ridden, alongM]);
  return { pictureOf, facts, next: nextStop(layout, ridden, alongM)?.item.id ?? null };
}

/** As high over what is ridden as its number stands. */
const OVER_M = 1.9;

/** The numbers of a course over what is ridden; what is ridden twice has both. */
export function numbersOver(layout: Layout, { track }: RiddenTrack): SceneWord[] {
  if (track.kind !== 'items') return [];
  const numbers = new Map<string, number[]>();
  stopNumbers(track, layout.items).forEach((number, index) => {
    const { item } = track.through[index]!;
    if (number !== null) numbers.set(item, [...(numbers.get(item) ?? []), number]);
  });
  return layout.items.flatMap(item => {
    const own = numbers.get(item.id);
    if (!own || !isRidden(item)) return [];
    const highM = item.kind === 'fence' ? OVER_M : ridingHeightM(item) + 0.4;
    return [{ words: own.join(', '), at: above(item.at, highM) }];
  });
}
