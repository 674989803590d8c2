import type { HoofMark, Pose } from '@/core';
import { paperFrame } from './paperFrame';
import { drawn, type SandView } from './sandView';
import type { Shape } from './shape';

/** A print is no longer than this share of the stride it ends. */
const PRINT_SHARE = 0.2;

type Prints = readonly { kind?: HoofMark['kind']; pose: Pose }[];

/**
 * Prints, toe ahead; landing and take-off are filled, so that a leg can be counted at a glance.
 * @param strideM - from one to the next, so that prints are no larger than what lies between them
 */
export function hoofShapes(
  prints: Prints,
  strideM: number,
  { view, textM }: { view: SandView; textM: number },
): Shape[] {
  const sizeM = drawn(Math.min(textM * 0.62, 0.5, strideM * PRINT_SHARE));
  return prints.map(({ kind = 'stride', pose }) => {
    const { at } = paperFrame(view, pose);
    const place = (x: number, y: number) => at(x * sizeM, y * sizeM);
    const d = `M${place(-0.5, -0.42)}Q${place(0.5, -0.62)} ${place(0.5, 0)}Q${place(0.5, 0.62)} ${place(-0.5, 0.42)}`;
    const look = kind === 'stride' ? 'hoof' : 'airHoof';
    return { kind: 'path', d, look, strokeM: sizeM * 0.2, hoof: kind };
  });
}
