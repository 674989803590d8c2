import fc from 'fast-check';
import { FOOTFALL_PLACES, footfallChanges, meanFootfall, type Footfall } from './footfall';
import { footfallDirection, MOST_CHANGE_M, suggestSpacing } from './suggestSpacing';

const judged = (fraction: number): Footfall[] => [{ gap: null, fraction }];
const gaps = (...fractions: number[]): Footfall[] => fractions.map((fraction, i) => ({ gap: i + 1, fraction }));

// Common practice, no source: the foot should fall midway; a third of the way the step is short, three quarters long.
test.each([
  { place: 'third' as const, direction: 'short' },
  { place: 'middle' as const, direction: 'middle' },
  { place: 'threeQuarters' as const, direction: 'long' },
])('a foot at the $place says $direction', ({ place, direction }) =>
  expect(footfallDirection(FOOTFALL_PLACES[place])).toBe(direction),
);

test('a third of the way: close the gaps by 5 cm and look again', () => {
  expect(suggestSpacing(1.37, [judged(1 / 3)])).toMatchObject({ kind: 'close', nextSpacingM: expect.closeTo(1.32, 9) });
});

test('in the middle: keep', () => {
  expect(suggestSpacing(1.37, [judged(0.5), judged(0.55)])).toMatchObject({
    kind: 'keep',
    nextSpacingM: 1.37,
    passes: 2,
  });
});

test('three quarters: open by 5 cm (after the pace is steady)', () => {
  expect(suggestSpacing(1.37, [judged(0.75)])).toMatchObject({ kind: 'open', nextSpacingM: expect.closeTo(1.42, 9) });
});

test('gap by gap, the horse’s own step is P·(1 + Δ)', () => {
  // Worked by hand: 0.50, 0.45, 0.40 falls back 0.05 of a gap each time, so the step is 1.37 × 0.95 = 1.3015 m.
  expect(suggestSpacing(1.37, [gaps(0.5, 0.45, 0.4)])).toMatchObject({
    kind: 'close',
    from: 'gap-by-gap',
    nextSpacingM: expect.closeTo(1.3015, 9),
  });
});

test('off but constant speaks of the pace or the entry: the poles stay', () => {
  expect(suggestSpacing(1.37, [gaps(0.7, 0.7, 0.7)])).toMatchObject({
    kind: 'look-at-pace',
    changeM: 0,
    direction: 'long',
  });
});

test('never more than 10 cm at once', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 4, noNaN: true }),
      fc.array(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 11 }), { maxLength: 8 }),
      (spacingM, passes) => {
        const suggestion = suggestSpacing(
          spacingM,
          passes.map(pass => gaps(...pass)),
        );
        if (suggestion.kind === 'nothing-noted') return;
        expect(Math.abs(suggestion.changeM)).toBeLessThanOrEqual(MOST_CHANGE_M);
        expect(suggestion.nextSpacingM).toBeCloseTo(spacingM + suggestion.changeM, 12);
      },
    ),
  );
});

test('a horse that steps s over poles P apart is led to s (simulated feet, whatever the entry)', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1.28, max: 1.46, noNaN: true }),
      fc.double({ min: 0, max: 0.999, noNaN: true }),
      (stepM, entry) => {
        // One foot fall a gap: foot k falls at entry·P + k·s; the fraction is where that lies in its gap.
        const spacingM = 1.37;
        const fractions = [0, 1, 2, 3].map(k => ((((entry * spacingM + k * stepM) / spacingM) % 1) + 1) % 1);
        const suggestion = suggestSpacing(spacingM, [gaps(...fractions)]);
        if (suggestion.kind === 'nothing-noted') throw new Error('four gaps were noted');
        // A centimetre is the smallest change it asks for.
        expect(Math.abs(suggestion.nextSpacingM - stepM)).toBeLessThan(0.0101);
      },
    ),
  );
});

test('passes without a footfall say nothing', () => {
  expect(suggestSpacing(1.37, [])).toEqual({ kind: 'nothing-noted' });
  expect(suggestSpacing(1.37, [[]])).toEqual({ kind: 'nothing-noted' });
  expect(meanFootfall([])).toBeNull();
});

test('changes are taken between neighbouring gaps only', () => {
  expect(
    footfallChanges([
      { gap: 1, fraction: 0.5 },
      { gap: 3, fraction: 0.3 },
    ]),
  ).toEqual([]);
  expect(footfallChanges([{ gap: null, fraction: 0.5 }])).toEqual([]);
});

test('refuses what cannot be', () => {
  expect(() => suggestSpacing(0, [])).toThrow(RangeError);
  expect(() => meanFootfall([{ gap: 1, fraction: 1.2 }])).toThrow(RangeError);
});
