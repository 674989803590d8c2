import { mkdirSync, writeFileSync } from 'node:fs';

/** Leaves what was measured for docs/quality.md. */
export function keepMeasured(name: string, columns: string[], rows: (string | number)[][], words?: string): void {
  mkdirSync('docs/measured', { recursive: true });
  const when = new Date().toISOString().slice(0, 10);
  writeFileSync(`docs/measured/${name}.json`, `${JSON.stringify({ when, columns, rows, words }, null, 2)}\n`);
}
