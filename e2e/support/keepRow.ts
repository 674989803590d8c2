import { existsSync, readFileSync } from 'node:fs';
import { keepMeasured } from '../../bench/measured';

/** Leaves a row of what a journey found for docs/quality.md, in place of the one of before; only where that is asked for. */
export function keepRow(name: string, columns: string[], row: [string, ...(string | number)[]]): void {
  if (!process.env.ROAN_MEASURE) return;
  const file = `docs/measured/${name}.json`;
  const before = existsSync(file)
    ? (JSON.parse(readFileSync(file, 'utf8')) as { rows: (string | number)[][] }).rows
    : [];
  const rows = [...before.filter(([key]) => key !== row[0]), row].sort((a, b) =>
    String(a[0]).localeCompare(String(b[0])),
  );
  keepMeasured(name, columns, rows);
}
