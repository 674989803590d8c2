import { LinkButton } from '@/components/LinkButton/LinkButton';
import { Halves } from '@/components/pictures/Halves';
import { PictureCard } from '@/components/pictures/PictureCard';
import { chanceCell } from '../chanceCell';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

/** Left against right in all that was marked. */
export function reinCard(pairId: string, { reins: { measures }, horse }: PairReview, maySet: boolean): PairCard[] {
  if (measures.length === 0) return [];
  return [
    {
      about: 'reins',
      card: says => (
        <PictureCard
          key="reins"
          title="Left and right"
          says={says}
          sub="As far out as it goes well; a stroke is how sure each is."
          fileName={`${horse.name}-reins`}
          table={{
            columns: ['', 'left', 'of', 'right', 'of', 'p'],
            rows: measures.map(({ measure, left, right, p }) => [
              ...[measure, left.hits, left.of, right.hits, right.of, chanceCell(p)],
            ]),
          }}
          onPaper
          actions={
            maySet && (
              <>
                {says.length > 0 && (
                  <LinkButton href={`/ride/next?pair=${pairId}`} size="compact-md">
                    What next for {horse.name}
                  </LinkButton>
                )}
                <LinkButton
                  href={`/review/compare?aPair=${pairId}&aRein=left&bPair=${pairId}&bRein=right`}
                  variant="default"
                  size="compact-md"
                >
                  Compare them
                </LinkButton>
              </>
            )
          }
        >
          <Halves measures={measures} label={`Left and right rein of ${horse.name}`} />
        </PictureCard>
      ),
    },
  ];
}
