import type { Fence } from './item';

/** A fence at another height; the sides of a cross-rail go up with its middle. */
export function atHeight(fence: Fence, heightM: number): Fence {
  return { ...fence, heightM, sideHeightM: fence.sideHeightM === null ? null : 2 * heightM };
}
