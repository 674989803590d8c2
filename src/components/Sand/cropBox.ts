import { chainsOf, footprintCorners, poseAt, type Item, type PointM, type ReckonedTrack } from '@/core';
import type { PaperBox } from './Sand';
import { drawn, type SandView } from './sandView';

/** Round what is drawn, metres; and no picture shows less of the sand than this. */
const MARGIN_M = 1.2;
const LEAST_M = 7;
/** Width by height of a picture. */
const SHAPE = 1.7;
const EVERY_M = 1;

/**
 * The part of the sand that a picture of some things shows: all of them and the tracks over them with a little room, as wide by high
 * as a picture is. The whole sand where there is nothing.
 */
export function cropBox(
  view: SandView,
  items: readonly Item[],
  tracks: readonly ReckonedTrack[],
  more: readonly PointM[] = [],
): PaperBox {
  const places = [...items.flatMap(footprintCorners), ...tracks.flatMap(placesOn), ...more].map(view.toPaper);
  if (places.length === 0) return { x: 0, y: 0, width: view.widthM, height: view.heightM };
  const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
  const [left, right] = [Math.min(...xs) - MARGIN_M, Math.max(...xs) + MARGIN_M];
  const [top, bottom] = [Math.min(...ys) - MARGIN_M, Math.max(...ys) + MARGIN_M];
  const widthM = Math.max(right - left, (bottom - top) * SHAPE, LEAST_M * SHAPE);
  const heightM = Math.max(bottom - top, widthM / SHAPE);
  return {
    x: drawn((left + right - widthM) / 2),
    y: drawn((top + bottom - heightM) / 2),
    width: drawn(widthM),
    height: drawn(heightM),
  };
}

function placesOn(track: ReckonedTrack): PointM[] {
  return chainsOf(track).flatMap(chain => {
    const steps = Math.max(1, Math.ceil(chain.lengthM / EVERY_M));
    return Array.from({ length: steps + 1 }, (_, step) => poseAt(chain, (chain.lengthM * step) / steps).at);
  });
}
