import { LegCounts } from '@/components/pictures/LegCounts';
import { PictureCard } from '@/components/pictures/PictureCard';
import { metres } from '@/components/pictures/metres';
import { SHOWN_LEGS, type PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

/** The counts that were ridden in the legs ridden most often, against what was reckoned. */
export function legCard({ legs, horse }: PairReview): PairCard[] {
  if (legs.length === 0) return [];
  return [
    {
      about: 'asked',
      card: says => (
        <PictureCard
          key="legs"
          title="Strides ridden, leg by leg"
          says={says}
          sub="A disc for each count, as large as it was often ridden, full where it was meant. The point above: where the stride of the profile is even."
          fileName={`${horse.name}-legs`}
          table={{
            columns: ['layout', 'leg', 'ground m', 'asked', 'even count', 'ridden', 'times'],
            rows: legs.flatMap(({ layoutName, from, to, groundM, asked, predicted, counts }) =>
              counts.map(({ count, times }) => [
                ...[layoutName, `${from} to ${to}`, metres(groundM), asked],
                ...[predicted === null ? null : Number(predicted.toFixed(2)), count, times],
              ]),
            ),
          }}
        >
          <LegCounts
            legs={legs.slice(0, SHOWN_LEGS).map((leg, index) => ({ ...leg, key: String(index) }))}
            label={`Strides of ${horse.name}, leg by leg`}
          />
        </PictureCard>
      ),
    },
  ];
}
