import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';

const CORE = 'src/core';
const PLACES = ['src', 'bench', 'e2e', 'scripts'];

/** The names between the braces of an export or import of something. */
const namesIn = (braces: string) =>
  braces.split(',').flatMap(one => /^\s*(?:type )?(\w+)/.exec(one.replace(/\/\/.*|\/\*[^]*?\*\//g, ''))?.[1] ?? []);

/** What somebody outside the core takes from its door. */
function taken(): Set<string> {
  const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', ...PLACES], {
    encoding: 'utf8',
  }).split('\n');
  const texts = files
    .filter(file => /\.m?tsx?$/.test(file) && !file.startsWith(`${CORE}/`))
    .map(file => readFileSync(file, 'utf8'));
  return new Set(
    texts.flatMap(text =>
      [...text.matchAll(/(?:import|export) (?:type )?\{([^}]*)\} from '@\/core'/g)].flatMap(([, braces]) =>
        namesIn(braces!),
      ),
    ),
  );
}

const folders = readdirSync(CORE, { withFileTypes: true }).flatMap(one => (one.isDirectory() ? [one.name] : []));

test('every folder of the core has an index, and the door hands all of them on', () => {
  const door = readFileSync(`${CORE}/index.ts`, 'utf8');
  const handed = [...door.matchAll(/^export \* from '\.\/(\w+)';$/gm)].map(([, folder]) => folder);
  expect([...handed].sort()).toEqual([...folders].sort());
});

test('the door of the core hands out what is used, and nothing else', () => {
  const used = taken();
  const unused = folders.flatMap(folder =>
    [...readFileSync(`${CORE}/${folder}/index.ts`, 'utf8').matchAll(/export (?:type )?\{([^}]*)\}/g)]
      .flatMap(([, braces]) => namesIn(braces!))
      .filter(name => !used.has(name))
      .map(name => `${folder}: ${name}`),
  );
  expect(unused).toEqual([]);
});
