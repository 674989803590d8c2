import fc from 'fast-check';
import { mirroredPlace } from '../geometry/frame';
import type { Fence, Item } from '../items/item';
import { DEFAULT_LEG, type Layout } from '../layout/layout';
import { applyEdits } from '../layout/layoutEdit';
import { reckonLayout } from '../layout/reckonLayout';
import { layoutCautions } from './layoutCautions';
import { offerMend } from './offerMend';

const WIDTH_M = 40;
const dm = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map(value => value / 10);

const anyFence: fc.Arbitrary<Omit<Fence, 'id' | 'name'>> = fc.record({
  kind: fc.constant('fence' as const),
  form: fc.constantFrom('vertical' as const, 'oxer' as const, 'narrow' as const),
  at: fc.record({ xM: dm(3, 37), yM: dm(3, 67) }),
  headingRad: fc.integer({ min: 0, max: 23 }).map(step => (step * Math.PI) / 12),
  widthM: fc.constantFrom(1.5, 3),
  heightM: fc.constantFrom(0.5, 0.9),
  spreadM: fc.constantFrom(0, 0.8),
  ridden: fc.constantFrom('both-ways' as const, 'one-way' as const),
  groundLineBeforeM: fc.constantFrom(null, 0.3, -0.2),
  sideHeightM: fc.constant(null),
  filler: fc.boolean(),
  corner: fc.constant(null),
});

const anyLayout: fc.Arbitrary<Layout> = fc
  .record({
    fences: fc.array(anyFence, { minLength: 2, maxLength: 4 }),
    asked: fc.option(fc.integer({ min: 1, max: 6 })),
    passes: fc.integer({ min: 1, max: 12 }),
    fall: fc.option(fc.record({ headingRad: fc.constantFrom(0, 1.2, Math.PI / 2), percent: fc.constantFrom(1, 3) })),
  })
  .map(({ fences, asked, passes, fall }) => {
    const items: Item[] = fences.map((fence, index) => ({ ...fence, id: `f${index}`, name: null }));
    return {
      ...{
        name: 'any',
        arena: { widthM: WIDTH_M, lengthM: 70, letters: 'none' as const },
        school: 'whole-stride' as const,
      },
      ...{ items, fall, kit: null },
      horses: [{ id: 'h', name: 'h', heightM: 1.6, type: 'all-round' as const, level: 'novice' as const, strides: {} }],
      tracks: [
        {
          ...{ kind: 'items' as const, id: 't', name: null, gait: 'course-canter' as const, course: null, passes },
          through: items.map(({ id }) => ({ item: id, reversed: false })),
          legs: items.slice(1).map(() => ({ ...DEFAULT_LEG, asked })),
        },
      ],
    };
  });

const cautionsOf = (layout: Layout) => layoutCautions(layout, reckonLayout(layout));
const told = (layout: Layout) =>
  cautionsOf(layout)
    .map(({ code, items }) => `${code} ${items.join(' ')}`)
    .sort();

function mirrored(layout: Layout): Layout {
  return {
    ...layout,
    fall: layout.fall && { ...layout.fall, headingRad: Math.PI - layout.fall.headingRad },
    items: layout.items.map(item => {
      const headingRad = 'headingRad' in item ? item.headingRad : 0;
      const place = mirroredPlace(WIDTH_M, { at: item.at, headingRad });
      return 'headingRad' in item ? { ...item, ...place } : { ...item, at: place.at };
    }),
  };
}

test('a layout and its mirror image have the same cautions', () => {
  fc.assert(
    fc.property(anyLayout, layout => {
      expect(told(mirrored(layout))).toEqual(told(layout));
    }),
    { numRuns: 40, seed: 20261124, endOnFailure: true },
  );
});

test('every mend that is offered silences its caution and adds no stop and no warning', () => {
  let offered = 0;
  fc.assert(
    fc.property(anyLayout, layout => {
      const before = cautionsOf(layout);
      const caution = before[0];
      if (!caution) return;
      const edits = offerMend(layout, caution);
      if (!edits) return;
      offered += 1;
      const after = cautionsOf(applyEdits(layout, edits));
      const key = ({ code, items }: (typeof before)[number]) => `${code} ${items.join(' ')}`;
      expect(after.map(key)).not.toContain(key(caution));
      const known = new Set(before.map(key));
      expect(after.filter(other => other.level !== 'note' && !known.has(key(other)))).toEqual([]);
    }),
    { numRuns: 14, seed: 20261124, endOnFailure: true },
  );
  expect(offered).toBeGreaterThan(5);
});
