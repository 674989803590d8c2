/**
 * Where a foot fell between two poles, as a fraction of the gap: 0 at the pole just crossed, 1 at the next.
 * `gap` counts from 1 (between the first pole and the second); null means the row was judged as a whole.
 */
export type Footfall = { gap: number | null; fraction: number };

/** The three places an eye can tell (common practice, no source). */
export const FOOTFALL_PLACES = { third: 1 / 3, middle: 1 / 2, threeQuarters: 3 / 4 } as const;

/**
 * The mean fraction of a pass.
 * @returns null when no footfall was noted
 * @throws {RangeError} a fraction outside 0 to 1
 */
export function meanFootfall(footfalls: readonly Footfall[]): number | null {
  if (footfalls.length === 0) return null;
  const sum = footfalls.reduce((total, { fraction }) => {
    if (!(fraction >= 0 && fraction <= 1)) throw new RangeError(`meanFootfall: fraction ${fraction}`);
    return total + fraction;
  }, 0);
  return sum / footfalls.length;
}

/**
 * The mean change of the fraction from one gap to the next within a pass, from neighbouring gaps only.
 * A change of more than half a gap is read the short way round: 0.9 followed by 0.1 is a fifth on, not four fifths back.
 * @returns one change for each pair of neighbouring gaps that were noted
 */
export function footfallChanges(footfalls: readonly Footfall[]): number[] {
  const byGap = new Map(footfalls.flatMap(f => (f.gap === null ? [] : [[f.gap, f.fraction] as const])));
  return [...byGap].flatMap(([gap, fraction]) => {
    const next = byGap.get(gap + 1);
    if (next === undefined) return [];
    const change = next - fraction;
    return [change - Math.round(change)];
  });
}
