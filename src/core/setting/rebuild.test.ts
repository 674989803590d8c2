import type { Arena } from '../arena/arena';
import { arenaLetters } from '../arena/arenaLetters';
import { layOutExercise } from '../exercises/layOutExercise';
import { SHELF } from '../exercises/shelf';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import type { LayoutHorse } from '../layout/layout';
import { formatTape } from '../units/formatTape';
import { parseLength } from '../units/parseLength';
import { seededRandom } from '../statistics/seededRandom';
import { stepsText } from '../units/stepsText';
import { settingSheet, type SettingSheet } from './settingSheet';
import { walkedOffM } from './walkedOff';

/**
 * Taping, simulated with nothing of the core's own reckoning: the sheet is read as printed, each point is found by closing
 * in on the place where every tape reads right, and the piece is compared with where the exercise has it.
 */

const ARENAS: Arena[] = [
  { widthM: 20, lengthM: 40, letters: '20x40' },
  { widthM: 20, lengthM: 60, letters: '20x60' },
  { widthM: 35, lengthM: 60, letters: 'none' },
];
const horse = (name: string, heightM: number): LayoutHorse => ({
  ...{ id: name, name, heightM, type: 'all-round', level: 'novice', strides: {} },
});
const HORSES = [horse('Fen', 1.32), horse('Juniper', 1.6)];

