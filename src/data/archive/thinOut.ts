const DAY_MS = 24 * 3600 * 1000;

/** The latest are kept whatever their age; then one a day, one a week, one a month. */
export const KEPT = { latest: 7, days: 14, weeks: 8, months: 12 } as const;

export type AgedBackup = { name: string; sequence: number; madeAtMs: number };

/**
 * Which backups are let go: all that are none of the latest ones, and none of the last ones of a day, a week or a month that is
 * kept. Which are the latest is told by their sequence, since a clock may have been wrong when they were made.
 * @returns names, in no order that means anything
 */
export function backupsToDrop(backups: readonly AgedBackup[]): string[] {
  const latestFirst = [...backups].sort((a, b) => b.sequence - a.sequence);
  const kept = new Set(latestFirst.slice(0, KEPT.latest).map(({ name }) => name));
  keepOnePer(latestFirst, kept, KEPT.days, ms => Math.floor(ms / DAY_MS));
  keepOnePer(latestFirst, kept, KEPT.weeks, ms => Math.floor(ms / DAY_MS / 7));
  keepOnePer(latestFirst, kept, KEPT.months, ms => new Date(ms).toISOString().slice(0, 7));
  return latestFirst.filter(({ name }) => !kept.has(name)).map(({ name }) => name);
}

/** Of so many spans of time, the latest backup of each. */
function keepOnePer(
  latestFirst: readonly AgedBackup[],
  kept: Set<string>,
  spans: number,
  spanOf: (ms: number) => number | string,
): void {
  const seen = new Set<number | string>();
  for (const { name, madeAtMs } of latestFirst) {
    const span = spanOf(madeAtMs);
    if (seen.has(span)) continue;
    seen.add(span);
    if (seen.size > spans) return;
    kept.add(name);
  }
}
