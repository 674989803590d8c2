import { readFileSync } from 'node:fs';
import path from 'node:path';

/** What a script and all that it loads at once ask of packages. What is loaded by `import(…)` comes later, and is left out. */
function packagesOf(file: string, seen = new Set<string>()): string[] {
  if (seen.has(file)) return [];
  seen.add(file);
  const names = [...readFileSync(file, 'utf8').matchAll(/^import\s[^'"]*?['"]([^'"]+)['"];/gm)].map(
    ([, name]) => name!,
  );
  return names.flatMap(name => {
    if (name.startsWith('node:')) return [];
    if (!name.startsWith('.')) return [`${path.basename(file)}: ${name}`];
    return packagesOf(path.resolve(path.dirname(file), name), seen);
  });
}

test.each(['start', 'demo', 'test'])('npm %s begins on a fresh clone, where no package is there yet', name => {
  expect(packagesOf(path.resolve('scripts', `${name}.mjs`))).toEqual([]);
});

test('a package that is loaded at once is found, however far it lies', () => {
  expect(packagesOf(path.resolve('scripts/lib/serve.mjs'))).toEqual(
    expect.arrayContaining(['serve.mjs: qrcode', 'certificate.mjs: selfsigned']),
  );
});
