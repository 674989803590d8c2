import type { Item } from '../items/item';
import { reckonLayout } from '../layout/reckonLayout';
import { testFence, testLayout } from '../layout/testLayout';
import { newItem } from '../plan/newItem';
import { layoutCautions } from './layoutCautions';

const short = (items: Item[]) => {
  const layout = { ...testLayout(items), tracks: [] };
  return layoutCautions(layout, reckonLayout(layout)).flatMap(one => (one.code === 'landing-short' ? one.items : []));
};

// 60 m long: 57 m up there are 3 m behind, and 6 m are the least (practice).
test('a fence that nothing rides yet wants room behind it as it faces; a pole that lies there wants none', () => {
  const pole = newItem('pole', 'pole', { xM: 22, yM: 57 }, Math.PI / 2);
  expect(short([testFence('near', 8, 57, 0), testFence('free', 15, 30, 0), pole])).toEqual(['near']);
  expect(short([testFence('turned', 8, 57, 180)])).toEqual([]);
});
