import { mayRideFromBehind } from '../items/footprint';
import { called, itemTracks, riddenItem, sentence, trackCalled, type CautionRule } from './cautionRule';

/** A one-way fence in a track that rides it from its back. */
export const oneWayFromBehind: CautionRule = {
  code: 'one-way-from-behind',
  find: context =>
    itemTracks(context).flatMap(({ plan }) =>
      plan.through.flatMap(({ item: id, reversed }, index) => {
        const item = riddenItem(context.layout, id);
        if (!reversed || !item || mayRideFromBehind(item)) return [];
        return [
          {
            code: 'one-way-from-behind' as const,
            level: 'stop' as const,
            items: [id],
            place: { track: plan.id, part: index },
            text: `${sentence(called(context, id))} is built to be ridden one way, and ${trackCalled(context, plan.id)} rides it from its back.`,
            mend: 'Ride it from its front, turn it round, or build it both ways.',
          },
        ];
      }),
    ),
  mends: ({ layout }, { items: [id], place }) => {
    const item = layout.items.find(candidate => candidate.id === id);
    if (item?.kind !== 'fence' || place.track === null || place.part === null) return [];
    const rideFront = { kind: 'ride-way' as const, track: place.track, index: place.part, reversed: false };
    return [
      [{ kind: 'turn-item', item: item.id, headingRad: item.headingRad + Math.PI }, rideFront],
      [rideFront],
      [{ kind: 'change-fence', item: item.id, changes: { ridden: 'both-ways' } }],
    ];
  },
};
