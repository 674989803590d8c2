/** A list of lengths with one of them typed; those before it that are not there are as usual: 0. */
export function withLength(lengthsM: readonly number[], index: number, lengthM: number): number[] {
  return Array.from({ length: Math.max(lengthsM.length, index + 1) }, (_, at) =>
    at === index ? lengthM : (lengthsM[at] ?? 0),
  );
}
