import {
  distanceM,
  itemWords,
  kindWords,
  raisedWords,
  type BuildChange,
  type CarriedLoad,
  type CarryRoute,
  type Item,
  type Kit,
  type PointM,
} from '@/core';

type Format = (lengthM: number) => string;

/** What is rebuilt, as it is called over the sand: "2 and 4: up to cross-rails, 0.40 m high; bring 4 stands, 8 cups". */
export function buildChangeWords(
  { items, from, to, kit }: BuildChange,
  numberOf: (item: string) => string,
  format: Format,
): string {
  return [`${listed(items.map(numberOf))}: ${becomes(from, to, items.length > 1, format)}`, ...kitWords(kit)].join(
    '; ',
  );
}

function becomes(from: Item | null, to: Item | null, many: boolean, format: Format): string {
  if (!to) return 'away';
  if (!from) return `out, ${as(to, many, format)}`;
  if (from.kind === 'pole' && to.kind === 'pole') return raised(from, to, format);
  if (from.kind === 'pole') return `up to ${as(to, many, format)}`;
  if (to.kind === 'pole') return many ? 'down to poles' : 'down to a pole';
  if (from.kind === 'fence' && to.kind === 'fence' && from.form === to.form && from.spreadM === to.spreadM) {
    if (to.heightM > from.heightM) return `up to ${format(to.heightM)}`;
    if (to.heightM < from.heightM) return `down to ${format(to.heightM)}`;
  }
  return `now ${as(to, many, format)}`;
}

function raised(from: Extract<Item, { kind: 'pole' }>, to: Extract<Item, { kind: 'pole' }>, format: Format): string {
  const up = raisedWords(to.raised, format);
  if (to.raised.leftM === 0 && to.raised.rightM === 0) return 'down on the ground';
  return from.raised.leftM + from.raised.rightM > to.raised.leftM + to.raised.rightM
    ? up.replace(/^up/, 'down to')
    : up;
}

/** "cross-rails, 0.40 m high" of several, "a cross-rail, 0.40 m high" of one. */
function as(item: Item, many: boolean, format: Format): string {
  const kind = kindWords(item);
  const words = itemWords(item, null, format);
  const noun = many ? `${kind}s` : `${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind}`;
  return words.replace(kind, noun);
}

function kitWords(kit: Kit): string[] {
  const sides = [
    ['bring', 1],
    ['take back', -1],
  ] as const;
  return sides.flatMap(([verb, sign]) => {
    const some = (Object.keys(kit) as (keyof Kit)[]).flatMap(kind => {
      const count = kit[kind] * sign;
      return count > 0 ? [`${count} ${count === 1 ? kind.slice(0, -1) : kind}`] : [];
    });
    return some.length === 0 ? [] : [`${verb} ${some.join(', ')}`];
  });
}

function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;
}

/** One halt of somebody who carries: where, what is taken up, what is put down, and the way to it. */
export type CarryHalt = { at: PointM; where: string; takes: string; puts: string; walkM: number };

export type CarryNames = {
  /** What a piece is called where it is taken up, and where it is put down; null is the store. */
  fromOf: (item: string) => string;
  toOf: (item: string) => string;
  store: string;
  format: Format;
};

/** What is done without a step between is one halt, metres. */
const SAME_PLACE_M = 0.01;

/** A route as halts in order. */
export function carryHalts(
  loads: readonly CarriedLoad[],
  { stops }: CarryRoute,
  start: PointM,
  { fromOf, toOf, store, format }: CarryNames,
): CarryHalt[] {
  const halts: { at: PointM; where: string; takes: CarriedLoad[]; puts: CarriedLoad[]; walkM: number }[] = [];
  let at = start;
  for (const { load: index, does } of stops) {
    const load = loads[index]!;
    const place = does === 'take' ? load.from : load.to;
    const item = does === 'take' ? load.fromItem : load.toItem;
    const where = item === null ? store : does === 'take' ? fromOf(item) : toOf(item);
    const walkM = distanceM(at, place);
    const last = halts.at(-1);
    const isSame = last && last.where === where && walkM <= SAME_PLACE_M;
    const halt = isSame ? last : { at: place, where, takes: [], puts: [], walkM };
    if (!isSame) halts.push(halt);
    (does === 'take' ? halt.takes : halt.puts).push(load);
    at = place;
  }
  return halts.map(({ takes, puts, ...halt }) => ({
    ...halt,
    takes: loadWords(takes, format),
    puts: loadWords(puts, format),
  }));
}

function loadWords(loads: readonly CarriedLoad[], format: Format): string {
  const counts = new Map<string, { kind: string; size: string; count: number }>();
  for (const { kind, sizeM } of loads) {
    const size = sizeM === null ? '' : ` of ${format(sizeM)}`;
    const before = counts.get(`${kind}${size}`);
    counts.set(`${kind}${size}`, { kind, size, count: (before?.count ?? 0) + 1 });
  }
  return [...counts.values()]
    .map(({ kind, size, count }) => `${count} ${count === 1 ? kind : `${kind}s`}${size}`)
    .join(', ');
}
