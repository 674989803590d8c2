import fc from 'fast-check';
import { levels } from './levels';

test('words that have room stand on one level, others above', () => {
  expect(
    levels(
      [
        { middle: 50, wide: 40 },
        { middle: 150, wide: 40 },
      ],
      300,
    ),
  ).toEqual([
    { level: 0, at: 30 },
    { level: 0, at: 130 },
  ]);
  expect(
    levels(
      [
        { middle: 50, wide: 40 },
        { middle: 60, wide: 40 },
        { middle: 110, wide: 40 },
      ],
      300,
    ).map(one => one.level),
  ).toEqual([0, 1, 0]);
  expect(
    levels(
      [
        { middle: 2, wide: 40 },
        { middle: 298, wide: 40 },
      ],
      300,
    ).map(({ at }) => at),
  ).toEqual([0, 260]);
});

test('no two on a level lie over each other, and none reaches over an edge', () =>
  fc.assert(
    fc.property(
      fc.array(fc.record({ middle: fc.integer({ min: 0, max: 360 }), wide: fc.integer({ min: 5, max: 200 }) }), {
        maxLength: 20,
      }),
      all => {
        const sorted = [...all].sort((a, b) => a.middle - b.middle);
        const placed = levels(sorted, 360).map((one, index) => ({ ...one, end: one.at + sorted[index]!.wide }));
        for (const [index, one] of placed.entries()) {
          expect(one.at).toBeGreaterThanOrEqual(0);
          expect(one.end).toBeLessThanOrEqual(360);
          for (const other of placed.slice(0, index))
            if (other.level === one.level) expect(one.at >= other.end || other.at >= one.end).toBe(true);
        }
      },
    ),
  ));
