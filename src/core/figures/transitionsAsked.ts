import type { Arena } from '../arena/arena';
import type { Pose } from '../geometry/pose';
import type { FigureTrack } from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import { rideSession, type Session } from './rideSession';
import type { RidePiece } from './stretch';

/** A change of gait that a session asks for, and where, on the sand and along it; counted from 1 in the order ridden. */
export type TransitionAsked = {
  place: number;
  from: TrackGait | 'halt';
  to: TrackGait | 'halt';
  pose: Pose;
  alongM: number;
};

/** The changes of gait of a session of figures; none where it cannot be ridden. */
export function transitionsAsked(arena: Arena, { figures, gait }: Pick<FigureTrack, 'figures' | 'gait'>) {
  return transitionsOf(rideSession(arena, figures, gait));
}

/** The changes of gait of a session that is reckoned already. */
export function transitionsOf(session: Session): TransitionAsked[] {
  if (!session.ok) return [];
  const changes: TransitionAsked[] = [];
  let before: TrackGait | 'halt' | null = null;
  let alongM = 0;
  for (const piece of session.pieces) {
    const to = gaitOf(piece);
    if (before !== null && before !== to)
      changes.push({ place: changes.length + 1, from: before, to, pose: beginning(piece), alongM });
    before = to;
    if (piece.kind === 'stretch') alongM += piece.chain.lengthM;
  }
  return changes;
}

/** What is done on the spot is done at the halt; steps back or aside are ridden from it. */
const gaitOf = (piece: RidePiece) => (piece.kind === 'stretch' ? piece.gait : 'halt');

const beginning = (piece: RidePiece): Pose => (piece.kind === 'stretch' ? piece.chain.start : piece.pose);
