import type { ResolvedPlan } from '../plan/resolvePlan';
import { countsOnLeg } from '../layout/countsOnLeg';
import type { ReckonedTrack } from '../layout/reckonedTrack';
import { layoutLabels } from '../layout/labels';
import { countName } from '../stride/callInWords';
import type { Caution } from './caution';

/**
 * Counts that an exercise asks in one of its stages, and that a horse cannot lengthen or shorten to: the layout alone knows only the
 * count of the leg.
 */
export function stageCountCautions(
  { layout, exercises }: Pick<ResolvedPlan, 'layout' | 'exercises'>,
  tracks: readonly ReckonedTrack[],
): Caution[] {
  const { inWords } = layoutLabels(layout);
  return exercises.flatMap(({ laid }) => {
    const id = laid.tracks[0]?.id;
    const track = layout.tracks.find(one => one.id === id);
    const reckoned = tracks.find(one => one.id === id);
    if (track?.kind !== 'items' || reckoned?.kind !== 'items') return [];
    return reckoned.legs.flatMap((leg, index): Caution[] => {
      const own = track.legs[index]!.asked;
      const counts = [...new Set(laid.stages.flatMap(({ asked }) => asked?.[index] ?? []))].filter(one => one !== own);
      return countsOnLeg(layout, track, index, leg, counts).flatMap(({ horse, counts: read }) =>
        read.flatMap(count => {
          if (!count || (count.word !== 'too tight' && count.word !== 'too far')) return [];
          const inCount = countName(count.strides, leg.readings[0]?.zeroIs ?? 'bounce');
          return {
            code: 'stage-count',
            level: 'warn',
            items: [leg.from, leg.to],
            place: { track: track.id, part: index },
            text: `In ${inCount}, from ${inWords(leg.from)} to ${inWords(leg.to)} is ${count.word} for ${horse}.`,
            mend:
              count.word === 'too far'
                ? 'Set them closer, or leave that count out.'
                : 'Set them farther apart, or leave that count out.',
          };
        }),
      );
    });
  });
}
