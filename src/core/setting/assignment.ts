/**
 * The cheapest way to give every row a column of its own (the assignment problem; Kuhn 1955 and Munkres 1957, here in the
 * shortest-path form with prices that Jonker and Volgenant described in 1987, from memory). Exact.
 * @param costs - rows of finite numbers, all of one length, no fewer columns than rows
 * @returns the column of each row
 * @throws {RangeError} rows of different lengths, more rows than columns, or costs that are not finite
 */
export function cheapestAssignment(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  if (costs.some(row => row.length !== columns || !row.every(Number.isFinite)) || rows > columns)
    throw new RangeError('cheapestAssignment: rows must be finite, of one length, and no more than the columns');
  const rowPrice = new Array<number>(rows + 1).fill(0);
  const columnPrice = new Array<number>(columns + 1).fill(0);
  /** The row that holds each column, from 1; column 0 is where the row being placed starts. */
  const holder = new Array<number>(columns + 1).fill(0);
  for (let row = 1; row <= rows; row += 1) {
    holder[0] = row;
    const cameFrom = new Array<number>(columns + 1).fill(0);
    const slack = new Array<number>(columns + 1).fill(Infinity);
    const done = new Array<boolean>(columns + 1).fill(false);
    let column = 0;
    do {
      done[column] = true;
      const at = holder[column]!;
      let next = 0;
      let least = Infinity;
      for (let to = 1; to <= columns; to += 1) {
        if (done[to]) continue;
        const reduced = costs[at - 1]![to - 1]! - rowPrice[at]! - columnPrice[to]!;
        if (reduced < slack[to]!) {
          slack[to] = reduced;
          cameFrom[to] = column;
        }
        if (slack[to]! < least) {
          least = slack[to]!;
          next = to;
        }
      }
      for (let to = 0; to <= columns; to += 1) {
        if (done[to]) {
          rowPrice[holder[to]!]! += least;
          columnPrice[to]! -= least;
        } else slack[to]! -= least;
      }
      column = next;
    } while (holder[column] !== 0);
    while (column !== 0) {
      const before = cameFrom[column]!;
      holder[column] = holder[before]!;
      column = before;
    }
  }
  const columnOf = new Array<number>(rows).fill(-1);
  for (let column = 1; column <= columns; column += 1)
    if (holder[column]! > 0) columnOf[holder[column]! - 1] = column - 1;
  return columnOf;
}
