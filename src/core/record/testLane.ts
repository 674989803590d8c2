import { seededNormal, seededRandom } from '../statistics/seededRandom';
import { strideOfLane, stridesInLane, type CountedPass } from './strideInterval';

/**
 * The judge of the stride test, for the tests and for the tables of docs/review.md: horses go through lanes step by step,
 * and are counted as an instructor counts. It uses nothing of what it judges.
 */

/** What of a pass was noted. */
export type Noted = (pass: CountedPass) => CountedPass;
export const wholeOnly: Noted = ({ count }) => ({ count, behind: null, part: null });
export const finishOnly: Noted = ({ count, part }) => ({ count, behind: null, part });
export const bothEnds: Noted = pass => pass;

function goThrough(laneM: number, strideM: number, spread: number, random: () => number): CountedPass {
  const nowM = strideM * (1 + spread * seededNormal(random));
  const behindM = random() * nowM;
  let at = -behindM;
  let count = 0;
  while (at + nowM <= laneM) {
    at += nowM;
    count += 1;
  }
  const quarter = (share: number) => Math.min(0.75, Math.round(share * 4) / 4);
  return { count, behind: quarter(behindM / nowM), part: quarter((laneM - at) / nowM) };
}

/** How often the interval of a test holds the true stride, 0 to 1. */
export function coverage(
  { laneM, strideM, passes, spread }: { laneM: number; strideM: number; passes: number; spread: number },
  noted: Noted,
  rounds: number,
): number {
  const random = seededRandom(20261127 + passes);
  let held = 0;
  for (let round = 0; round < rounds; round += 1) {
    const counted = Array.from({ length: passes }, () => noted(goThrough(laneM, strideM, spread, random)));
    if (counted.some(({ count }) => count < 1)) continue;
    const { lowM, highM } = strideOfLane(laneM, stridesInLane(counted));
    if (lowM <= strideM && strideM <= highM) held += 1;
  }
  return held / rounds;
}
