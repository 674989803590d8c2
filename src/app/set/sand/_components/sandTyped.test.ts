import { keptSand, NOTHING_WALKED } from './sandTyped';

const walked = {
  ...{ ...NOTHING_WALKED, name: 'Sunday', arenaId: 'a', walkerId: 'w', horseIds: ['h'], from: 'left', aside: '6 m' },
  pieces: [{ key: 'k', gap: '20½ steps', choice: 'oxer' }],
};

test('what a device kept comes back as it was typed', () => {
  expect(keptSand(JSON.parse(JSON.stringify(walked)))).toEqual(walked);
});

test.each([
  [null],
  ['text'],
  [{}],
  [{ ...walked, from: 'above' }],
  [{ ...walked, pieces: [] }],
  [{ ...walked, pieces: [{ key: 1, gap: '', choice: 'oxer' }] }],
  [{ ...walked, pieces: [{ key: 'k', gap: '', choice: 'castle' }] }],
  [{ ...walked, name: 7 }],
])('what is not that is nothing (%#)', kept => {
  expect(keptSand(kept)).toBeNull();
});
