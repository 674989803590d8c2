import { assertNever } from '../assertNever';
import type { FailurePolicy } from '../exercises/exercise';
import { isVoid, passFaults, type JudgedPass } from '../record/passJudged';
import { NO_GROUND, type FaultGround } from './faultGround';
import type { FaultAnswer } from './repeatedFault';

/** What the yard's policy says after a pass that went wrong. */
export type AfterFailure = { words: string; answers: FaultAnswer[] };

/** Common practice, no source: a first mistake is the horse's to learn from, and the same question is asked three times. */
export const MOST_TRIES = 3;

/**
 * What to do now, by the policy of the stage; null where the last pass that counts had no fault.
 * @param passes - of one pair and one question, oldest first
 * @param nameOf - what stands at a place, from 1
 */
export function afterFailure(
  policy: FailurePolicy,
  passes: readonly JudgedPass[],
  nameOf: (place: number, part?: number) => string,
  ground: FaultGround = NO_GROUND,
): AfterFailure | null {
  const counted = passes.filter(pass => !isVoid(pass));
  const last = counted[counted.length - 1];
  const fault = last && passFaults(last).find(Boolean);
  if (!last || !fault) return null;
  const failures = failuresAtEnd(counted);
  // Strides are marked on the leg that leads to the next place.
  const place = fault.place === null ? null : fault.what.startsWith('strides') ? fault.place + 1 : fault.place;
  const where = place === null ? 'what failed' : nameOf(place, fault.part);
  const lies = place !== null && ground.at(place) === 'pole';
  const line: FaultAnswer[] =
    place === null || place < 2 ? [] : [{ kind: 'only this line', from: place - 1, to: place }];
  const down: FaultAnswer[] = [{ kind: 'stage down' }];
  switch (policy) {
    case 'same question again':
      return failures < MOST_TRIES
        ? { words: `The same question again: try ${failures + 1} of ${MOST_TRIES}.`, answers: line }
        : { words: `${MOST_TRIES} tries have failed: ask something easier now.`, answers: [...down, ...line] };
    case 'lower only what failed':
      return lies
        ? { words: `Take ${where} out, and leave the rest.`, answers: line }
        : { words: `Lower ${where}, or lay it as a pole, and leave the rest.`, answers: line };
    case 'a stage down':
      return { words: 'Back to the stage before, until it is easy again.', answers: down };
    case 'a gait down':
      return { words: 'The same in the gait below, then again in this one.', answers: line };
    case 'stand and look':
      return { words: `Let the horse stand and look at ${where}, then ride it again.`, answers: line };
    case 'stop, back up, restart':
      return { words: 'Stop, back up a few steps, and start again from a circle.', answers: line };
    case 'let it go':
      return { words: 'Let it go, and ride on.', answers: [] };
    default:
      return assertNever(policy);
  }
}

function failuresAtEnd(passes: readonly JudgedPass[]): number {
  const clean = passes.findLastIndex(pass => passFaults(pass).length === 0);
  return passes.length - 1 - clean;
}
