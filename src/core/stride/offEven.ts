/** How far a count is from even, shorter and longer alike: |ln q|; without end where it needs no stride at all. */
export function offEven({ q }: { q: number }): number {
  return q > 0 ? Math.abs(Math.log(q)) : Infinity;
}

/** The option nearest to even, the first of those as near; undefined where there is none. */
export function nearestToEven<Option extends { q: number }>(options: readonly Option[]): Option | undefined {
  return [...options].sort((a, b) => offEven(a) - offEven(b))[0];
}
