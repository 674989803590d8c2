export type StepsAndRemainder = {
  /** A whole number of half steps, as steps: 0, 0.5, 1, … */
  steps: number;
  /** Metres still to add after the steps (negative: metres to come back), at most a quarter of a step either way. */
  remainderM: number;
};

/**
 * Splits a length into own steps, to the nearest half step, and what is left over.
 * @param lengthM - metres, finite, ≥ 0
 * @param stepLengthM - metres of one step, finite, > 0
 * @throws {RangeError} arguments outside those bounds
 */
export function stepsAndRemainder(lengthM: number, stepLengthM: number): StepsAndRemainder {
  if (!(lengthM >= 0 && lengthM < Infinity && stepLengthM > 0 && stepLengthM < Infinity))
    throw new RangeError(`stepsAndRemainder(${lengthM}, ${stepLengthM})`);
  const steps = Math.round((lengthM / stepLengthM) * 2) / 2;
  return { steps, remainderM: lengthM - steps * stepLengthM };
}
