import { endLines } from './endLines';

test('words are broken between them, and one that is longer stays whole', () => {
  expect(endLines('30 at 0.9 m and over')).toEqual(['30 at 0.9 m', 'and over']);
  expect(endLines('60 efforts')).toEqual(['60 efforts']);
  expect(endLines('profile 12 ft 0 in')).toEqual(['profile 12 ft', '0 in']);
  expect(endLines('extraordinarily')).toEqual(['extraordinarily']);
});
