import type { SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import { chainsOf, poseAt, type ReckonedTrack } from '@/core';

/** How wide a letter is, as a share of the height of the letters. */
const LETTER = 0.55;
const LINE = 1.15;

/** Words at the middle of each leg, beside its line and not on it. */
export function legWords(
  track: ReckonedTrack,
  atLegs: readonly (readonly string[])[],
  { view, textM }: { view: SandView; textM: number },
): Shape[] {
  const sizeM = textM * 0.8;
  return chainsOf(track).flatMap((chain, leg): Shape[] => {
    const lines = atLegs[leg] ?? [];
    if (lines.length === 0) return [];
    const { at, headingRad } = poseAt(chain, chain.lengthM / 2);
    const middle = view.toPaper(at);
    // To the left of the way, as it lies on paper.
    const beside = view.toPaper({ xM: at.xM - Math.sin(headingRad), yM: at.yM + Math.cos(headingRad) });
    const across = { x: beside.x - middle.x, y: beside.y - middle.y };
    const halfWidth = (Math.max(...lines.map(({ length }) => length)) * sizeM * LETTER) / 2;
    const halfHeight = (lines.length * sizeM * LINE) / 2;
    const out = Math.abs(across.x) * halfWidth + Math.abs(across.y) * halfHeight + sizeM * 0.6;
    return lines.map((words, line) => ({
      kind: 'text' as const,
      x: middle.x + across.x * out,
      y: middle.y + across.y * out + (line - (lines.length - 1) / 2) * sizeM * LINE,
      ...{ sizeM, look: 'name' as const, runs: [{ words }] },
    }));
  });
}
