const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');
/** So many months have each its own name; of more the year is told too. */
const OF_A_YEAR = 12;

/** What is written under months, "2026-05", in order: their names, with the year where they are of several. */
export function monthMarks(
  months: readonly { month: string; at: number }[],
): { key: string; at: number; words: string }[] {
  const span = months.length > 0 ? monthsFrom(months[0]!.month, months.at(-1)!.month) : 0;
  return months.map(({ month, at }) => {
    const [year = '', of = '1'] = month.split('-');
    const name = MONTHS[Number(of) - 1] ?? '';
    return { key: month, at, words: span < OF_A_YEAR ? name : `${name} ${year.slice(2)}` };
  });
}

function monthsFrom(first: string, last: string): number {
  const count = (month: string) => Number(month.slice(0, 4)) * 12 + Number(month.slice(5, 7));
  return count(last) - count(first);
}
