import { poseAt, type Chain, type PointM } from '@/core';

/** Where a place on the sand lies on paper, metres with y down. The paper may be turned, not mirrored. */
export type ToPaper = (point: PointM) => { x: number; y: number };

/** An arc of a path may go no further than halfway round, so a long one is drawn in pieces. */
const HALF_ROUND_RAD = Math.PI * 0.9;
const PER_MICRON = 1e6;
const toMicron = (metres: number) => Math.round(metres * PER_MICRON) / PER_MICRON + 0;

/** A chain in the path notation of SVG, arcs as true arcs: exact at any size. */
export function chainPath(toPaper: ToPaper, chain: Chain): string {
  const start = toPaper(chain.start.at);
  let path = `M${toMicron(start.x)} ${toMicron(start.y)}`;
  let alongM = 0;
  const on = (metres: number) => {
    alongM += metres;
    const { x, y } = toPaper(poseAt(chain, Math.min(alongM, chain.lengthM)).at);
    return `${toMicron(x)} ${toMicron(y)}`;
  };
  for (const segment of chain.segments) {
    if (segment.kind === 'line') {
      path += `L${on(segment.lengthM)}`;
      continue;
    }
    const pieces = Math.max(1, Math.ceil(Math.abs(segment.sweepRad) / HALF_ROUND_RAD));
    const pieceM = (segment.radiusM * Math.abs(segment.sweepRad)) / pieces;
    const radius = toMicron(segment.radiusM);
    const clockwise = segment.sweepRad < 0 ? 1 : 0;
    for (let piece = 0; piece < pieces; piece += 1) path += `A${radius} ${radius} 0 0 ${clockwise} ${on(pieceM)}`;
  }
  return path;
}
