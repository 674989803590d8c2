import type { Arena } from '../arena/arena';
import { itemsOutside } from '../items/itemsOutside';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { testFence, testHorse, testLayout } from '../layout/testLayout';
import { piecesOf } from './pieces';
import { isKept, refitLayout } from './refitLayout';

const LARGE: Arena = { widthM: 35, lengthM: 65, letters: 'none' };
const COURSE = testLayout(
  [testFence('a', 8, 18, 0), testFence('b', 8, 37, 0), testFence('c', 26, 46, 180), testFence('d', 26, 24, 180)],
  { arena: LARGE, horses: [testHorse('H', 3.6), testHorse('J', 3.5)] },
);
const wish = (layout = COURSE) => ({
  pieces: piecesOf(layout, new Map(), []),
  horseIds: layout.horses.map(({ id }) => id),
});

it('lies on a larger sand as it lay, in its middle, with every distance', () => {
  const arena: Arena = { widthM: 40, lengthM: 80, letters: 'none' };
  const refit = refitLayout(COURSE, arena, wish());
  expect(refit.how).toBe('as it lay');
  expect(refit.layout.arena).toBe(arena);
  expect(refit.legs.slice(0, 1).every(isKept)).toBe(true);
  expect(refit.layout.items[0]!.at).toEqual({ xM: expect.closeTo(8 + 2.5, 9), yM: expect.closeTo(18 + 7.5, 9) });
});

it('lies turned on a sand that is as large the other way', () => {
  const refit = refitLayout(COURSE, { widthM: 65, lengthM: 35, letters: 'none' }, wish());
  expect(refit.how).toBe('turned');
  expect(refit.alarms).toBe(0);
  expect(refit.legs.every(isKept)).toBe(true);
});

it('is drawn together on a smaller sand with a pillar: all on the sand, its straight lines in whole counts', () => {
  const arena: Arena = {
    ...{ widthM: 22, lengthM: 44, letters: 'none' },
    standing: [{ kind: 'pillar', name: null, at: { xM: 11, yM: 22 }, radiusM: 0.4 }],
  };
  const refit = refitLayout(COURSE, arena, wish());
  expect(refit.how).toBe('drawn together');
  expect(itemsOutside(arena, refit.layout.items)).toEqual([]);
  const [track] = reckonLayout(refit.layout) as [ReckonedItemTrack];
  for (const leg of [track.legs[0]!, track.legs[2]!])
    for (const { options } of leg.readings)
      expect(options.some(({ word }) => ['quiet', 'easy', 'forward'].includes(word))).toBe(true);
  for (const { piece, to } of refit.moved)
    expect(refit.layout.items.find(({ id }) => id === piece.id)!.at).toEqual(to.at);
});
