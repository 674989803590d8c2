import { reckonLayout } from '../layout/reckonLayout';
import { layoutLabels } from '../layout/labels';
import type { Layout } from '../layout/layout';
import { padSteps } from './padSteps';

const ARENA = { widthM: 20, lengthM: 60, letters: 'none' as const };
const BASE = { name: 'l', arena: ARENA, fall: null, school: 'whole-stride' as const, horses: [], kit: null };
const steps = (layout: Layout) => padSteps(layout, reckonLayout(layout)[0]!, layoutLabels(layout));

test('of a track its stops are marked, in order, each as what it is', () => {
  const pole = { kind: 'pole', id: 'p', name: null, at: { xM: 10, yM: 10 }, headingRad: Math.PI / 2, lengthM: 3 };
  const fence = {
    ...{ kind: 'fence', id: 'f', name: 'gate', form: 'vertical', at: { xM: 10, yM: 13 }, headingRad: Math.PI / 2 },
    ...{ widthM: 3.5, heightM: 0.8, spreadM: 0, ridden: 'both-ways', groundLineBeforeM: null, sideHeightM: null },
    ...{ filler: false, corner: null },
  };
  const layout = {
    ...BASE,
    items: [{ ...pole, raised: { leftM: 0, rightM: 0 } }, fence],
    tracks: [
      {
        ...{ kind: 'items', id: 't', name: null, gait: 'trot', course: null, passes: 1 },
        through: ['p', 'f'].map(item => ({ item, reversed: false })),
        legs: [{ track: 'direct', setting: 'course', approach: 'trot', asked: null, circle: null }],
      },
    ],
  } as Layout;
  expect(steps(layout)).toMatchObject([
    { kind: 'pole', place: 1, label: '1', lies: true },
    { kind: 'fence', place: 2, label: '2', words: 'vertical 2 gate' },
  ]);
});

test('of a session its changes of gait are marked where they are asked, then its figures, part by part', () => {
  const start = { at: { xM: 10, yM: 5 }, headingRad: Math.PI / 2 };
  const layout: Layout = {
    ...{ ...BASE, items: [] },
    tracks: [
      {
        ...{ kind: 'figures', id: 's', name: null, gait: 'walk', passes: 1 },
        figures: [
          {
            ...{ id: 'a', name: null, gait: null },
            figure: { kind: 'straight', start, rein: 'left', lengthM: 40 },
            parts: [
              { fromM: 0, toM: 10, gait: 'walk' },
              { fromM: 10, toM: 30, gait: 'trot' },
              { fromM: 30, toM: 40, gait: 'canter' },
            ],
          },
        ],
      },
    ],
  };
  expect(steps(layout)).toMatchObject([
    { kind: 'transition', place: 1, words: 'walk to trot' },
    { kind: 'transition', place: 2, words: 'trot to canter', at: { yM: expect.closeTo(35, 6) } },
    { kind: 'figure', place: 1, part: null, words: 'straight line of 40 m' },
  ]);
  const serpentine: Layout = {
    ...layout,
    tracks: [
      {
        ...{ kind: 'figures', id: 's', name: null, gait: 'trot', passes: 1 },
        figures: [
          {
            ...{ id: 'a', name: null, gait: null, parts: [] },
            figure: {
              ...{ kind: 'serpentine', start: { at: { xM: 10, yM: 0 }, headingRad: 0 } },
              ...{ rein: 'left', loops: 3, lengthM: 60, widthM: 20 },
            },
          },
        ],
      },
    ],
  };
  expect(steps(serpentine).map(({ words }) => words)).toEqual(['the first loop', 'the second loop', 'the third loop']);
});
