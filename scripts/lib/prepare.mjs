import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { giveUp, run } from './run.mjs';

const OLDEST_NODE = [20, 9];
const INSTALL_STAMP = 'node_modules/.roan-installed';
const BUILD_STAMP = '.next/roan-build';
/** What a build is made from; tests are not. */
const BUILD_INPUTS = [
  ...[
    'src',
    'public',
    'next.config.mjs',
    'scripts/lib/answerHeaders.mjs',
    'scripts/lib/statics.mjs',
    'postcss.config.cjs',
    'tsconfig.json',
  ],
  'package-lock.json',
];

/** Refuses a Node that is too old, and installs what the lock file names unless that was done already. */
export async function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1]))
    giveUp(`Roan needs Node ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`);
  const wanted = hashOf(['package-lock.json']);
  if (readStamp(INSTALL_STAMP) === wanted) return;
  console.log('Installing packages …');
  const { code, output } = await run('npm', ['ci', '--no-audit', '--no-fund'], { quiet: true });
  if (code !== 0) giveUp('The packages could not be installed: see above.', output);
  writeStamp(INSTALL_STAMP, wanted);
}

/** Builds the pages unless the build at hand was made from the same sources. */
export async function ensureBuilt() {
  const wanted = hashOf(BUILD_INPUTS);
  if (readStamp(BUILD_STAMP) === wanted && existsSync('.next/BUILD_ID')) return;
  console.log('Building Roan …');
  const env = { NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' };
  const { code, output } = await run(process.execPath, ['node_modules/next/dist/bin/next', 'build'], {
    env,
    quiet: true,
  });
  if (code !== 0) giveUp('Roan could not be built: see above.', output);
  // Loaded once packages are there.
  const { packStatics } = await import('./statics.mjs');
  await packStatics();
  writeStamp(BUILD_STAMP, wanted);
}

function readStamp(file) {
  return existsSync(file) ? readFileSync(file, 'utf8') : null;
}

function writeStamp(file, text) {
  try {
    mkdirSync(path.dirname(file), { recursive: true });
    writeFileSync(file, text);
  } catch {
    giveUp(`Roan cannot write to ${path.dirname(path.resolve(file))}: make this folder writable and start again.`);
  }
}

function hashOf(inputs) {
  const hash = createHash('sha256');
  for (const file of inputs.flatMap(filesUnder)) hash.update(file).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}

function filesUnder(entry) {
  if (!existsSync(entry)) return [];
  if (!statSync(entry).isDirectory()) return [entry];
  return readdirSync(entry)
    .sort()
    .flatMap(name => filesUnder(path.join(entry, name)))
    .filter(file => !/\.test\.tsx?$/.test(file));
}
