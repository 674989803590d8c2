import { LinkButton } from '@/components/LinkButton/LinkButton';
import { FaultHalves } from '@/components/pictures/FaultHalves';
import { PictureCard } from '@/components/pictures/PictureCard';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

const SHOWN = 8;

/** What went wrong, on which rein, the most frequent first. */
export function faultCard({ faults, horse }: PairReview, pairId: string | null): PairCard[] {
  if (faults.length === 0) return [];
  return [
    {
      about: 'faults',
      card: says => (
        <PictureCard
          key="faults"
          title="What went wrong"
          says={says}
          sub="How often on each rein."
          fileName={`${horse.name}-faults`}
          table={{
            columns: ['what', 'left', 'right', 'rein changes'],
            rows: faults.map(({ what, left, right, without }) => [what, left, right, without]),
          }}
          actions={
            pairId && (
              <LinkButton href={`/ride/next?pair=${pairId}`} variant="default" size="compact-md">
                What next for {horse.name}
              </LinkButton>
            )
          }
        >
          <FaultHalves faults={faults.slice(0, SHOWN)} label={`What went wrong for ${horse.name}`} />
        </PictureCard>
      ),
    },
  ];
}
