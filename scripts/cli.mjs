/**
 * Runs a command of src/cli: node scripts/cli.mjs reckon FILE. It is bundled in memory first: loading two hundred small
 * files one by one takes longer than the reckoning.
 */
import { Module } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildSync } from 'esbuild';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const [command, ...args] = process.argv.slice(2);
const entry = path.join(root, 'src', 'cli', `${command}.ts`);
const { outputFiles } = buildSync({
  entryPoints: [entry],
  absWorkingDir: root,
  tsconfig: path.join(root, 'tsconfig.json'),
  bundle: true,
  write: false,
  platform: 'node',
  format: 'cjs',
  target: 'node20',
  logLevel: 'error',
});
process.argv = [process.argv[0], entry, ...args];
const bundle = new Module(entry);
bundle.paths = [];
bundle._compile(outputFiles[0].text, entry);
