import type { Arena } from '../arena/arena';
import { toWallM } from '../arena/arena';
import type { Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { seededRandom } from '../statistics/seededRandom';
import { settingSheet } from './settingSheet';
import { apart, laidEnds, trueEnds } from './testTaping';

/** A sand with a corner cut away, one that narrows, and a hexagon that touches its box at corners only. */
const SANDS: [string, Arena][] = [
  [
    'an L',
    {
      ...{ widthM: 24, lengthM: 40, letters: 'none' },
      outline: [
        [0, 0],
        [24, 0],
        [24, 28],
        [14, 28],
        [14, 40],
        [0, 40],
      ].map(([xM, yM]) => ({ xM: xM!, yM: yM! })),
    },
  ],
  [
    'one wall aslant',
    {
      ...{ widthM: 26, lengthM: 45, letters: 'none' },
      outline: [
        [0, 0],
        [26, 0],
        [18, 45],
        [0, 45],
      ].map(([xM, yM]) => ({ xM: xM!, yM: yM! })),
    },
  ],
  [
    'a hexagon',
    {
      ...{ widthM: 30, lengthM: 36, letters: 'none' },
      outline: [
        [8, 0],
        [22, 0],
        [30, 18],
        [22, 36],
        [8, 36],
        [0, 18],
      ].map(([xM, yM]) => ({ xM: xM!, yM: yM! })),
    },
  ],
];

test.each(SANDS.flatMap(([name, arena]) => (['line', 'walls', 'tapes'] as const).map(by => ({ name, arena, by }))))(
  'on $name every piece comes out within a centimetre when it is taped from walls that stand there ($by)',
  ({ arena, by }) => {
    const random = seededRandom(17);
    for (let round = 0; round < 12; round += 1) {
      const items: Item[] = [];
      while (items.length < 4) {
        const at = { xM: random() * arena.widthM, yM: random() * arena.lengthM };
        if (toWallM(arena, at) < 2.5) continue;
        const headingRad = round % 2 === 0 ? Math.PI / 2 : random() * 2 * Math.PI;
        items.push(newItem(items.length === 3 ? 'cone' : 'vertical', `i${items.length}`, at, headingRad));
      }
      const sheet = settingSheet({ arena, items }, { measureBy: by, from: { xM: arena.widthM / 2, yM: 0 } });
      const { ends } = laidEnds(arena, sheet, lengthM => lengthM);
      for (const item of items)
        for (const [end, at] of trueEnds(item))
          expect([item.id, end, apart(ends.get(`${item.id}, ${end}`)!, at) < 0.01]).toEqual([item.id, end, true]);
      // Nothing is measured from a wall that is not there.
      for (const { points } of sheet.pieces.map(piece => ({ points: piece.points })))
        for (const { at, placing } of points)
          if (placing.how === 'wall') {
            const { wall } = placing;
            const [dx, dy] = { left: [-1, 0], right: [1, 0], near: [0, -1], far: [0, 1] }[wall] as [number, number];
            const onWall = {
              xM: dx === 0 ? at.xM : dx < 0 ? 0 : arena.widthM,
              yM: dy === 0 ? at.yM : dy < 0 ? 0 : arena.lengthM,
            };
            expect(Math.abs(toWallM(arena, onWall))).toBeLessThan(1e-6);
          }
    }
  },
);
