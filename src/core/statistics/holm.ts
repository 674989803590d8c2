/**
 * Which of several tests hold when all of them are looked at together: the chance that any holds wrongly stays at the level
 * (Holm 1979, Scand. J. Stat. 6:65-70; from memory).
 * @returns for each test whether it holds
 * @throws {RangeError} a level that is no chance
 */
export function holm(chances: readonly number[], level = 0.05): boolean[] {
  if (!(level > 0 && level < 1)) throw new RangeError(`holm at ${level}`);
  const holds = chances.map(() => false);
  const order = chances.map((p, at) => ({ p, at })).sort((a, b) => a.p - b.p);
  for (const [index, { p, at }] of order.entries()) {
    if (p > level / (chances.length - index)) break;
    holds[at] = true;
  }
  return holds;
}
