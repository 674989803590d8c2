import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { LOOKS } from './looks';

test('every look has a rule in the style sheet, and every rule a name', () => {
  const sheet = readFileSync(join(__dirname, 'looks.module.css'), 'utf8').replace(/\{[^}]*\}/g, '');
  const ruled = new Set([...sheet.matchAll(/\.(\w+)/g)].map(([, name]) => name));
  expect([...LOOKS].sort()).toEqual([...ruled].filter(name => name !== 'css').sort());
});
