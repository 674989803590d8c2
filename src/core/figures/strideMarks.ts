import { poseAt } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { StrideRange } from '../horse/strideEntry';
import type { TrackGait } from '../layout/trackGait';
import type { RidePiece, Stretch } from './stretch';

const ROUNDING_M = 1e-9;

export type StrideMark = { pose: Pose; alongM: number; piece: number; strideM: number };

/**
 * Where a horse's strides fall along a session: the named foot at the start, then a stride further each time, short or
 * long where that is asked. Strides run on from stretch to stretch, and start afresh after a station, in another gait,
 * and where a piece begins somewhere else. A gait whose stride nobody knows leaves no marks.
 */
export function strideMarks(
  pieces: readonly RidePiece[],
  strideOf: (gait: TrackGait) => StrideRange | null,
): StrideMark[] {
  const marks: StrideMark[] = [];
  let beforeM = 0;
  /** What is left of the stride that began before this piece, metres. */
  let restM = 0;
  let lastGait: TrackGait | null = null;
  for (const [piece, ridden] of pieces.entries()) {
    if (ridden.kind === 'station') {
      lastGait = null;
      continue;
    }
    const stride = strideOf(ridden.gait);
    if (ridden.gait !== lastGait) restM = 0;
    lastGait = ridden.gait;
    if (stride) {
      const strideM = pacedM(stride, ridden);
      let alongM = restM;
      // A stride that begins where something else is asked belongs to what is asked there.
      for (; alongM < ridden.chain.lengthM - ROUNDING_M; alongM += strideM)
        marks.push({ pose: poseAt(ridden.chain, alongM), alongM: beforeM + alongM, piece, strideM });
      restM = Math.max(0, alongM - ridden.chain.lengthM);
    }
    beforeM += ridden.chain.lengthM;
  }
  return marks;
}

function pacedM(stride: StrideRange, { pace }: Stretch): number {
  if (pace === 'short') return stride.shortM;
  return pace === 'long' ? stride.longM : stride.normalM;
}
