import { DEFAULT_LEG, layoutHorse, newItem, type Layout, type LayoutHorse, type Question } from '@/core';

const NAMES = ['ash', 'birch', 'elm'];

/** For tests: a fence across the middle of an arena, ridden towards C. */
export const fenceAt = (id: string, yM: number) => newItem('vertical', id, { xM: 10, yM }, Math.PI / 2);

/** For tests: a horse as a layout knows it, that nobody measured. */
export const testHorse = (name: string, heightM = 1.6, id = 'h'): LayoutHorse =>
  layoutHorse({ id, name, heightM, type: 'all-round', level: 'novice', strides: {} });

/** For tests: a line of fences, where they stand along the middle; without a word two, 18 m from one to the other. */
export function lineLayout({ yM = [15, 33], horses = [] as LayoutHorse[] } = {}): Layout {
  const ids = NAMES.slice(0, yM.length);
  return {
    ...{ name: 'A line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
    ...{ horses, kit: null, items: ids.map((id, at) => fenceAt(id, yM[at]!)) },
    tracks: [
      {
        ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: ids.map(item => ({ item, reversed: false })),
        legs: ids.slice(1).map(() => DEFAULT_LEG),
      },
    ],
  };
}

/** For tests: the line, with so many strides asked of each leg. */
export const lineQuestion = (id: string, ...asked: (number | null)[]): Question => ({
  ...{ id, name: null, what: { kind: 'track', trackId: 'line' }, gait: 'course-canter', rein: null, asked },
  state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} },
});
