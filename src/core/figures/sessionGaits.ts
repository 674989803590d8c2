import type { TrackGait } from '../layout/trackGait';
import type { Session } from './rideSession';

/** A stretch of a track in one gait, metres from its beginning. */
export type GaitStretch = { gait: TrackGait; fromM: number; toM: number };

/** The gaits that a session asks for, stretch by stretch, without gaps; what is done on the spot has no length. */
export function sessionGaits(session: Session): GaitStretch[] {
  const stretches: GaitStretch[] = [];
  if (!session.ok) return stretches;
  let atM = 0;
  for (const piece of session.pieces) {
    if (piece.kind !== 'stretch') continue;
    const { gait, chain } = piece;
    const last = stretches.at(-1);
    if (last?.gait === gait) last.toM += chain.lengthM;
    else stretches.push({ gait, fromM: atM, toM: atM + chain.lengthM });
    atM += chain.lengthM;
  }
  return stretches;
}

/** How far along a session each of its figures begins, metres; null for one that is not reached. */
export function figureStartsM(session: Session, figures: number): (number | null)[] {
  const starts: (number | null)[] = Array.from({ length: figures }, () => null);
  if (!session.ok) return starts;
  let atM = 0;
  for (const [index, piece] of session.pieces.entries()) {
    const figure = session.figureOf[index];
    if (figure !== null && figure !== undefined) starts[figure] ??= atM;
    if (piece.kind === 'stretch') atM += piece.chain.lengthM;
  }
  return starts;
}
