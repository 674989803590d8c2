import type { Arena } from '../arena/arena';
import { arenaLetters } from '../arena/arenaLetters';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import type { SettingSheet } from './settingSheet';

/**
 * Taping, simulated for tests with nothing of the core's own reckoning: each point is found by closing in on the place
 * where every tape reads right.
 */

const fixed = (arena: Arena): Map<string, PointM> => {
  const { widthM: w, lengthM: l } = arena;
  return new Map<string, PointM>([
    ['near left', { xM: 0, yM: 0 }],
    ['near right', { xM: w, yM: 0 }],
    ['far left', { xM: 0, yM: l }],
    ['far right', { xM: w, yM: l }],
    ...(arena.outline ?? []).map((at, index) => [`outline ${index + 1}`, at] as [string, PointM]),
    ...arenaLetters(arena).map(({ letter, at }) => [letter, at] as [string, PointM]),
  ]);
};

type Reading = (at: PointM) => number;

/** Walks to where all readings vanish, from a start: a plain Newton walk with the slopes felt out. */
function closeIn(start: PointM, readings: [Reading, Reading]): PointM {
  let at = start;
  for (let step = 0; step < 60; step += 1) {
    const [f, g] = [readings[0](at), readings[1](at)];
    const h = 1e-6;
    const slope = (of: Reading, dx: number, dy: number) =>
      (of({ xM: at.xM + dx * h, yM: at.yM + dy * h }) - of(at)) / h;
    const [fx, fy, gx, gy] = [
      slope(readings[0], 1, 0),
      slope(readings[0], 0, 1),
      slope(readings[1], 1, 0),
      slope(readings[1], 0, 1),
    ];
    const det = fx * gy - fy * gx;
    if (Math.abs(det) < 1e-9) break;
    at = { xM: at.xM - (f * gy - g * fy) / det, yM: at.yM - (g * fx - f * gx) / det };
  }
  return at;
}

export const apart = (a: PointM, b: PointM) => Math.sqrt((a.xM - b.xM) ** 2 + (a.yM - b.yM) ** 2);

/** A measure as somebody lays it: from the tape as printed, walked as printed, or with a slip. */
export type Lay = (lengthM: number, id: string) => number;

