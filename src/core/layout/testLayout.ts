import type { Arena } from '../arena/arena';
import { headingFromFacing } from '../geometry/angles';
import type { Fence } from '../items/item';
import { newItem, type ItemChoice } from '../plan/newItem';
import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse, type PlannedLeg } from './layout';

/** A horse of a course stride, short and long as is usual (common practice, no source). */
export const testHorse = (name: string, normalM: number, heightM = 1.63): LayoutHorse => ({
  ...{ id: name, name, heightM, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: normalM * 0.85, normalM, longM: normalM * 1.12 } },
});

/** A fence ridden the way of a facing: degrees clockwise from "towards C". */
export const testFence = (
  id: string,
  xM: number,
  yM: number,
  facingDeg: number,
  { form = 'vertical' as ItemChoice, ...more }: { form?: ItemChoice } & Partial<Omit<Fence, 'form'>> = {},
): Fence => ({ ...(newItem(form, id, { xM, yM }, headingFromFacing(facingDeg)) as Fence), ...more });

/** A layout of items and one course over them in their order; a count asked in each leg, where there is one. */
export function testLayout(
  items: Layout['items'],
  { arena, horses = [], legs = [], track = {} }: TestLayout = {},
): Layout {
  const course: ItemTrack = {
    ...{ kind: 'items', id: 'course', name: null, gait: 'course-canter', course: null, passes: 1 },
    through: items.map(({ id }) => ({ item: id, reversed: false })),
    legs: items.slice(1).map((_, index) => ({ ...DEFAULT_LEG, ...legs[index] })),
    ...track,
  };
  return {
    ...{ name: 'test', arena: arena ?? { widthM: 30, lengthM: 60, letters: 'none' }, fall: null },
    ...{ school: 'whole-stride', items, tracks: [course], horses, kit: null },
  };
}

type TestLayout = {
  arena?: Arena;
  horses?: LayoutHorse[];
  legs?: Partial<PlannedLeg>[];
  track?: Partial<ItemTrack>;
};
