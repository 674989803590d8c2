import { paperFrame } from '@/components/Sand/paperFrame';
import { drawn, type PaperPoint } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import type { LeadMark } from '@/core';
import type { Seen } from './trackShapes';

/** The lead of a canter as the ground shows it: two prints, that of the leading foot ahead. */
export function leadShape({ lead, pose }: LeadMark, middle: PaperPoint, { view, textM }: Seen): Shape {
  const { at } = paperFrame(view, { at: view.toSand(middle), headingRad: pose.headingRad });
  const sizeM = drawn(textM * 0.44);
  const print = (aheadM: number, rightM: number) => {
    const place = (x: number, y: number) => at(aheadM + x * sizeM, rightM + y * sizeM);
    return `M${place(-0.5, -0.42)}Q${place(0.5, -0.62)} ${place(0.5, 0)}Q${place(0.5, 0.62)} ${place(-0.5, 0.42)}Z`;
  };
  const leads = lead === 'left' ? -1 : 1;
  const d = print(sizeM * 0.5, leads * sizeM * 0.55) + print(-sizeM * 0.5, -leads * sizeM * 0.55);
  return { kind: 'path', d, look: 'lead', lead };
}
