import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import type { Layout } from '../layout/layout';
import { layOutExercise } from '../exercises/layOutExercise';
import { SHELF } from '../exercises/shelf';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import type { LayoutHorse } from '../layout/layout';
import { newItem } from '../plan/newItem';
import { settingSheet, type SettingSheet } from './settingSheet';
import { apart, laidEnds } from './testTaping';

/** The sheet is laid by the tests' own hand (testTaping), with one measure taken 10 cm wrong. */
const ARENAS: Arena[] = [
  { widthM: 20, lengthM: 40, letters: '20x40' },
  { widthM: 20, lengthM: 60, letters: '20x60' },
  { widthM: 35, lengthM: 60, letters: 'none' },
  { widthM: 60, lengthM: 94, letters: 'none' },
  { widthM: 110, lengthM: 170, letters: 'none' },
];

const HORSES: LayoutHorse[] = [
  { id: 'Juniper', name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} },
];

/** What a check reads with the ends where they lie. */
function reads(
  arena: Arena,
  check: SettingSheet['pieces'][number]['checks'][number],
  ends: Map<string, PointM>,
  item: string,
) {
  const at = ends.get(`${item}, ${check.end}`)!;
  const { from } = check;
  if (from.kind === 'wall')
    return { left: at.xM, right: arena.widthM - at.xM, near: at.yM, far: arena.lengthM - at.yM }[from.wall];
  const { point } = from;
  if (from.kind === 'on-wall') {
    const corner = from.point.kind === 'corner' ? `${from.point.short} ${from.point.long}` : '';
    const start = ends.get(from.point.kind === 'letter' ? from.point.letter : corner)!;
    const towards = ends.get(
      from.towards.kind === 'letter'
        ? from.towards.letter
        : from.towards.kind === 'corner'
          ? `${from.towards.short} ${from.towards.long}`
          : '',
    )!;
    const share = from.alongM / apart(start, towards);
    const place = {
      xM: start.xM + share * (towards.xM - start.xM),
      yM: start.yM + share * (towards.yM - start.yM),
    };
    return apart(at, place);
  }
  const key =
    point.kind === 'corner'
      ? `${point.short} ${point.long}`
      : point.kind === 'letter'
        ? point.letter
        : point.kind === 'peg'
          ? `peg ${point.peg}`
          : point.kind === 'outline-corner'
            ? `outline ${point.corner}`
            : `${point.item}, ${point.end}`;
  return apart(at, ends.get(key)!);
}

/** Measures of pieces that a slip of 10 cm, one way or the other, would not show in a check by 4 cm. */
function hidden(arena: Arena, sheet: SettingSheet): string[] {
  return sheet.pieces.flatMap(({ item, checks, points }) => {
    const own = new Set(
      points.flatMap(({ placing }) =>
        placing.how === 'pulls'
          ? [placing.first.measure, placing.second.measure]
          : placing.how === 'wall'
            ? [placing.along, placing.inwards]
            : placing.how === 'swing'
              ? [placing.gap, placing.inwards]
              : [placing.along, ...(placing.off ? [placing.off.measure] : [])],
      ),
    );
    return sheet.measures.flatMap(({ id, follows }) => {
      if (!own.has(id) || follows) return [];
      const hides = [0.1, -0.1].some(slipM => {
        const { ends } = laidEnds(arena, sheet, (lengthM, of) => lengthM + (of === id ? slipM : 0), true);
        const shows = checks.map(check => Math.abs(reads(arena, check, ends, item.id) - check.lengthM));
        return !shows.some(showsM => showsM >= 0.04 - 1e-4);
      });
      return hides ? [`${item.id}: ${id}`] : [];
    });
  });
}

const exerciseIn = (arena: Arena, { items, tracks }: Pick<Layout, 'items' | 'tracks'>) => ({ arena, items, tracks });

const longestM = (sheet: SettingSheet) =>
  Math.max(
    ...sheet.measures.map(({ lengthM }) => lengthM),
    ...sheet.pieces.flatMap(({ checks }) => checks.map(({ lengthM }) => lengthM)),
  );

describe.each(ARENAS)('in an arena of $widthM × $lengthM m', arena => {
  test.each(['line', 'walls', 'tapes'] as const)('every exercise of the shelf, set by %s', measureBy => {
    for (const recipe of SHELF) {
      const { exercise } = layOutExercise(recipe, { arena, school: 'whole-stride', horses: HORSES }, { rein: 'left' });
      if (exercise.items.length === 0) continue;
      const sheet = settingSheet(exerciseIn(arena, exercise), { measureBy, from: { xM: 0, yM: 0 } });
      expect([recipe.kind, hidden(arena, sheet)]).toEqual([recipe.kind, []]);
      expect([recipe.kind, longestM(sheet) <= 30]).toEqual([recipe.kind, true]);
    }
  });

  test('pieces anywhere', () => {
    const share = fc.integer({ min: 3, max: 97 }).map(value => value / 100);
    const piece = fc.record({ x: share, y: share, turn: fc.integer({ min: 0, max: 23 }) });
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 5 }), fc.constantFrom('walls', 'tapes'), (pieces, by) => {
        const items: Item[] = pieces.map(({ x, y, turn }, index) =>
          newItem(
            index % 3 === 0 ? 'pole' : index % 3 === 1 ? 'oxer' : 'cone',
            `p${index}`,
            { xM: 2 + x * (arena.widthM - 4), yM: 2 + y * (arena.lengthM - 4) },
            (turn * Math.PI) / 12,
          ),
        );
        const sheet = settingSheet({ arena, items }, { measureBy: by as 'walls', from: { xM: 0, yM: 0 } });
        expect(hidden(arena, sheet)).toEqual([]);
        expect(longestM(sheet)).toBeLessThanOrEqual(30);
      }),
      { numRuns: 40, seed: 20261127 },
    );
  });
});
