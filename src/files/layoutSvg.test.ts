import { newItem, reckonLayout, type Layout } from '@/core';
import { layoutSvg } from './layoutSvg';

const LAYOUT: Layout = {
  ...{ name: 'Low & <wide>', arena: { widthM: 20, lengthM: 40, letters: '20x40' }, fall: null, school: 'whole-stride' },
  ...{ horses: [], kit: null },
  items: [newItem('pole', 'p', { xM: 10, yM: 12 }, Math.PI / 2), newItem('pole', 'q', { xM: 10, yM: 16 }, Math.PI / 2)],
  tracks: [
    {
      ...{ kind: 'items', id: 't', name: null, gait: 'trot', course: null, passes: 1 },
      through: [
        { item: 'p', reversed: false },
        { item: 'q', reversed: false },
      ],
      legs: [{ track: 'natural', setting: 'poles', approach: 'canter', asked: null, circle: null }],
    },
  ],
};

test('one unit is a metre with A at the bottom, and the paper is a hundredth', () => {
  const svg = layoutSvg(LAYOUT, reckonLayout(LAYOUT));
  // A pole of 3 m across the centre line, 12 m up from A on sand 40 m long.
  expect(svg).toContain('M8.5 28L11.5 28');
  // The track from one to the other, 4 m.
  expect(svg).toContain('M10 28L10 24');
  // Room of 2.2 letters of 0.9 m round it, and as much again below for the scale bar; 10 mm of paper to the metre.
  expect(svg).toContain('viewBox="-1.98 -1.98 23.96 45.94"');
  expect(svg).toContain('width="239.6mm" height="459.4mm"');
  expect(svg).toMatch(/M0 42\.97h10/);
});

test('a name with signs of its own does not break the file', () => {
  expect(layoutSvg(LAYOUT, [])).toContain('<title>Low &amp; &lt;wide&gt;</title>');
});
