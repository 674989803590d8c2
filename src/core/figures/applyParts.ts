import { chainPart } from '../geometry/chainPart';
import { bodyAngleRad } from './bodyAngle';
import type { FigurePart } from './figure';
import type { FigureRide } from './figureRide';
import type { RidePiece, Stretch } from './stretch';

const ROUNDING_M = 1e-6;

/**
 * Cuts a ride where what is asked changes, and asks it there. Distances run along the whole figure; where parts overlap
 * the later one in the list has the last word.
 */
export function applyParts(pieces: readonly RidePiece[], parts: readonly FigurePart[]): FigureRide {
  const lengthM = pieces.reduce((sum, piece) => sum + (piece.kind === 'stretch' ? piece.chain.lengthM : 0), 0);
  const wrong = parts.find(({ fromM, toM }) => !(fromM >= 0 && fromM < toM && toM <= lengthM + ROUNDING_M));
  if (wrong)
    return {
      ok: false,
      reason: `A part from ${wrong.fromM} to ${wrong.toM} m does not lie on the figure, which is ${lengthM.toFixed(2)} m long.`,
    };
  const edges = parts.flatMap(({ fromM, toM }) => [fromM, toM]);
  const asked: RidePiece[] = [];
  let beforeM = 0;
  for (const piece of pieces) {
    if (piece.kind === 'station') {
      asked.push(piece);
      continue;
    }
    for (const { stretch, atM } of cutStretch(piece, edges, beforeM)) asked.push(askedOf(stretch, atM, parts));
    beforeM += piece.chain.lengthM;
  }
  return { ok: true, pieces: asked };
}

function cutStretch(stretch: Stretch, edges: readonly number[], beforeM: number): { stretch: Stretch; atM: number }[] {
  const { lengthM } = stretch.chain;
  const within = edges.map(edge => edge - beforeM).filter(edge => edge > ROUNDING_M && edge < lengthM - ROUNDING_M);
  const cuts = [0, ...new Set(within.sort((a, b) => a - b)), lengthM];
  return cuts.slice(1).map((toM, index) => ({
    stretch: { ...stretch, chain: chainPart(stretch.chain, cuts[index]!, toM) },
    atM: beforeM + (cuts[index]! + toM) / 2,
  }));
}

function askedOf(stretch: Stretch, atM: number, parts: readonly FigurePart[]): Stretch {
  let asked = stretch;
  for (const { fromM, toM, gait, pace, sideways, counterBend, rest } of parts) {
    if (atM < fromM || atM > toM) continue;
    asked = {
      ...asked,
      gait: gait ?? asked.gait,
      pace: pace ?? asked.pace,
      counterBend: counterBend ?? asked.counterBend,
      rest: rest ?? asked.rest,
      sideways: sideways ? { movement: sideways, bodyRad: bodyAngleRad(sideways, asked.rein) } : asked.sideways,
    };
  }
  return asked;
}
