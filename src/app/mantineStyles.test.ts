import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const LIBRARY = path.join('node_modules', '@mantine');
const CORE = path.join(LIBRARY, 'core');
const STYLES = path.join(CORE, 'styles');
const read = (file: string) => readFileSync(file, 'utf8');
/** A class of the library: it is named alike in its script and in its styles. */
const classesIn = (text: string) => [...text.matchAll(/\bm_[0-9a-f]+/g)].map(([one]) => one);

/** What is taken from the library by name in some scripts. */
function namesIn(text: string): string[] {
  return [...text.matchAll(/import \{([^}]*)\} from ['"]@mantine\/core['"]/g)]
    .flatMap(([, names]) => names!.split(','))
    .map(name => name.trim().replace(/ as .*/, ''))
    .filter(name => name !== '' && !name.startsWith('type '));
}

const sources = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter(file => /\.tsx?$/.test(file) && !/\.test\./.test(file))
  .map(file => read(path.join('src', file)));

/** Where the library has what it offers. */
const offered = new Map(
  [...read(path.join(CORE, 'esm/index.mjs')).matchAll(/(?:import|export) \{([^}]*)\} from "([^"]+)"/g)].flatMap(
    ([, names, from]) =>
      names!.split(',').map(name => [name.trim().replace(/.* as /, ''), path.join(CORE, 'esm', from!)] as const),
  ),
);

/** The classes of all that these scripts of the library need, and what those need. */
function classesNeeded(first: readonly string[]): ReadonlySet<string> {
  const [seen, classes, left] = [new Set<string>(), new Set<string>(), [...first]];
  for (let file = left.pop(); file !== undefined; file = left.pop()) {
    if (seen.has(file) || !existsSync(file)) continue;
    seen.add(file);
    const text = read(file);
    if (file.includes('.module.')) classesIn(text).forEach(one => classes.add(one));
    for (const [, from] of text.matchAll(/(?:from|import) "(\.[^"]+)"/g))
      left.push(path.join(path.dirname(file), from!));
    left.push(...namesIn(text).flatMap(name => offered.get(name) ?? []));
  }
  return classes;
}

test('the styles of all that is taken from the library are there, in its own order, and no others', () => {
  const names = [...new Set(sources.flatMap(namesIn))];
  expect(names).toContain('Button');
  const needed = classesNeeded([
    ...names.flatMap(name => offered.get(name) ?? []),
    path.join(LIBRARY, 'notifications/esm/index.mjs'),
  ]);
  const whole = read(path.join(CORE, 'styles.css'));
  const ofParts = readdirSync(STYLES)
    .filter(file => /^[^.]+\.css$/.test(file))
    .map(file => ({ name: file.replace('.css', ''), classes: classesIn(read(path.join(STYLES, file))) }))
    .filter(({ classes }) => classes.some(one => needed.has(one)))
    .sort((a, b) => whole.indexOf(a.classes[0]!) - whole.indexOf(b.classes[0]!));
  const taken = [...read('src/app/mantineStyles.css').matchAll(/styles\/(\S+)\.css'/g)].map(([, name]) => name);
  expect(taken).toEqual(['baseline', 'default-css-variables', 'global', ...ofParts.map(({ name }) => name)]);
});
