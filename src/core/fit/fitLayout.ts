import { USUAL_LIMITS, type CautionLimits } from '../cautions/cautionLimits';
import type { Layout } from '../layout/layout';
import { seededRandom } from '../statistics/seededRandom';
import { fitBlocks, fitCost, fitProblem, movesFrom, type FitProblem } from './fitCost';
import { fitReading, type FitReading } from './fitReading';
import { leastSquares } from './leastSquares';
import { isStill, movedLayout, movedPose, STAYS, type FitMove, type FitPiece } from './pieces';
import { polished } from './polish';
import { soundness } from './sound';

export type FitWish = {
  /** What moves as one, and what is locked. */
  pieces: readonly FitPiece[];
  /** Whom every leg is to ride as asked for. */
  horseIds: readonly string[];
  limits?: CautionLimits;
  seed?: number;
};

/** What a fit comes to. */
export type Fit = {
  /** What is moved, piece by piece; what stays is not in it. */
  moved: { piece: FitPiece; move: FitMove; to: ReturnType<typeof movedPose> }[];
  layout: Layout;
  /** What each leg is for each horse, before and after. */
  reading: FitReading;
  costBefore: number;
  cost: number;
};

/** How far a fit has come: a share of it, and its best so far. */
export type FitStep = { share: number; best: Fit };

/** So many starts besides what stands. */
const STARTS = 2;
const START_M = 1.5;
const START_RAD = (10 * Math.PI) / 180;
/** What is set: 5 cm and whole degrees. */
export const SET_M = 0.05;
export const SET_RAD = Math.PI / 180;
/** What raises a caution moves so much less, the second time less again. */
const SHRUNK = [0.6, 0.5, 0] as const;
const MOST_TRIES = 8;

/**
 * What moves least so that every leg rides as asked for these horses, step by step: whoever asks for no more step has the best so
 * far. Nothing is cautioned then (stop or warn) that was not before, and everything lies on 5 cm and whole degrees from where it lay.
 */
export function* fitSteps(layout: Layout, wish: FitWish): Generator<FitStep, Fit> {
  const problem = fitProblem(layout, wish.pieces, wish.horseIds);
  const free = wish.pieces.flatMap(({ locked }, index) => (locked ? [] : [index]));
  const still = wish.pieces.map(() => STAYS);
  const before = fitCost(problem, still);
  let best: Best = { moves: still, cost: before };
  const answer = () => told(problem, best.moves, before, best.cost);
  if (free.length === 0 || problem.legs.length === 0) return answer();
  const raises = soundness(layout, wish.limits ?? USUAL_LIMITS);
  const raised = (moves: readonly FitMove[]) => raises(movedLayout(layout, wish.pieces, moves));
  const random = seededRandom(wish.seed ?? 1);
  for (let start = 0; start <= STARTS; start += 1) {
    const from = start === 0 ? still : wish.pieces.map(({ locked }) => (locked ? STAYS : anywhere(random)));
    const found = soundFit(problem, free, from, raised);
    if (found && found.cost < best.cost) best = found;
    yield { share: (start + 1) / (STARTS + 3), best: answer() };
  }
  for (const step of polished(problem, free, best, moves => raised(moves).next().done === true)) {
    best = step;
    yield { share: (STARTS + 2) / (STARTS + 3), best: answer() };
  }
  return answer();
}

/** The same, run to its end. */
export function fitLayout(layout: Layout, wish: FitWish): Fit {
  const steps = fitSteps(layout, wish);
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}

const anywhere = (random: () => number): FitMove => {
  const spread = (most: number) => (2 * random() - 1) * most;
  return { alongM: spread(START_M), leftM: spread(START_M), turnRad: spread(START_RAD) };
};

/** Moves as they are set. */
export const rounded = (moves: readonly FitMove[]): FitMove[] =>
  moves.map(({ alongM, leftM, turnRad }) => ({
    alongM: toStep(alongM, SET_M),
    leftM: toStep(leftM, SET_M),
    turnRad: toStep(turnRad, SET_RAD),
  }));

const toStep = (value: number, step: number) => {
  const steps = Math.round(value / step);
  return steps === 0 ? 0 : steps * step;
};

type Best = { moves: FitMove[]; cost: number };
type Raised = (moves: readonly FitMove[]) => Generator<readonly string[]>;

/**
 * The least squares from a start, as it is set. Where that raises a caution, what it is about moves less, and the rest is fitted
 * anew around it; null where even that does not help.
 */
function soundFit(problem: FitProblem, free: readonly number[], from: readonly FitMove[], raised: Raised): Best | null {
  const lessened = new Map<number, number>();
  let start = from;
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const loose = free.filter(piece => !lessened.has(piece));
    const begin = loose.flatMap(piece => [start[piece]!.alongM, start[piece]!.leftM, start[piece]!.turnRad]);
    const { unknowns } = leastSquares(begin, fitBlocks(problem, { free: loose }, start));
    const moves = rounded(movesFrom({ free: loose }, unknowns, start));
    const about = new Set([...raised(moves)].flat());
    if (about.size === 0) return { moves, cost: fitCost(problem, moves) };
    const moved = free.filter(piece => !isStill(moves[piece]!));
    const named = moved.filter(piece => problem.pieces[piece]!.itemIds.some(id => about.has(id)));
    // Where none that moved is named, a track that moved with them is what is in the way.
    const at = named.length > 0 ? named : moved;
    for (const piece of at) lessened.set(piece, Math.min(SHRUNK.length - 1, (lessened.get(piece) ?? -1) + 1));
    start = moves.map((move, piece) => (at.includes(piece) ? scaled(move, SHRUNK[lessened.get(piece)!]!) : move));
  }
  return null;
}

const scaled = ({ alongM, leftM, turnRad }: FitMove, share: number): FitMove => ({
  ...{ alongM: alongM * share, leftM: leftM * share, turnRad: turnRad * share },
});

function told(problem: FitProblem, moves: readonly FitMove[], costBefore: number, cost: number): Fit {
  const { layout, pieces } = problem;
  return {
    moved: pieces.flatMap((piece, index) => {
      const move = moves[index]!;
      return isStill(move) ? [] : [{ piece, move, to: movedPose(piece, move) }];
    }),
    layout: movedLayout(layout, pieces, moves),
    reading: fitReading(problem, moves),
    ...{ costBefore, cost },
  };
}
