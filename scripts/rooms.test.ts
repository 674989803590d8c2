import { readdirSync } from 'node:fs';
import path from 'node:path';

/** A screen's folder: its page, its parts in `_components`, what they hold in `_state`, and rooms of its own for what is large. */
const APP = 'src/app';
const files = readdirSync(APP, { recursive: true, encoding: 'utf8' });

test('what the parts of a screen hold lies beside them, not among them', () => {
  const among = files.filter(
    file => /^use[A-Z].*\.tsx?$/.test(path.basename(file)) && !/(^|\/)_(state|fit|hand)\//.test(file),
  );
  expect(among).toEqual([]);
});

test('parts lie in the folder of parts', () => {
  const own = /(^|\/)(page|layout|error|global-error|not-found)\.tsx$/;
  const outside = files.filter(file => file.endsWith('.tsx') && !own.test(file) && !/(^|\/)_\w+\//.test(file));
  expect(outside).toEqual([]);
});

test('no two modules of a folder are told apart by their capitals alone: not every disk does', () => {
  const modules = ['src', 'scripts', 'e2e', 'bench'].flatMap(room =>
    readdirSync(room, { recursive: true, encoding: 'utf8' })
      .filter(file => /\.m?tsx?$/.test(file))
      .map(file => `${room}/${file}`.replace(/\.m?tsx?$/, '')),
  );
  const alike = modules.filter(one =>
    modules.some(other => other !== one && other.toLowerCase() === one.toLowerCase()),
  );
  expect(alike).toEqual([]);
});
