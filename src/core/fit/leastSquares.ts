/** Some residuals that depend on some of the unknowns only. */
export type ResidualBlock = {
  /** Which unknowns it depends on. */
  on: readonly number[];
  residuals: (unknowns: readonly number[]) => number[];
};

export type LeastSquares = { unknowns: number[]; cost: number; rounds: number };

/** What is changed to see which way a residual goes, in the unknowns’ own units. */
const STEP = 1e-4;
const MOST_ROUNDS = 25;
const ENOUGH = 1e-6;

/**
 * Levenberg and Marquardt’s least squares (Marquardt 1963, from memory) over blocks of residuals: a block is reckoned anew
 * only for the unknowns that it depends on. The cost is the sum of squares.
 * @param goesOn - asked before every round; what is best so far is given back once it says no
 */
export function leastSquares(
  start: readonly number[],
  blocks: readonly ResidualBlock[],
  goesOn: () => boolean = () => true,
): LeastSquares {
  let unknowns = [...start];
  let values = blocks.map(block => block.residuals(unknowns));
  let cost = costOf(values);
  let damping = 1e-3;
  let rounds = 0;
  while (rounds < MOST_ROUNDS && goesOn()) {
    rounds += 1;
    const { normal, gradient } = normalEquations(unknowns, blocks, values);
    let isBetter = false;
    let gain = 0;
    for (let tries = 0; tries < 6 && !isBetter; tries += 1) {
      const step = solved(normal, gradient, damping);
      const next = unknowns.map((value, index) => value - step[index]!);
      const nextValues = blocks.map(block => block.residuals(next));
      const nextCost = costOf(nextValues);
      isBetter = nextCost < cost;
      if (!isBetter) damping *= 8;
      else {
        gain = cost - nextCost;
        [unknowns, values, cost] = [next, nextValues, nextCost];
        damping = Math.max(1e-9, damping / 5);
      }
    }
    if (!isBetter || gain < ENOUGH * (1 + cost)) break;
  }
  return { unknowns, cost, rounds };
}

const costOf = (values: readonly number[][]) => values.reduce((sum, block) => sum + sumOfSquares(block), 0);

/** The squares of some residuals together. */
export const sumOfSquares = (residuals: readonly number[]): number =>
  residuals.reduce((sum, residual) => sum + residual * residual, 0);

function normalEquations(
  unknowns: readonly number[],
  blocks: readonly ResidualBlock[],
  values: readonly number[][],
): { normal: number[][]; gradient: number[] } {
  const count = unknowns.length;
  const normal = Array.from({ length: count }, () => new Array<number>(count).fill(0));
  const gradient = new Array<number>(count).fill(0);
  const tried = [...unknowns];
  blocks.forEach((block, at) => {
    const here = values[at]!;
    const columns = block.on.map(unknown => {
      tried[unknown] = unknowns[unknown]! + STEP;
      const there = block.residuals(tried);
      tried[unknown] = unknowns[unknown]!;
      return there.map((value, row) => (value - here[row]!) / STEP);
    });
    block.on.forEach((a, i) => {
      columns[i]!.forEach((slope, row) => (gradient[a]! += slope * here[row]!));
      block.on.forEach((b, j) => {
        normal[a]![b]! += columns[i]!.reduce((sum, slope, row) => sum + slope * columns[j]![row]!, 0);
      });
    });
  });
  return { normal, gradient };
}

/** The step of the damped normal equations, by Gauss with the largest pivot. */
function solved(normal: readonly number[][], gradient: readonly number[], damping: number): number[] {
  const rows = normal.map((row, index) => {
    const own = [...row, gradient[index]!];
    own[index] = row[index]! * (1 + damping) + damping;
    return own;
  });
  const count = rows.length;
  for (let column = 0; column < count; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < count; row += 1)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const head = rows[column]!;
    if (head[column] === 0) continue;
    for (let row = column + 1; row < count; row += 1) {
      const own = rows[row]!;
      const share = own[column]! / head[column]!;
      if (share === 0) continue;
      for (let at = column; at <= count; at += 1) own[at]! -= share * head[at]!;
    }
  }
  const step = new Array<number>(count).fill(0);
  for (let row = count - 1; row >= 0; row -= 1) {
    const own = rows[row]!;
    let rest = own[count]!;
    for (let at = row + 1; at < count; at += 1) rest -= own[at]! * step[at]!;
    step[row] = own[row] === 0 ? 0 : rest / own[row]!;
  }
  return step;
}
