/**
 * An instant as the clock of a time zone shows it, by what browsers know of zones: a pad that is alive sooner does not wait for a package
 * that knows more.
 */
const known = new Map<string, Intl.DateTimeFormat>();

function partsOf(atMs: number, timeZone: string): Readonly<Record<string, string>> {
  const format =
    known.get(timeZone) ??
    new Intl.DateTimeFormat('en-GB', {
      ...{ timeZone, hourCycle: 'h23', hour: '2-digit', minute: '2-digit' },
      ...{ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
    });
  known.set(timeZone, format);
  return Object.fromEntries(format.formatToParts(atMs).map(({ type, value }) => [type, value]));
}

/** "17:30". */
export function timeInZone(atMs: number, timeZone: string): string {
  const { hour, minute } = partsOf(atMs, timeZone);
  return `${hour}:${minute}`;
}

/** "Monday 4 May 2026". */
export function dayInZone(atMs: number, timeZone: string): string {
  const { weekday, day, month, year } = partsOf(atMs, timeZone);
  return `${weekday} ${day} ${month} ${year}`;
}
