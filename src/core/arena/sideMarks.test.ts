import { sideMarks } from './sideMarks';

test('an arena without letters tells its sides in words, one with letters by those', () => {
  const field = { widthM: 35, lengthM: 60, letters: 'none' as const };
  expect(sideMarks(field).find(({ words }) => words === 'far')!.at).toEqual({ xM: 17.5, yM: 60 });
  expect(sideMarks(field).find(({ words }) => words === 'left')!.at.xM).toBe(0);
  expect(sideMarks({ ...field, letters: '20x60' })).toEqual([]);
});
