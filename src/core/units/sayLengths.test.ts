import { sayLengths } from './sayLengths';

// 1 ft = 0.3048 m exactly (international yard and pound agreement, 1959), to the half inch as it is read.
test.each([
  [
    'Only 6.4 m straight before fence 1; at canter, 11 m is usual.',
    'Only 21 ft straight before fence 1; at canter, 36 ft 1 in is usual.',
  ],
  ['An arena of 20 × 60 m.', 'An arena of 65 ft 7½ in × 196 ft 10 in.'],
  ['It is 1.6 to 2 m.', 'It is 5 ft 3 in to 6 ft 6½ in.'],
  ['Close the gaps by 5 cm.', 'Close the gaps by 2 in.'],
  ['At 350 m/min, fence 12 in five.', 'At 350 m/min, fence 12 in five.'],
])('%s', (metres, feet) => {
  expect(sayLengths(metres, 'ft')).toBe(feet);
  expect(sayLengths(metres, 'm')).toBe(metres);
});
