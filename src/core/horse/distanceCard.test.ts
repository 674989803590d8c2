import { M_PER_FT } from '../units/lengthUnits';
import { distanceCard } from './distanceCard';

const TWELVE = 12 * M_PER_FT;
const STRIDE = { shortM: 0.85 * TWELVE, normalM: TWELVE, longM: 1.12 * TWELVE };

// The twelve-foot rule (common practice, no source): 24, 36, 48, 60, 72 ft for one to five strides.
test('a horse of 12 ft in the whole-stride school', () => {
  const feet = [24, 36, 48, 60, 72];
  const card = distanceCard(
    STRIDE,
    'whole-stride',
    feet.map(ft => ft * M_PER_FT),
  );
  expect(card.counts.slice(1, 6).map(({ evenM }) => evenM / M_PER_FT)).toEqual(feet.map(ft => expect.closeTo(ft, 9)));
  expect(card.common.map(({ call }) => call)).toEqual(['easy one', 'easy two', 'easy three', 'easy four', 'easy five']);
  const four = card.counts[4]!;
  expect(four.shortestM).toBeCloseTo(five(0.85), 9);
  expect(four.longestM).toBeCloseTo(five(1.12), 9);
  expect([four.easyFromM, four.easyToM]).toEqual([five(0.97), five(1.03)].map(m => expect.closeTo(m, 9)));
});

const five = (share: number) => 5 * TWELVE * share;

// The two-metre school (common practice, no source): with 3.5 m strides and fences of 1 m, 2 m each to land and take off.
test('in the two-metre school only the strides stretch', () => {
  const stride = { shortM: 3, normalM: 3.5, longM: 3.9 };
  const two = distanceCard(stride, 'two-metre', []).counts[2]!;
  // At 0.8 m each allowance is 1.95 m.
  expect(two.evenM).toBeCloseTo(3.9 + 7, 9);
  expect(two.shortestM).toBeCloseTo(3.9 + 6, 9);
  expect(two.longestM).toBeCloseTo(3.9 + 7.8, 9);
});
