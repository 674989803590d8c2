import { eyePicture, type EyePicture } from '../view/picture';
import { EYE_OVER_WITHERS_M, riderCamera, USUAL_HEIGHT_M, type RiddenTrack } from '../view/riderEye';
import { above } from '../view/spot';
import type { AskedToShow } from './askedToShow';

/** So far before the first fence one looks down the line, metres. */
const BEFORE_M = 12;
/** As high over the sand as the number of a fence stands. */
const NUMBER_M = 1.9;

/** A still of what is asked, from the saddle: what it shows, and what it is of. */
export type AskedEye = { picture: EyePicture; label: string; ridden: RiddenTrack; heightM: number | null };

/**
 * What is asked as its rider has it before the first fence, on the horse it is told for or one of middle size.
 * @param aspect - the picture’s width by its height
 * @returns null for a session of figures, and where nothing leads anywhere
 */
export function askedEye({ layout, track: reckoned, labels, called }: AskedToShow, aspect: number): AskedEye | null {
  const [track] = layout.tracks;
  if (track?.kind !== 'items' || reckoned.lengthM === 0) return null;
  const heightM = layout.horses[0]?.heightM ?? null;
  const ridden = { track, reckoned };
  const eyeM = (heightM ?? USUAL_HEIGHT_M) + EYE_OVER_WITHERS_M;
  const camera = riderCamera(layout, ridden, -BEFORE_M, { eyeM, look: 'next', aspect });
  if (!camera) return null;
  const words = layout.items.flatMap(({ id, at }) => {
    const label = labels.get(id);
    return label === undefined ? [] : [{ words: label, at: above(at, NUMBER_M) }];
  });
  const first = called.get(track.through[0]!.item) ?? 'the first';
  return {
    ...{ ridden, heightM, picture: eyePicture(camera, { arena: layout.arena, items: layout.items, words }) },
    label: `From the saddle, ${BEFORE_M} m before ${first}`,
  };
}
