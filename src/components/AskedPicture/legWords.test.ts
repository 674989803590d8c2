import { sandView } from '@/components/Sand/sandView';
import { DEFAULT_LEG, newItem, reckonLayout, type Layout } from '@/core';
import { legWords } from './legWords';

/** A line along the arena, or across it. */
function line(along: boolean): Layout {
  const at = (step: number) => (along ? { xM: 10, yM: 10 + step } : { xM: 2 + step, yM: 30 });
  return {
    ...{ name: 'line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
    items: [0, 15].map((step, index) => newItem('vertical', ['a', 'b'][index]!, at(step), along ? Math.PI / 2 : 0)),
    tracks: [
      {
        ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: ['a', 'b'].map(item => ({ item, reversed: false })),
        legs: [{ ...DEFAULT_LEG }],
      },
    ],
    ...{ horses: [], kit: null },
  };
}

test.each([true, false])('words stand beside the middle of a leg, clear of its line (along: %s)', along => {
  const layout = line(along);
  const view = sandView(layout.arena, 'along');
  const [track] = reckonLayout(layout);
  const words = legWords(track!, [['4: Quill, Osprey', '5: Barley']], { view, textM: 1 });
  expect(words).toHaveLength(2);
  const middle = view.toPaper(along ? { xM: 10, yM: 17.5 } : { xM: 9.5, yM: 30 });
  for (const shape of words) {
    if (shape.kind !== 'text') throw new Error('words are texts');
    const off = { x: Math.abs(shape.x - middle.x), y: Math.abs(shape.y - middle.y) };
    // On paper the arena lies along the page: a line along it is level, and its words stand over or under it.
    if (along) expect([off.x < 0.01, off.y > 0.4]).toEqual([true, true]);
    else expect(off.x).toBeGreaterThan(3);
  }
});

test('a leg without words has none', () => {
  const layout = line(true);
  const [track] = reckonLayout(layout);
  const seen = { view: sandView(layout.arena, 'along'), textM: 1 };
  expect(legWords(track!, [[]], seen)).toEqual([]);
  expect(legWords(track!, [], seen)).toEqual([]);
});
