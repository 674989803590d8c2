import type { CautionLimits } from '../cautions/cautionLimits';
import type { Item } from '../items/item';
import { resolvePlan } from '../plan/layOutPlaced';
import type { Plan } from '../plan/plan';
import type { PlanGround } from '../plan/resolvePlan';
import type { SuggestWish } from './candidate';
import { catalogueOf } from './catalogue';
import { ownFacts, type OwnLayout } from './ownLayouts';
import type { PairSeen } from './pairSeen';
import { suggestLessons, type Suggested } from './suggestLessons';

/** Pairs that ride together, what was refused for them lately, and how many suggestions they want. */
type WishFor = { pairIds: readonly string[]; refused: SuggestWish['refused']; most: number };

/** All that suggestions are made from: plain, so that it may be sent to whoever makes them. */
export type SuggestMaterial = Pick<SuggestWish, 'day' | 'minutes' | 'limits' | 'rule'> & {
  pairs: readonly PairSeen[];
  wishes: readonly WishFor[];
  ground: PlanGround;
  cautionLimits: CautionLimits;
  /** The layouts of the yard on this sand. */
  own: readonly { id: string; name: string; plan: Plan; stands: boolean }[];
  /** What lies on it now. */
  standing: readonly Item[];
};

export type SuggestedFor = Suggested & { pairIds: readonly string[] };

/** What comes next for each of the wishes, on one sand. */
export function suggestFrom(material: SuggestMaterial): SuggestedFor[] {
  const { pairs, wishes, ground, cautionLimits, standing, day, minutes, limits, rule } = material;
  const own = material.own.map(({ plan, ...layout }): OwnLayout => ({
    ...layout,
    resolved: resolvePlan(plan, { ...ground, name: layout.name }),
  }));
  const all = pairs.map(({ horse }) => horse);
  const catalogue = [
    ...catalogueOf(
      ground,
      all.map(({ id }) => id),
    ),
    ...ownFacts(own),
  ];
  return wishes.map(({ pairIds, refused, most }) => {
    const riding = pairIds.flatMap(id => pairs.find(pair => pair.id === id) ?? []);
    const horses = [...new Map(riding.map(({ horse }) => [horse.id, horse])).values()];
    const sand = { ground, horses, limits: cautionLimits, own, standing };
    const wish = { pairs: riding, refused, day, minutes, limits, rule };
    return { pairIds, ...suggestLessons(catalogue, wish, sand, most) };
  });
}
