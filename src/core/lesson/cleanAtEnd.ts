/** How many passes at the end were clean one after the other: what a stage is earned by. */
export function cleanAtEnd(areClean: readonly boolean[]): number {
  return areClean.length - 1 - areClean.lastIndexOf(false);
}
