import { newItem } from '../plan/newItem';
import { DEFAULT_LEG, type FigureTrack, type Layout } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { testFence, testLayout } from '../layout/testLayout';
import { faultGround, NO_GROUND } from './faultGround';

const pole = (id: string, yM: number, raisedM = 0) =>
  ({
    ...newItem('pole', id, { xM: 10, yM }, Math.PI / 2),
    raised: { leftM: 0, rightM: raisedM },
  }) as Layout['items'][number];
const ground = (items: Layout['items']) => {
  const layout = testLayout(items, { legs: items.slice(1).map(() => ({ ...DEFAULT_LEG, setting: 'grid' as const })) });
  return faultGround(layout, reckonLayout(layout)[0]!);
};

test('what stands at a place: a fence, a pole, one that is raised, or nothing', () => {
  const { at, isRow } = ground([pole('p', 10), pole('q', 12, 0.2), testFence('f', 10, 15, 0)]);
  expect([1, 2, 3, 4, 0].map(at)).toEqual(['pole', 'raised pole', 'fence', null, null]);
  expect(isRow).toBe(false);
});

test('how far behind a fence its landing pole lies; before one, behind a pole and behind the last there is none', () => {
  const { landingPoleM } = ground([pole('p', 10), testFence('f', 10, 13, 0), pole('l', 16)]);
  expect([1, 2, 3].map(landingPoleM)).toEqual([null, expect.closeTo(3, 6), null]);
  expect(ground([testFence('f', 10, 13, 0), testFence('g', 10, 20, 0)]).landingPoleM(1)).toBeNull();
});

test('a row is poles alone, two and more', () => {
  expect(ground([pole('p', 10), pole('q', 11.3)]).isRow).toBe(true);
  expect(ground([pole('p', 10)]).isRow).toBe(false);
  expect(ground([pole('p', 10), testFence('f', 10, 13, 0)]).isRow).toBe(false);
});

test('on the flat nothing is known of the ground', () => {
  const flat: FigureTrack = { kind: 'figures', id: 'f', name: null, gait: 'trot', passes: 1, figures: [] };
  const layout = { ...testLayout([]), tracks: [flat] };
  expect(faultGround(layout, reckonLayout(layout)[0]!)).toBe(NO_GROUND);
  expect([NO_GROUND.at(1), NO_GROUND.landingPoleM(1), NO_GROUND.isRow]).toEqual([null, null, false]);
});
