import {
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const TEXT = /\.(?:js|css|json|html|body|meta|rsc|txt|map)$/;

/**
 * A newer Roan, as a device sees it: the same one, built anew, so that no file of its pages goes by the name that it had. What
 * an older page names is not there any more.
 * @returns the folder that it is started in
 */
export function newerBuild(): string {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-newer-'));
  for (const name of readdirSync('.'))
    if (!['.next', '.git', 'test-results', '.test-output'].includes(name))
      symlinkSync(path.resolve(name), path.join(folder, name));
  const built = path.join(folder, '.next');
  cpSync('.next', built, {
    recursive: true,
    filter: file => !/\.next\/(?:cache|types|dev|diagnostics)(?:\/|$)/.test(file),
  });
  const chunks = path.join(built, 'static/chunks');
  const named = new Map(
    readdirSync(chunks)
      .filter(name => /\.(?:js|css)$/.test(name))
      .map(name => [name, `${name[0] === 'n' ? 'o' : 'n'}${name.slice(1)}`]),
  );
  for (const [from, to] of named) renameSync(path.join(chunks, from), path.join(chunks, to));
  const buildId = readFileSync(path.join(built, 'BUILD_ID'), 'utf8').trim();
  const newId = `newer${buildId.slice(5)}`;
  renameSync(path.join(built, 'static', buildId), path.join(built, 'static', newId));
  writeFileSync(path.join(built, 'BUILD_ID'), newId);
  const name = new RegExp([...named.keys()].map(one => one.replace(/[.~-]/g, '\\$&')).join('|'), 'g');
  for (const file of filesUnder(built).filter(one => TEXT.test(one))) {
    const text = readFileSync(file, 'utf8');
    const anew = text.replace(name, one => named.get(one)!).replaceAll(buildId, newId);
    if (anew !== text) writeFileSync(file, anew);
  }
  return folder;
}

function filesUnder(folder: string): string[] {
  return readdirSync(folder).flatMap(name => {
    const at = path.join(folder, name);
    return statSync(at).isDirectory() ? filesUnder(at) : [at];
  });
}
