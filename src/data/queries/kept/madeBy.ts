import { readFileSync } from 'node:fs';
import path from 'node:path';

/** How what is kept is written; another number reads everything anew. */
const FORM = 3;

let build: string | null = null;

/** What this Roan reckons, it reckons as it was built: what another kept is read out of the record again. */
export function madeBy(): string {
  build ??= `${FORM} ${buildId()}`;
  return build;
}

function buildId(): string {
  try {
    return readFileSync(path.join(/* turbopackIgnore: true */ process.cwd(), '.next/BUILD_ID'), 'utf8').trim();
  } catch {
    // In development and in tests nothing was built.
    return '';
  }
}
