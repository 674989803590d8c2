import { poseAt, type Chain, type Pose } from '@/core';
import { drawn, type SandView } from './sandView';

/** A chain as an SVG path, arcs as true arcs: exact at any size. */
export function chainPath(view: SandView, chain: Chain): string {
  const start = view.toPaper(chain.start.at);
  return `M${start.x} ${start.y}${chainSteps(view, chain)}`;
}

/** Several chains that follow each other as one path; a gap begins anew. */
export function chainsPath(view: SandView, chains: readonly Chain[]): string {
  return chains.map(chain => chainPath(view, chain)).join('');
}

const HALF_ROUND_RAD = Math.PI * 0.9;

function chainSteps(view: SandView, chain: Chain): string {
  let alongM = 0;
  let steps = '';
  for (const segment of chain.segments) {
    if (segment.kind === 'line') {
      alongM += segment.lengthM;
      const { x, y } = view.toPaper(poseAt(chain, Math.min(alongM, chain.lengthM)).at);
      steps += `L${x} ${y}`;
      continue;
    }
    // An arc of a path may go no further than halfway round, so a long one is drawn in pieces.
    const pieces = Math.max(1, Math.ceil(Math.abs(segment.sweepRad) / HALF_ROUND_RAD));
    const pieceM = (segment.radiusM * Math.abs(segment.sweepRad)) / pieces;
    const clockwise = segment.sweepRad < 0 ? 1 : 0;
    for (let piece = 0; piece < pieces; piece += 1) {
      alongM += pieceM;
      const { x, y } = view.toPaper(poseAt(chain, Math.min(alongM, chain.lengthM)).at);
      steps += `A${drawn(segment.radiusM)} ${drawn(segment.radiusM)} 0 0 ${clockwise} ${x} ${y}`;
    }
  }
  return steps;
}

/** Poses along chains, every so many metres, at which to say which way they are ridden. */
export function wayPoses(chains: readonly Chain[], everyM: number): Pose[] {
  const poses: Pose[] = [];
  let nextM = everyM / 2;
  let beforeM = 0;
  for (const chain of chains) {
    for (; nextM < beforeM + chain.lengthM; nextM += everyM) poses.push(poseAt(chain, nextM - beforeM));
    beforeM += chain.lengthM;
  }
  return poses;
}
