import type { TrackGait } from '../layout/trackGait';
import type { Pace } from './figure';
import type { Session } from './rideSession';
import { sideOfRein, type Rein } from '../track/rein';
import type { RidePiece, Sideways, Stretch } from './stretch';

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
  /** The body's angle to the way, radians; null where it is on one track. */
  bodyRad: number | null;
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

function askedOf(piece: RidePiece): Pick<SessionBand, 'gait' | 'rein' | 'pace' | 'asked' | 'bodyRad'> {
  const { rein } = piece;
  if (piece.kind === 'station')
    return { gait: null, rein, pace: 'normal', bodyRad: null, asked: piece.deed.kind.replaceAll('-', ' ') };
  const { gait, pace, sideways } = piece;
  return { gait, rein, pace, bodyRad: sideways?.bodyRad ?? null, asked: askedOfBody(piece) };
}

/** What is asked of the body on a stretch: "shoulder-in", "yielding out", "free walk"; null for plain riding. */
export function askedOfBody(stretch: Stretch): string | null {
  const { sideways, counterBend, rest } = stretch;
  if (sideways) return sidewaysWords(stretch, sideways);
  return counterBend ? 'counter-bend' : (rest?.replace('-', ' ') ?? null);
}

/** On a circle a horse yields in or out; on a line the movement is called by its name. */
function sidewaysWords({ chain, rein }: Pick<Stretch, 'chain' | 'rein'>, { movement, bodyRad }: Sideways): string {
  const isRound = chain.segments.some(({ kind }) => kind === 'arc');
  if (movement !== 'leg-yield' || !isRound) return movement;
  return Math.sign(bodyRad) === sideOfRein(rein) ? 'yielding out' : 'yielding in';
}

const isAlike = (a: SessionBand, b: SessionBand) =>
  a.gait !== null &&
  a.figure === b.figure &&
  a.gait === b.gait &&
  a.rein === b.rein &&
  a.pace === b.pace &&
  a.asked === b.asked;
