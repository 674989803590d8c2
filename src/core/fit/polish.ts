import { costAround, type FitProblem } from './fitCost';
import type { FitMove } from './pieces';

type Best = { moves: FitMove[]; cost: number };

/** What is tried for each piece: along, aside and turned, from large to small; whole steps of what is set. */
const TRIED_M = [0.5, 0.2, 0.05] as const;
const TRIED_RAD = [(5 * Math.PI) / 180, Math.PI / 180] as const;
const MOST_ROUNDS = 12;
/** A gain this small is none. */
const HAIR = 1e-9;

/** Moves made better one piece at a time, each kept only where it raises no caution: what is set is rounded, and that costs. */
export function* polished(
  problem: FitProblem,
  free: readonly number[],
  from: Best,
  isSound: (moves: readonly FitMove[]) => boolean,
): Generator<Best> {
  // What a piece changes is what hangs on it: the rest of the cost stays as it was.
  const around = costAround(problem);
  let best = from;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const before = best.cost;
    for (const piece of free) {
      const tries = neighbours(best.moves[piece]!)
        .map(move => {
          const moves = [...best.moves];
          moves[piece] = move;
          return { moves, cost: best.cost - around(best.moves, piece) + around(moves, piece) };
        })
        .filter(({ cost }) => cost < best.cost - HAIR)
        .sort((a, b) => a.cost - b.cost);
      const better = tries.slice(0, 3).find(({ moves }) => isSound(moves));
      if (better) best = better;
    }
    if (best.cost > before * 0.999) return;
    yield best;
  }
}

function neighbours({ alongM, leftM, turnRad }: FitMove): FitMove[] {
  const both = (steps: readonly number[]) => steps.flatMap(step => [step, -step]);
  const near = [
    ...both(TRIED_M).map(byM => ({ alongM: near5(alongM + byM), leftM, turnRad })),
    ...both(TRIED_M).map(byM => ({ alongM, leftM: near5(leftM + byM), turnRad })),
    ...both(TRIED_RAD).map(byRad => ({ alongM, leftM, turnRad: nearDeg(turnRad + byRad) })),
    { alongM: 0, leftM, turnRad },
    { alongM, leftM: 0, turnRad },
    { alongM, leftM, turnRad: 0 },
  ];
  return near.filter(move => move.alongM !== alongM || move.leftM !== leftM || move.turnRad !== turnRad);
}

const near5 = (lengthM: number) => Math.round(lengthM * 20) / 20 || 0;
const nearDeg = (rad: number) => (Math.round((rad * 180) / Math.PI) * Math.PI) / 180 || 0;