/** Every end of every piece, laid from the printed sheet. */
export function laidEnds(
  arena: Arena,
  sheet: SettingSheet,
  lay: Lay,
  isWalked = false,
): { ends: Map<string, PointM>; hops: number } {
  const printed = (id: string): number => {
    const { lengthM, follows } = sheet.measures.find(candidate => candidate.id === id)!;
    // Nobody walks to the far end of a piece that lies: it lies where its own length puts it.
    if (follows && isWalked) return printed(follows.from) * follows.times + follows.addM;
    return lay(lengthM, id);
  };
  const known = fixed(arena);
  const hops = new Map<string, number>();
  const key = (point: SettingSheet['pieces'][number]['hangsOn'][number]) => {
    if (point.kind === 'corner') return `${point.short} ${point.long}`;
    if (point.kind === 'letter') return point.letter;
    if (point.kind === 'outline-corner') return `outline ${point.corner}`;
    return point.kind === 'peg' ? `peg ${point.peg}` : `${point.item}, ${point.end}`;
  };
  const where = (point: Parameters<typeof key>[0]) => {
    const at = known.get(key(point));
    if (!at) throw new Error(`${key(point)} is not there yet`);
    return at;
  };
  const inside = { xM: arena.widthM / 2, yM: arena.lengthM / 2 };
  const find = (placing: SettingSheet['pieces'][number]['points'][number]['placing']): PointM => {
    if (placing.how === 'wall') {
      // What is measured on from a piece begins at the place on the wall that lies square to it.
      const square = (at: PointM): PointM =>
        ({
          left: { ...at, xM: 0 },
          right: { ...at, xM: arena.widthM },
          near: { ...at, yM: 0 },
          far: { ...at, yM: arena.lengthM },
        })[placing.wall];
      const [from, towards] = [square(where(placing.from)), where(placing.towards)];
      const way = { x: Math.sign(towards.xM - from.xM), y: Math.sign(towards.yM - from.yM) };
      const at = {
        xM: from.xM + way.x * (placing.pastM + printed(placing.along)),
        yM: from.yM + way.y * (placing.pastM + printed(placing.along)),
      };
      const inwards = printed(placing.inwards);
      const into = { left: [1, 0], right: [-1, 0], near: [0, 1], far: [0, -1] }[placing.wall] as [number, number];
      return { xM: at.xM + into[0] * inwards, yM: at.yM + into[1] * inwards };
    }
    if (placing.how === 'line') {
      const [from, to] = [where(placing.from), where(placing.to)];
      const share = printed(placing.along) / apart(from, to);
      const on = { xM: from.xM + share * (to.xM - from.xM), yM: from.yM + share * (to.yM - from.yM) };
      if (!placing.off) return on;
      const off = (printed(placing.off.measure) * (placing.off.side === 'left' ? 1 : -1)) / apart(from, to);
      return { xM: on.xM - off * (to.yM - from.yM), yM: on.yM + off * (to.xM - from.xM) };
    }
    if (placing.how === 'swing') {
      // The back rail stands square behind the front: over to the left end, then a right turn.
      const [own, other] = [where(placing.from), where(placing.other)];
      const [left, right] = placing.from.kind === 'end' && placing.from.end === 'left' ? [own, other] : [other, own];
      const wide = apart(left, right);
      const ahead = { x: (left.yM - right.yM) / wide, y: (right.xM - left.xM) / wide };
      const held = { xM: own.xM + ahead.x * placing.pastM, yM: own.yM + ahead.y * placing.pastM };
      const into: Record<string, Reading> = {
        left: at => at.xM,
        right: at => arena.widthM - at.xM,
        near: at => at.yM,
        far: at => arena.lengthM - at.yM,
      };
      const goal = where(placing.towards);
      const isLong = placing.wall === 'left' || placing.wall === 'right';
      const start = isLong
        ? { xM: held.xM, yM: held.yM + Math.sign(goal.yM - held.yM) * printed(placing.gap) }
        : { xM: held.xM + Math.sign(goal.xM - held.xM) * printed(placing.gap), yM: held.yM };
      return closeIn(start, [
        at => apart(at, held) - printed(placing.gap),
        at => into[placing.wall]!(at) - printed(placing.inwards),
      ]);
    }
    const [a, b] = [where(placing.first.from), where(placing.second.from)];
    const readings: [Reading, Reading] = [
      at => apart(at, a) - printed(placing.first.measure),
      at => apart(at, b) - printed(placing.second.measure),
    ];
    // Start well over on the side that the sheet names.
    const side = { left: [-9, 0], right: [9, 0], near: [0, -9], far: [0, 9] }[placing.towards] as [number, number];
    const middle = { xM: (a.xM + b.xM) / 2, yM: (a.yM + b.yM) / 2 };
    const normal = { x: b.yM - a.yM, y: a.xM - b.xM };
    const way = Math.sign(normal.x * side[0] + normal.y * side[1]) / apart(a, b);
    const start = { xM: middle.xM + way * normal.x * 5, yM: middle.yM + way * normal.y * 5 };
    return closeIn(Number.isFinite(start.xM) ? start : inside, readings);
  };
  for (const { peg, placing } of sheet.pegs) known.set(`peg ${peg}`, find(placing));
  for (const { item, points, hangsOn } of sheet.pieces) {
    // A peg is no piece: it is put in before all of them.
    const below = hangsOn.flatMap(point => (point.kind === 'end' ? [hops.get(point.item)!] : []));
    hops.set(item.id, below.length === 0 ? 0 : 1 + Math.max(...below));
    for (const { end, placing } of points) known.set(`${item.id}, ${end}`, find(placing));
  }
  return { ends: known, hops: Math.max(...hops.values()) };
}

/** Where the ends of a piece belong, by the layout file's own words for it. */
export function trueEnds(item: Item): [string, PointM][] {
  if (!('headingRad' in item)) return [['middle', item.at]];
  const ahead = { x: Math.cos(item.headingRad), y: Math.sin(item.headingRad) };
  const at = (aheadM: number, leftM: number) => ({
    xM: item.at.xM + ahead.x * aheadM - ahead.y * leftM,
    yM: item.at.yM + ahead.y * aheadM + ahead.x * leftM,
  });
  if (item.kind === 'guide')
    return [
      ['behind', at(-item.lengthM / 2, 0)],
      ['ahead', at(item.lengthM / 2, 0)],
    ];
  const front = item.kind === 'fence' && item.form !== 'corner' ? -item.spreadM / 2 : 0;
  const half = (item.kind === 'pole' ? item.lengthM : item.widthM) / 2;
  return [
    ['left', at(front, half)],
    ['right', at(front, -half)],
  ];
}
