/**
 * Where a horse that keeps its own step (or canter stride) sets its feet along a row: metres from the first pole, from
 * the take-off half a gap before it to the first foot behind the last pole. A horse whose step is the spacing falls in
 * the middle of every gap; any other drifts.
 * @param gaps - gaps between poles, 0 or more
 * @param spacingM - centre to centre, finite, > 0
 * @param stepM - finite, > 0
 * @throws {RangeError} arguments outside those bounds
 */
export function rowFootfalls(gaps: number, spacingM: number, stepM: number): number[] {
  const possible = Number.isInteger(gaps) && gaps >= 0 && spacingM > 0 && spacingM < Infinity;
  if (!possible || !(stepM > 0 && stepM < Infinity))
    throw new RangeError(`rowFootfalls(${gaps}, ${spacingM}, ${stepM})`);
  const takeOffM = -spacingM / 2;
  const steps = Math.floor((gaps * spacingM - takeOffM) / stepM) + 1;
  return Array.from({ length: steps + 1 }, (_, step) => takeOffM + step * stepM);
}
