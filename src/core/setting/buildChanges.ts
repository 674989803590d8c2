import type { Item } from '../items/item';
import { kitOfAll, type Kit } from '../items/kit';

/** What is done alike to some pieces that stay where they are: from what they are built as to what they become. */
export type BuildChange = {
  items: string[];
  /** Null where it was not there. */
  from: Item | null;
  /** Null where it is taken away. */
  to: Item | null;
  /** Kit that it takes more, all of them together; below nothing is what comes free. */
  kit: Kit;
};

/** What is rebuilt between two ways of building the same layout, like for like together, in the order of the pieces. */
export function buildChanges(from: readonly Item[], to: readonly Item[]): BuildChange[] {
  const [before, after] = [byId(from), byId(to)];
  const groups = new Map<string, [Item | null, Item | null][]>();
  for (const id of new Set([...before.keys(), ...after.keys()])) {
    const [was, is] = [before.get(id) ?? null, after.get(id) ?? null];
    const [a, b] = [builtAs(was), builtAs(is)];
    if (a === b) continue;
    groups.set(`${a} ${b}`, [...(groups.get(`${a} ${b}`) ?? []), [was, is]]);
  }
  return [...groups.values()].map(pairs => {
    const [was, is] = pairs[0]!;
    const needs = kitOfAll(pairs.flatMap(([, item]) => item ?? []));
    const had = kitOfAll(pairs.flatMap(([item]) => item ?? []));
    const kinds = Object.keys(needs) as (keyof Kit)[];
    return {
      items: pairs.map(([a, b]) => (b ?? a)!.id),
      ...{ from: was, to: is },
      kit: Object.fromEntries(kinds.map(kind => [kind, needs[kind] - had[kind]])) as Kit,
    };
  });
}

const byId = (items: readonly Item[]) => new Map(items.map(item => [item.id, item]));

/** All that building it takes to know: not where it stands, nor what it is called. */
function builtAs(item: Item | null): string {
  if (!item) return '';
  const { id: _id, name: _name, at: _at, ...built } = item;
  return JSON.stringify({ ...built, headingRad: 0 });
}
