import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PictureCard } from '@/components/pictures/PictureCard';
import { QualityOverTime } from '@/components/pictures/QualityOverTime';
import { latest } from '../latestDays';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

/** How good the passes were, day by day. */
export function qualityCard({ days, horse }: PairReview, pairId: string | null): PairCard[] {
  const marked = days.flatMap(({ day, quality, clean, passes }) =>
    quality === null ? [] : [{ day, quality, clean, passes }],
  );
  if (marked.length < 2) return [];
  const { seen, words } = latest(marked, 'days');
  const half = marked[Math.floor(marked.length / 2)]!.day;
  return [
    {
      about: 'quality',
      card: says => (
        <PictureCard
          key="quality"
          title="How good the passes were"
          says={says}
          sub={`The mean mark of each day; a disc is as full as its passes were clean.${words}`}
          fileName={`${horse.name}-quality`}
          table={{
            columns: ['day', 'mean mark', 'passes', 'clean'],
            rows: marked.map(({ day, quality, passes, clean }) => [day, Number(quality.toFixed(2)), passes, clean]),
          }}
          onPaper
          actions={
            pairId && (
              <LinkButton
                href={`/review/compare?aPair=${pairId}&aUntil=${dayBefore(marked, half)}&bPair=${pairId}&bFrom=${half}`}
                variant="default"
                size="compact-md"
              >
                Compare before and after
              </LinkButton>
            )
          }
        >
          <QualityOverTime days={seen} label={`Marks of ${horse.name}, day by day`} />
        </PictureCard>
      ),
    },
  ];
}

/** The last day of riding before another. */
function dayBefore(days: readonly { day: string }[], day: string): string {
  return days.filter(one => one.day < day).at(-1)?.day ?? day;
}
