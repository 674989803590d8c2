import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const CORE = 'src/core';
const folders = readdirSync(CORE, { withFileTypes: true }).flatMap(one => (one.isDirectory() ? [one.name] : []));

/** The folders of the core that the files of one import from. */
function usedBy(folder: string): string[] {
  const used = new Set<string>();
  for (const name of readdirSync(path.join(CORE, folder), { recursive: true, encoding: 'utf8' })) {
    if (!name.endsWith('.ts') || /\.test\.ts$|(^|\/)test\w*\.ts$/.test(name)) continue;
    const text = readFileSync(path.join(CORE, folder, name), 'utf8');
    for (const [, other] of text.matchAll(/from '(?:\.\.\/)+(\w+)\//g))
      if (other !== folder && folders.includes(other!)) used.add(other!);
  }
  return [...used].sort();
}

test.each(folders)('%s says what it is for, what it uses as it does, and where to begin', folder => {
  const readme = readFileSync(path.join(CORE, folder, 'README.md'), 'utf8');
  expect(readme).toMatch(new RegExp(`^# ${folder}\n\n\\S`));
  expect(/- Uses: (.+)\.\n/.exec(readme)?.[1]).toBe(usedBy(folder).join(', ') || 'nothing else of the core');
  const begin = [.../- Begin with (.+)\.\n/.exec(readme)![1]!.matchAll(/`(\w+\.ts)`/g)].map(([, file]) => file!);
  expect(begin.length).toBeGreaterThan(0);
  for (const file of begin) expect(existsSync(path.join(CORE, folder, file))).toBe(true);
});
