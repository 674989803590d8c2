/** Words over a line: how wide, and about which place they would stand. */
type Wanted = { middle: number; wide: number };

const BETWEEN = 6;

/**
 * Stands words over a line on as few levels as they need, so that none lies over another and none is cut off at an edge.
 * @param wanted - from left to right
 * @returns for each its level, 0 the lowest, and where it begins
 */
export function levels(wanted: readonly Wanted[], width: number): { level: number; at: number }[] {
  const ends: number[] = [];
  return wanted.map(({ middle, wide }) => {
    const at = Math.max(0, Math.min(width - wide, middle - wide / 2));
    const free = ends.findIndex(end => end + BETWEEN <= at);
    const level = free === -1 ? ends.length : free;
    ends[level] = at + wide;
    return { level, at };
  });
}
