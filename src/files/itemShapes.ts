import { pointAlong, RAILS_ACROSS, type Fence, type Item, type PointM } from '@/core';
import { pathShape, type Shape } from './shape';

/** A point of the sand as it is written in a path. */
export type At = (point: PointM) => string;

const STAND_M = 0.5;

/** Along the heading of an item and to its left. */
function inFrame(item: Item & { headingRad: number }, aheadM: number, leftM: number): PointM {
  return pointAlong(pointAlong(item.at, item.headingRad, aheadM), item.headingRad + Math.PI / 2, leftM);
}

/** What an item looks like from above. */
export function itemShapes(item: Item, at: At): Shape[] {
  switch (item.kind) {
    case 'pole':
      return [rail(`M${at(inFrame(item, 0, item.lengthM / 2))}L${at(inFrame(item, 0, -item.lengthM / 2))}`)];
    case 'guide':
      return [rail(`M${at(inFrame(item, -item.lengthM / 2, 0))}L${at(inFrame(item, item.lengthM / 2, 0))}`)];
    case 'fence':
      return fenceShapes(item, at);
    default:
      return [pathShape(round(item.at, item.kind === 'block' ? 0.3 : 0.2, at), { fill: '#000' })];
  }
}

const rail = (d: string) => pathShape(d, { stroke: '#000', strokeM: 0.16 });

export function round({ xM, yM }: PointM, radiusM: number, at: At): string {
  const [a, b] = [at({ xM: xM - radiusM, yM }), at({ xM: xM + radiusM, yM })];
  return `M${a}A${radiusM} ${radiusM} 0 0 1 ${b}A${radiusM} ${radiusM} 0 0 1 ${a}Z`;
}

function fenceShapes(fence: Fence, at: At): Shape[] {
  const { form, spreadM, widthM, groundLineBeforeM } = fence;
  const half = widthM / 2;
  const across = (aheadM: number) => `M${at(inFrame(fence, aheadM, half))}L${at(inFrame(fence, aheadM, -half))}`;
  const stand = (aheadM: number, leftM: number) => {
    const side = leftM + Math.sign(leftM) * (STAND_M / 2);
    const corners = [
      [STAND_M / 2, STAND_M / 2],
      [-STAND_M / 2, STAND_M / 2],
      [-STAND_M / 2, -STAND_M / 2],
      [STAND_M / 2, -STAND_M / 2],
    ].map(([dx, dy]) => at(inFrame(fence, aheadM + dx!, side + dy!)));
    return pathShape(`M${corners.join('L')}Z`, { stroke: '#000', strokeM: 0.06, fill: '#ddd' });
  };
  const stands =
    form === 'corner'
      ? cornerStands(fence).map(([ahead, left]) => stand(ahead, left))
      : RAILS_ACROSS[form].flatMap(share => [stand(share * spreadM, half), stand(share * spreadM, -half)]);
  const arrowM = spreadM / 2 + 0.5;
  const arrow = `M${at(inFrame(fence, arrowM, 0.4))}L${at(inFrame(fence, arrowM + 0.5, 0))}L${at(inFrame(fence, arrowM, -0.4))}`;
  return [
    ...stands,
    ...(groundLineBeforeM === null
      ? []
      : [pathShape(across(-spreadM / 2 - groundLineBeforeM), { stroke: '#888', strokeM: 0.1 })]),
    rail(
      form === 'corner'
        ? cornerRails(fence, at)
        : form === 'cross-rail'
          ? crossed(fence, at)
          : RAILS_ACROSS[form].map(share => across(share * spreadM)).join(''),
    ),
    ...(fence.ridden === 'one-way' ? [pathShape(arrow, { stroke: '#000', strokeM: 0.1 })] : []),
  ];
}

function crossed(fence: Fence, at: At): string {
  const half = fence.widthM / 2;
  const line = (ahead: number) => `M${at(inFrame(fence, -ahead, half))}L${at(inFrame(fence, ahead, -half))}`;
  return line(0.16) + line(-0.16);
}

function cornerStands({ corner, widthM, spreadM }: Fence): [number, number][] {
  const flag = corner?.narrowEnd === 'right' ? -1 : 1;
  return [
    [0, (flag * widthM) / 2],
    [spreadM, (-flag * widthM) / 2],
    [-spreadM, (-flag * widthM) / 2],
  ];
}

function cornerRails(fence: Fence, at: At): string {
  const [flag, back, front] = cornerStands(fence).map(([ahead, left]) => at(inFrame(fence, ahead, left)));
  return `M${front}L${flag}L${back}`;
}
