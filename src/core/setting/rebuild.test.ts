import type { Arena } from '../arena/arena';
import { layOutExercise } from '../exercises/layOutExercise';
import { SHELF } from '../exercises/shelf';
import { stageLayout } from '../exercises/stageLayout';
import type { Item } from '../items/item';
import type { LayoutHorse, PlannedTrack } from '../layout/layout';
import { newItem } from '../plan/newItem';
import { formatTape } from '../units/formatTape';
import { parseLength } from '../units/parseLength';
import { seededRandom } from '../statistics/seededRandom';
import { stepsText } from '../units/stepsText';
import { settingSheet } from './settingSheet';
import { apart, laidEnds, trueEnds, type Lay } from './testTaping';
import { walkedOffM } from './walkedOff';

/** The sheet is taped as printed, by the tests' own hand (testTaping), and compared with where the exercise has it. */

const ARENAS: Arena[] = [
  { widthM: 20, lengthM: 40, letters: '20x40' },
  { widthM: 20, lengthM: 60, letters: '20x60' },
  { widthM: 35, lengthM: 60, letters: 'none' },
];
const horse = (name: string, heightM: number): LayoutHorse => ({
  ...{ id: name, name, heightM, type: 'all-round', level: 'novice', strides: {} },
});
const HORSES = [horse('Fen', 1.32), horse('Juniper', 1.6)];

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

const CASES = ARENAS.flatMap(arena => (['line', 'walls', 'tapes'] as const).map(measureBy => ({ arena, measureBy })));

