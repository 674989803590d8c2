import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse } from '../layout/layout';
import { newItem } from '../plan/newItem';

export const JUNIPER: LayoutHorse = {
  id: 'juniper',
  name: 'Juniper',
  heightM: 1.6,
  type: 'all-round',
  level: 'novice',
  strides: {},
};

/** For tests: eight fences on a field: two lines up and down, a diagonal each way, a fence at the end. */
export function course(): { layout: Layout; track: ItemTrack } {
  const up = Math.PI / 2;
  const places: [string, number, number, number][] = [
    ['alder', 8, 20, up],
    ['heron', 8, 38, up],
    ['rowan', 20, 52, 0],
    ['willow', 30, 40, -up],
    ['linnet', 30, 22, -up],
    ['hazel', 20, 30, up + 0.9],
    ['plover', 14, 10, 0],
    ['tern', 24, 34, up - 0.5],
  ];
  const items = places.map(([id, xM, yM, headingRad]) => ({
    ...newItem('vertical', id, { xM, yM }, headingRad),
    name: id,
    ridden: 'one-way' as const,
  }));
  const order = ['alder', 'heron', 'rowan', 'willow', 'linnet', 'hazel'];
  const track: ItemTrack = {
    ...{ kind: 'items', name: null, id: 'course', gait: 'course-canter', course: null, passes: 1 },
    through: order.map(item => ({ item, reversed: false })),
    legs: order.slice(1).map(() => DEFAULT_LEG),
  };
  const layout = {
    ...{ name: 'course', arena: { widthM: 40, lengthM: 65, letters: 'none' }, fall: null, school: 'whole-stride' },
    ...{ items, tracks: [track], horses: [JUNIPER], kit: null },
  } as Layout;
  return { layout, track };
}
