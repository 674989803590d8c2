const LEAST = 0.001;

/** A chance as a table has it: to two figures, and what is smaller than a thousandth as that. */
export function chanceCell(p: number): string {
  return p < LEAST ? '< 0.001' : String(Number(p.toPrecision(2)));
}
