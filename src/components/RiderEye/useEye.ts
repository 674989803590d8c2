import {
  above,
  eyePicture,
  lookFacts,
  nextStop,
  riderCamera,
  type EyePicture,
  type Look,
  type LookFacts,
  type RiddenTrack,
  type Scene,
  type SceneWord,
} from '@/core';
import { useCallback, useMemo } from 'react';

/** What things are called: as short as over them, and in a sentence. */
export type EyeNames = { short: ReadonlyMap<string, string>; inWords: ReadonlyMap<string, string> };

export type EyeAt = {
  scene: Pick<Scene, 'arena' | 'items'>;
  ridden: RiddenTrack;
  names: EyeNames;
  alongM: number;
  eyeM: number;
  look: Look;
};

export type Eye = {
  pictureOf: (aspect: number) => EyePicture | null;
  facts: LookFacts | null;
  /** What is ridden at next. */
  next: string | null;
};

/** What a rider sees so far along a track, for a picture of any shape, and what is to be said of it. */
export function useEye({ scene, ridden, names, alongM, eyeM, look }: EyeAt): Eye {
  const words = useMemo(() => wordsOver(scene.items, names), [scene.items, names]);
  const pictureOf = useCallback(
    (aspect: number) => {
      const camera = riderCamera(scene, ridden, alongM, { eyeM, look, aspect });
      return camera && eyePicture(camera, { ...scene, words });
    },
    [scene, ridden, alongM, eyeM, look, words],
  );
  const facts = useMemo(() => lookFacts(scene, ridden, alongM), [scene, ridden, alongM]);
  return { pictureOf, facts, next: nextStop(scene, ridden, alongM)?.item.id ?? null };
}

/** As high as the words over a fence stand, and over a pole. */
const OVER_FENCE_M = 1.9;
const OVER_POLE_M = 0.6;

/** What is ridden has its number in the course over it. */
function wordsOver(items: Scene['items'], { short }: EyeNames): SceneWord[] {
  return items.flatMap(({ id, kind, at }) => {
    const words = short.get(id);
    return words === undefined ? [] : [{ words, at: above(at, kind === 'fence' ? OVER_FENCE_M : OVER_POLE_M) }];
  });
}
