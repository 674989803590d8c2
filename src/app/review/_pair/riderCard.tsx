import { PictureCard } from '@/components/pictures/PictureCard';
import { RiderBars } from '@/components/pictures/RiderBars';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

const SHOWN = 6;

/** What was watched in the rider: at first, and lately. */
export function riderCard({ rider, horse }: PairReview): PairCard[] {
  if (rider.length === 0) return [];
  return [
    {
      about: 'rider',
      card: says => (
        <PictureCard
          key="rider"
          title="The rider"
          says={says}
          sub="In which share of the passes each was seen: light in the first half of the days, dark in the second."
          fileName={`${horse.name}-rider`}
          table={{
            columns: ['what', 'passes', 'at first', 'of', 'lately', 'of'],
            rows: rider.map(({ what, passes, early, late }) => [
              ...[what, passes, early.hits, early.of, late.hits, late.of],
            ]),
          }}
        >
          <RiderBars marks={rider.slice(0, SHOWN)} label={`What was seen of the rider of ${horse.name}`} />
        </PictureCard>
      ),
    },
  ];
}
