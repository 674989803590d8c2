import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse } from '../layout/layout';
import { newItem } from '../plan/newItem';

/** A horse with a tested stride between fences, for tests. */
export const testHorse = (name: string, normalM: number): LayoutHorse => ({
  ...{ id: name, name, heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: normalM * 0.85, normalM, longM: normalM * 1.12 } },
});

/**
 * Verticals one behind the other on the centre line, ridden towards C, for tests.
 * @param yM - how far up the arena each stands, metres
 * @param through - in which order they are ridden
 */
export function verticalsInLine(yM: number[], horses: LayoutHorse[], through = yM.map((_, i) => i)): Layout {
  const items = yM.map((y, i) => newItem('vertical', `f${i + 1}`, { xM: 10, yM: y }, Math.PI / 2));
  const track: ItemTrack = {
    ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
    through: through.map(index => ({ item: items[index]!.id, reversed: false })),
    legs: through.slice(1).map(() => DEFAULT_LEG),
  };
  return {
    ...{ name: 'line', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
    ...{ items, tracks: [track], horses, kit: null },
  };
}