const fixed = (arena: Arena): Map<string, PointM> => {
  const { widthM: w, lengthM: l } = arena;
  return new Map<string, PointM>([
    ['near left', { xM: 0, yM: 0 }],
    ['near right', { xM: w, yM: 0 }],
    ['far left', { xM: 0, yM: l }],
    ['far right', { xM: w, yM: l }],
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

const apart = (a: PointM, b: PointM) => Math.sqrt((a.xM - b.xM) ** 2 + (a.yM - b.yM) ** 2);

/** A measure as somebody lays it: from the tape as printed, or walked as printed. */
type Lay = (lengthM: number) => number;

const taped =
  (unit: 'm' | 'ft'): Lay =>
  lengthM => {
    const read = parseLength(formatTape(lengthM, unit));
    if (!read.ok) throw new Error(read.reason);
    return read.lengthM;
  };

/** "11½ steps, back 12 cm", walked by somebody whose step is not quite what the sheet thinks. */
const walked =
  (sheetStepM: number, trueStepM: number): Lay =>
  lengthM => {
    const text = stepsText(lengthM, sheetStepM, 'm');
    const steps = /^(\d*)(½?) steps?/.exec(text);
    const rest = /(\d+) cm$/.exec(text);
    const count = steps ? Number(steps[1] || 0) + (steps[2] ? 0.5 : 0) : 0;
    const restM = rest ? (Number(rest[1]) / 100) * (text.includes('back') ? -1 : 1) : 0;
    return count * trueStepM + restM;
  };

/** Every end of every piece, laid from the printed sheet. */
function laidEnds(
  arena: Arena,
  sheet: SettingSheet,
  lay: Lay,
  isWalked = false,
): { ends: Map<string, PointM>; hops: number } {
  const printed = (id: string): number => {
    const { lengthM, follows } = sheet.measures.find(candidate => candidate.id === id)!;
    // Nobody walks to the far end of a piece that lies: it lies where its own length puts it.
    if (follows && isWalked) return printed(follows.from) * follows.times + follows.addM;
    return lay(lengthM);
  };
  const known = fixed(arena);
  const hops = new Map<string, number>();
  const key = (point: SettingSheet['pieces'][number]['hangsOn'][number]) => {
    if (point.kind === 'corner') return `${point.short} ${point.long}`;
    if (point.kind === 'letter') return point.letter;
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
      const [from, towards] = [where(placing.from), where(placing.towards)];
      const way = { x: Math.sign(towards.xM - from.xM), y: Math.sign(towards.yM - from.yM) };
      const at = {
        xM: from.xM + way.x * printed(placing.along),
        yM: from.yM + way.y * printed(placing.along),
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
    const below = hangsOn.map(point => (point.kind === 'end' ? hops.get(point.item)! : 0));
    hops.set(item.id, below.length === 0 ? 0 : 1 + Math.max(...below));
    for (const { end, placing } of points) known.set(`${item.id}, ${end}`, find(placing));
  }
  return { ends: known, hops: Math.max(...hops.values()) };
}

/** Where the ends of a piece belong, by the layout file's own words for it. */
function trueEnds(item: Item): [string, PointM][] {
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

const CASES = ARENAS.flatMap(arena => (['walls', 'tapes'] as const).map(measureBy => ({ arena, measureBy })));

test.each(CASES)(
  'every exercise comes out within a centimetre when it is taped from its sheet ($arena.letters, $measureBy)',
  ({ arena, measureBy }) => {
    for (const recipe of SHELF)
      for (const rein of ['left', 'right'] as const) {
        const { exercise } = layOutExercise(recipe, { arena, school: 'whole-stride', horses: HORSES }, { rein });
        if (exercise.items.length === 0) continue;
        const sheet = settingSheet({ arena, items: exercise.items }, { measureBy, from: { xM: 0, yM: 0 } });
        expect(sheet.pieces.map(({ item }) => item.id).sort()).toEqual(exercise.items.map(({ id }) => id).sort());
        for (const unit of ['m', 'ft'] as const) {
          const { ends, hops } = laidEnds(arena, sheet, taped(unit));
          expect(hops).toBeLessThanOrEqual(1);
          for (const item of exercise.items)
            for (const [end, at] of trueEnds(item))
              expect([recipe.kind, item.id, end, apart(ends.get(`${item.id}, ${end}`)!, at) < 0.01]).toEqual([
                recipe.kind,
                item.id,
                end,
                true,
              ]);
        }
      }
  },
);

test('walked in steps, every piece comes out within the error that its sheet states', () => {
  const random = seededRandom(5);
  const arena = ARENAS[1]!;
  for (const recipe of SHELF) {
    const { exercise } = layOutExercise(recipe, { arena, school: 'whole-stride', horses: HORSES }, { rein: 'left' });
    if (exercise.items.length === 0) continue;
    const sheet = settingSheet({ arena, items: exercise.items }, { measureBy: 'walls', from: { xM: 0, yM: 0 } });
    const [stepM, share] = [0.7 + random() * 0.3, 0.05];
    const stated = walkedOffM({ arena, items: exercise.items }, sheet, stepM, share);
    for (let round = 0; round < 4; round += 1) {
      const trueStepM = stepM * (1 + share * (random() * 2 - 1));
      const { ends } = laidEnds(arena, sheet, walked(stepM, trueStepM), true);
      for (const item of exercise.items)
        for (const [end, at] of trueEnds(item)) {
          const offM = apart(ends.get(`${item.id}, ${end}`)!, at);
          expect([recipe.kind, item.id, end, offM <= stated.get(item.id)! ? true : offM]).toEqual([
            recipe.kind,
            item.id,
            end,
            true,
          ]);
        }
    }
  }
});

test('a cone by itself, worked by hand: 10 m along and 5 m in, with a step known to 3 %', () => {
  const arena = ARENAS[2]!;
  const items: Item[] = [{ kind: 'cone', id: 'c', name: null, at: { xM: 5, yM: 10 } }];
  const sheet = settingSheet({ arena, items }, { measureBy: 'walls', from: { xM: 0, yM: 0 } });
  expect(sheet.measures.map(({ lengthM }) => lengthM)).toEqual([10, 5]);
  // Steps of 1 m: 10 and 5 of them, 0.30 and 0.15 m off, and what the hand adds.
  expect(walkedOffM({ arena, items }, sheet, 1, 0.03).get('c')).toBeCloseTo(Math.hypot(0.3, 0.15) + 0.015, 9);
});