test.each(CASES)(
  'every exercise comes out within a centimetre when it is taped from its sheet ($arena.letters, $measureBy)',
  ({ arena, measureBy }) => {
    for (const recipe of SHELF)
      for (const rein of ['left', 'right'] as const) {
        const { exercise } = layOutExercise(recipe, { arena, school: 'whole-stride', horses: HORSES }, { rein });
        if (exercise.items.length === 0) continue;
        const { items, tracks } = exercise;
        const sheet = settingSheet({ arena, items, tracks }, { measureBy, from: { xM: 0, yM: 0 } });
        expect(sheet.pieces.map(({ item }) => item.id).sort()).toEqual(exercise.items.map(({ id }) => id).sort());
        for (const unit of ['m', 'ft'] as const) {
          const { ends, hops } = laidEnds(arena, sheet, taped(unit));
          if (measureBy !== 'line') expect(hops).toBeLessThanOrEqual(1);
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

/** Twelve fences at odd angles, and a track over them in an order of its own. */
function randomCourse(arena: Arena, random: () => number): { items: Item[]; tracks: PlannedTrack[] } {
  const between = (least: number, most: number) => least + random() * (most - least);
  const items = Array.from({ length: 12 }, (_, index): Item => {
    const form = (['vertical', 'oxer', 'cross-rail', 'narrow'] as const)[index % 4]!;
    const at = { xM: between(4, arena.widthM - 4), yM: between(4, arena.lengthM - 4) };
    return newItem(form, `f${index}`, at, between(0, 2 * Math.PI));
  });
  const through = [...items].sort(() => random() - 0.5).map(({ id }) => ({ item: id, reversed: false }));
  const leg = { track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null } as const;
  return {
    items,
    tracks: [
      {
        ...{ kind: 'items', id: 'course', name: null, gait: 'course-canter', course: null, passes: 1, through },
        legs: through.slice(1).map(() => leg),
      },
    ],
  };
}

test('thirty courses of twelve at odd angles come out within a centimetre, set in the order in which they are ridden', () => {
  const random = seededRandom(11);
  for (let round = 0; round < 30; round += 1) {
    const arena = ARENAS[round % ARENAS.length]!;
    const { items, tracks } = randomCourse(arena, random);
    const sheet = settingSheet({ arena, items, tracks }, { measureBy: 'line', from: { xM: 0, yM: 0 } });
    const [track] = tracks;
    const order = track!.kind === 'items' ? track!.through.map(({ item }) => item) : [];
    expect(sheet.pieces.map(({ item }) => item.id)).toEqual(order);
    const { ends } = laidEnds(arena, sheet, taped(round % 2 === 0 ? 'm' : 'ft'));
    for (const item of items)
      for (const [end, at] of trueEnds(item)) expect(apart(ends.get(`${item.id}, ${end}`)!, at)).toBeLessThan(0.01);
  }
});

test('a grid of nine along the line: eight gaps, each from the one before, and no drift at its end', () => {
  const arena = ARENAS[1]!;
  const items = Array.from({ length: 9 }, (_, index): Item => {
    const at = { xM: 7, yM: 8 + index * 3.333 };
    return index % 3 === 0
      ? newItem('pole', `p${index}`, at, Math.PI / 2)
      : newItem('vertical', `f${index}`, at, Math.PI / 2);
  });
  const { tracks } = randomCourse(arena, seededRandom(1));
  const through = items.map(({ id }) => ({ item: id, reversed: false }));
  const grid = [{ ...tracks[0]!, through, legs: through.slice(1).map(() => ({ setting: 'grid' })) } as never];
  const sheet = settingSheet({ arena, items, tracks: grid }, { measureBy: 'line', from: { xM: 0, yM: 0 } });
  expect(sheet.pieces.map(({ item }) => item.id)).toEqual(items.map(({ id }) => id));
  const gaps = sheet.measures.filter(({ id }) => id.endsWith('|gap'));
  expect(gaps.length).toBeGreaterThanOrEqual(7);
  for (const { lengthM } of gaps) expect(lengthM).toBeCloseTo(3.333, 6);
  // Read to half a centimetre eight gaps could be two centimetres off at the end: a wall measure comes in before that.
  for (const unit of ['m', 'ft'] as const) {
    const { ends } = laidEnds(arena, sheet, taped(unit));
    for (const item of items)
      for (const [end, at] of trueEnds(item)) expect(apart(ends.get(`${item.id}, ${end}`)!, at)).toBeLessThan(0.01);
  }
});

test('a fan that is ridden is set once: its first from the walls, then by its rope, in the order ridden', () => {
  const spoke = (id: string, angleRad: number): Item =>
    newItem('pole', id, { xM: 10 + 4 * Math.cos(angleRad), yM: 30 + 4 * Math.sin(angleRad) }, angleRad + Math.PI / 2);
  const items = [spoke('c', 1.1), spoke('a', 0.2), spoke('b', 0.6)];
  const through = ['a', 'b', 'c'].map(item => ({ item, reversed: false }));
  const [track] = randomCourse(ARENAS[1]!, seededRandom(1)).tracks;
  const tracks = [{ ...track!, through, legs: [{}, {}] } as never];
  const sheet = settingSheet({ arena: ARENAS[1]!, items, tracks }, { measureBy: 'line', from: { xM: 0, yM: 0 } });
  expect(sheet.pieces.map(({ item }) => item.id)).toEqual(['a', 'b', 'c']);
  expect(sheet.pegs).toHaveLength(1);
  const byRope = sheet.pieces.filter(({ hangsOn }) => hangsOn.some(({ kind }) => kind === 'peg'));
  expect(byRope.map(({ item }) => item.id)).toEqual(['b', 'c']);
});

test.each([
  ['a line 30° off the long side', Math.PI / 3],
  ['a line 20° off the short side', Math.PI / 9],
  ['a line straight across the corner', (3 * Math.PI) / 4],
])('%s: from rail to rail as it is ridden, held by a wall, and true', (_, headingRad) => {
  const arena = ARENAS[2]!;
  const [ux, uy] = [Math.cos(headingRad), Math.sin(headingRad)];
  const on = (form: 'vertical' | 'oxer', id: string, alongM: number): Item =>
    newItem(form, id, { xM: 17 + ux * alongM, yM: 25 + uy * alongM }, headingRad);
  // The centre of an oxer lies half its spread behind its front.
  const oxer = on('oxer', 'b', -1.4);
  const spreadM = oxer.kind === 'fence' ? oxer.spreadM : NaN;
  const items = [on('vertical', 'a', -12), oxer, on('vertical', 'c', 9.6)];
  const { tracks } = randomCourse(arena, seededRandom(1));
  const through = items.map(({ id }) => ({ item: id, reversed: false }));
  const line = [{ ...tracks[0]!, through, legs: through.slice(1).map(() => ({})) } as never];
  const sheet = settingSheet({ arena, items, tracks: line }, { measureBy: 'line', from: { xM: 0, yM: 0 } });
  const gaps = sheet.measures.filter(({ id }) => id.endsWith('|gap')).map(({ lengthM }) => lengthM);
  // Front to front, then from the back rail: 10.6 m less half a spread, 11 m less half a spread.
  expect(gaps[0]).toBeCloseTo(10.6 - spreadM / 2, 6);
  expect(gaps[1]).toBeCloseTo(11 - spreadM / 2, 6);
  for (const unit of ['m', 'ft'] as const) {
    const { ends } = laidEnds(arena, sheet, taped(unit));
    for (const item of items)
      for (const [end, at] of trueEnds(item)) expect(apart(ends.get(`${item.id}, ${end}`)!, at)).toBeLessThan(0.01);
  }
});

test('every stage of every exercise comes out within a centimetre along the line, built as it is at that stage', () => {
  const arena = ARENAS[1]!;
  for (const recipe of SHELF) {
    const ground = { arena, school: 'whole-stride' as const, horses: HORSES };
    const { exercise } = layOutExercise(recipe, ground, { rein: 'right' });
    for (const stage of exercise.stages) {
      const { items, tracks } = stageLayout('stage', exercise, ground, stage);
      if (items.length === 0) continue;
      const sheet = settingSheet({ arena, items, tracks }, { measureBy: 'line', from: { xM: 10, yM: 0 } });
      expect(sheet.pieces.map(({ item }) => item.id).sort()).toEqual(items.map(({ id }) => id).sort());
      const { ends } = laidEnds(arena, sheet, taped('m'));
      for (const item of items)
        for (const [end, at] of trueEnds(item))
          expect([recipe.kind, stage.name, item.id, end, apart(ends.get(`${item.id}, ${end}`)!, at) < 0.01]).toEqual([
            ...[recipe.kind, stage.name, item.id, end, true],
          ]);
    }
  }
});
