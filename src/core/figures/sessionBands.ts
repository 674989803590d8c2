import type { TrackGait } from '../layout/trackGait';
import type { Rein } from '../track/rein';
import type { Pace } from './figure';
import type { Session } from './rideSession';
import type { RidePiece } from './stretch';

/**
 * A part of a session in which one thing is ridden: one figure, or the way to the next (null), in one gait, on one rein, in one pace.
 * What is done on the spot has no length and no gait. Metres along the session.
 */
export type SessionBand = {
  figure: number | null;
  fromM: number;
  toM: number;
  gait: TrackGait | null;
  rein: Rein;
  pace: Pace;
  /** What is asked of the body or done on the spot: "shoulder-in", "halt"; null for plain riding. */
  asked: string | null;
  /** Its pieces, by their places in the session. */
  pieces: number[];
};

/** A session band by band, in the order ridden. */
export function sessionBands({ pieces, figureOf }: Extract<Session, { ok: true }>): SessionBand[] {
  const bands: SessionBand[] = [];
  let alongM = 0;
  pieces.forEach((piece, index) => {
    const fromM = alongM;
    alongM += piece.kind === 'stretch' ? piece.chain.lengthM : 0;
    const band = { figure: figureOf[index] ?? null, fromM, toM: alongM, ...askedOf(piece), pieces: [index] };
    const last = bands.at(-1);
    if (last && isAlike(last, band)) {
      last.toM = alongM;
      last.pieces.push(index);
    } else bands.push(band);
  });
  return bands;
}

function askedOf(piece: RidePiece): Pick<SessionBand, 'gait' | 'rein' | 'pace' | 'asked'> {
  const { rein } = piece;
  if (piece.kind === 'station')
    return { gait: null, rein, pace: 'normal', asked: piece.deed.kind.replaceAll('-', ' ') };
  const { gait, pace, sideways, counterBend, rest } = piece;
  const resting = rest?.replace('-', ' ') ?? null;
  return { gait, rein, pace, asked: sideways?.movement ?? (counterBend ? 'counter-bend' : resting) };
}

const isAlike = (a: SessionBand, b: SessionBand) =>
  a.gait !== null &&
  a.figure === b.figure &&
  a.gait === b.gait &&
  a.rein === b.rein &&
  a.pace === b.pace &&
  a.asked === b.asked;
