import { chanceCell } from './chanceCell';

test.each([
  [0.00000331, '< 0.001'],
  [0.001, '0.001'],
  [0.00719, '0.0072'],
  [0.5, '0.5'],
  [1, '1'],
])('%f is %s', (p, cell) => expect(chanceCell(p)).toBe(cell));
