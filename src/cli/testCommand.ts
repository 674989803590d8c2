import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buildSync } from 'esbuild';

let folder: string | null = null;

/** For tests: a command run in a process of its own, as scripts/cli.mjs runs it, but bundled once for all tests of a file. */
export function runCommand(command: string, ...args: string[]) {
  folder ??= newFolder();
  const outfile = path.join(folder, `${command}.cjs`);
  const entryPoints = [path.resolve('src/cli', `${command}.ts`)];
  if (!existsSync(outfile))
    buildSync({ entryPoints, outfile, tsconfig: 'tsconfig.json', bundle: true, platform: 'node', format: 'cjs' });
  return spawnSync(process.execPath, [outfile, ...args], { encoding: 'utf8' });
}

function newFolder(): string {
  const made = mkdtempSync(path.join(tmpdir(), 'roan-cli-'));
  process.once('exit', () => rmSync(made, { recursive: true, force: true }));
  return made;
}
