/** What is not archived: what one chooses from. */
export function present<Row extends { archived: boolean }>(rows: readonly Row[]): Row[] {
  return rows.filter(({ archived }) => !archived);
}
