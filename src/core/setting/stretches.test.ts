import type { Arena } from '../arena/arena';
import { layOutExercise } from '../exercises/layOutExercise';
import { SHELF } from '../exercises/shelf';
import type { LayoutHorse } from '../layout/layout';
import { distanceM } from '../geometry/pointM';
import { MEASURE_BY, settingSheet } from './settingSheet';
import { stretchesOf } from './stretches';

const HORSES: LayoutHorse[] = [
  { id: 'fen', name: 'Fen', heightM: 1.5, type: 'all-round', level: 'novice', strides: {} },
];
const ARENA: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };

test.each(MEASURE_BY)(
  'every measure of a sheet is drawn as long as it is, and ends where its piece is (%s)',
  measureBy => {
    for (const recipe of SHELF) {
      const { exercise } = layOutExercise(
        recipe,
        { arena: ARENA, school: 'whole-stride', horses: HORSES },
        { rein: 'left' },
      );
      const { items, tracks } = exercise;
      if (items.length === 0) continue;
      const sheet = settingSheet({ arena: ARENA, items, tracks }, { measureBy, from: { xM: 10, yM: 0 } });
      const lengthOf = (id: string) => sheet.measures.find(measure => measure.id === id)!.lengthM;
      for (const set of [...sheet.pegs, ...sheet.pieces]) {
        const drawn = stretchesOf({ arena: ARENA, items }, sheet.pegs, set);
        expect(drawn.length).toBeGreaterThan(0);
        for (const { measure, from, to } of drawn)
          expect([recipe.kind, measure, Math.abs(distanceM(from, to) - lengthOf(measure)) < 1e-6]).toEqual([
            ...[recipe.kind, measure, true],
          ]);
        const places = 'points' in set ? set.points.map(({ at }) => at) : [set.at];
        for (const at of places)
          expect(drawn.some(({ to }) => distanceM(to, at) < 1e-6 || places.length > 1)).toBe(true);
      }
    }
  },
);
