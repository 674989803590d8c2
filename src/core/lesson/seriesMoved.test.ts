import { seriesMoved } from './seriesMoved';

test('what does not lie where most do was moved; where as many lie here as there, the first says', () => {
  expect(seriesMoved(['Tue 18:00', 'Tue 18:00', 'Wed 18:00', 'Tue 18:00'])).toEqual([false, false, true, false]);
  expect(seriesMoved(['Tue 18:00', 'Wed 18:00'])).toEqual([false, true]);
  expect(seriesMoved([])).toEqual([]);
});
