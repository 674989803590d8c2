/** What was not put away: what one chooses from. */
export function present<Row extends { archived: boolean }>(rows: readonly Row[]): Row[] {
  return rows.filter(({ archived }) => !archived);
}
