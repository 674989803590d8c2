import { rideSession } from '../figures/rideSession';
import { sessionGaits } from '../figures/sessionGaits';
import { transitionsOf, type TransitionAsked } from '../figures/transitionsAsked';
import { distanceM } from '../geometry/pointM';
import { isGaitedGait } from '../horse/strideEntry';
import type { FigureTrack, Layout } from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import type { TappedMark } from './passMark';
import type { GaitManner } from './standInMarks';

/** What somebody who watches marks of the gaits of a session: where they slip, what canter came out of, and the head. */
export function gaitMarks(
  { arena }: Layout,
  track: FigureTrack,
  manner: GaitManner,
  random: () => number,
): TappedMark[] {
  const session = rideSession(arena, track.figures, track.gait);
  const marks = transitionsOf(session).flatMap(change => atChange(change, manner, random));
  const most = sessionGaits(session).sort((a, b) => b.toM - b.fromM - (a.toM - a.fromM))[0]?.gait ?? track.gait;
  const high = random() < (manner.headHigh[most] ?? 0.1);
  return isGaitedGait(most) ? [...marks, { kind: 'head', height: high ? 'high' : 'as wanted' }] : marks;
}

function atChange(
  { place, from, to, pose, alongM }: TransitionAsked,
  { slip, promptCanter }: GaitManner,
  random: () => number,
): TappedMark[] {
  if (to === 'halt') return [];
  if (to === 'canter') {
    const prompt = random() < (promptCanter[from as TrackGait] ?? 0.5);
    return [{ kind: 'transition', place, to, how: prompt ? 'prompt' : 'ran into it', trotSteps: null }];
  }
  if (!isGaitedGait(to)) return [];
  const isThere = distanceM(pose.at, slip.at) <= slip.radiusM;
  if (random() >= (isThere ? slip.chance : slip.elsewhere)) return [];
  return [{ kind: 'gait', ridden: slip.into, fromM: alongM, asked: to }];
}
