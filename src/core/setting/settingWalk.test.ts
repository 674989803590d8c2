import { newItem } from '../plan/newItem';
import type { Item } from '../items/item';
import { settingSheet } from './settingSheet';
import { settingWalk } from './settingWalk';

test('a cone 10 m along a wall and 5 m in, by hand: to the corner, along, and in', () => {
  const arena = { widthM: 35, lengthM: 60, letters: 'none' as const };
  const items: Item[] = [{ kind: 'cone', id: 'c', name: null, at: { xM: 5, yM: 10 } }];
  const sheet = settingSheet({ arena, items }, { measureBy: 'walls', from: { xM: 0, yM: 0 } });
  expect(settingWalk({ arena, items }, sheet, { xM: 3, yM: 0 })).toEqual({ walkedM: 3 + 10 + 5, measures: 2 });
});

test('what is measured along a piece is not walked', () => {
  const arena = { widthM: 35, lengthM: 60, letters: 'none' as const };
  const items = [newItem('pole', 'p', { xM: 12, yM: 20 }, Math.PI / 2)];
  const sheet = settingSheet({ arena, items }, { measureBy: 'walls', from: { xM: 0, yM: 0 } });
  const walked = sheet.measures.filter(({ follows }) => !follows);
  expect(walked.length).toBeLessThan(sheet.measures.length);
  expect(settingWalk({ arena, items }, sheet, { xM: 0, yM: 0 }).measures).toBe(walked.length);
});
