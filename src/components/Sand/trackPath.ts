import { poseAt, type Chain, type Pose } from '@/core';
import { chainPath as pathOnPaper } from '@/files/chainPath';
import type { SandView } from './sandView';

/** A chain as it is drawn on this sand. */
export function chainPath(view: SandView, chain: Chain): string {
  return pathOnPaper(view.toPaper, chain);
}

/** Several chains that follow each other as one path; a gap begins anew. */
export function chainsPath(view: SandView, chains: readonly Chain[]): string {
  return chains.map(chain => chainPath(view, chain)).join('');
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
