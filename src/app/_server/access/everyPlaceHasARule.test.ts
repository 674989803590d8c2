import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { CHOOSE, HELP, INSTRUCT, OPEN, READ, SUM } from './testPlaces';

const APP = 'src/app';

/** A page, route or action of the source, with the rule that its own lines name; "none" where they name none. */
type Place = { name: string; rule: string };

function files(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    const at = path.join(folder, entry.name);
    return entry.isDirectory() ? files(at) : [at];
  });
}

const ruleIn = (text: string) =>
  /may\.(instruct|help|read|sum|choose)\b|\b(byItsLink)\b/.exec(text)?.slice(1).find(Boolean) ?? 'none';

function placesOf(file: string): Place[] {
  const text = readFileSync(file, 'utf8');
  const name = path.relative(APP, file).replace(/\.tsx?$/, '');
  if (/(^|\/)page$/.test(name)) {
    // The call itself, where it is named in a call of the yard; what is only imported is no rule.
    const call = /(?:yardContext|entered)\((may\.\w+)\)/.exec(text.slice(text.indexOf('export default')));
    return [{ name, rule: call ? ruleIn(call[1]!) : 'none' }];
  }
  if (name.endsWith('/route'))
    return [...text.matchAll(/export const (\w+) = answering\(\s*([\w.]+)/g)].map(([, method, rule]) => ({
      ...{ name: `${method} ${path.dirname(name)}`, rule: ruleIn(rule!) },
    }));
  if (!text.startsWith("'use server'")) return [];
  const starts = [...text.matchAll(/export async function (\w+)/g)];
  return starts.map(({ 1: action, index }, at) => {
    const body = text.slice(index, starts[at + 1]?.index);
    const call = /(?:attempt(?:<[^(]*>)?|yardContext)\(\s*(may\.\w+)/.exec(body);
    return { name: name.startsWith('_server/') ? name : action!, rule: call ? ruleIn(call[1]!) : 'none' };
  });
}

const places = files(APP)
  .filter(file => /\.tsx?$/.test(file) && !file.includes('.test.'))
  .flatMap(placesOf);

test('every page, route and action is in the table, and names the rule that stands there', () => {
  const told = new Map<string, string>([
    ...INSTRUCT.map(name => [name, 'instruct'] as const),
    ...HELP.map(name => [name, 'help'] as const),
    ...READ.map(name => [name, 'read'] as const),
    ...SUM.map(name => [name, 'sum'] as const),
    ...CHOOSE.map(name => [name, 'choose'] as const),
    ...OPEN.map(name => [name, 'open'] as const),
  ]);
  const found = places.map(
    ({ name, rule }) => [name, rule === 'none' || rule === 'byItsLink' ? 'open' : rule] as const,
  );
  expect(Object.fromEntries(found)).toEqual(Object.fromEntries(told));
  expect(found).toHaveLength(told.size);
});

test('every route answers through the one door', () => {
  const routes = files(APP).filter(file => file.endsWith('route.ts'));
  for (const file of routes) {
    const text = readFileSync(file, 'utf8');
    const methods = [
      ...text.matchAll(/export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE|HEAD|OPTIONS)\b/g),
    ];
    expect({ file, methods: methods.length }).toEqual({
      file,
      methods: [...text.matchAll(/export const \w+ = answering\(/g)].length,
    });
  }
});
