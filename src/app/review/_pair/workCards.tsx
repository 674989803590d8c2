import { PictureCard } from '@/components/pictures/PictureCard';
import { WorkBars } from '@/components/pictures/WorkBars';
import { mondayOf, riddenWeeks } from '@/core';
import { latest } from '../latestDays';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

/** Efforts over fences day by day, and jumping days week by week, against the limits of the yard. */
export function workCards(review: PairReview): PairCard[] {
  const { days } = review;
  if (!days.some(({ lowEfforts, highEfforts }) => lowEfforts + highEfforts > 0)) return [];
  return [
    { about: null, card: () => <WorkByDay key="by day" review={review} /> },
    { about: null, card: () => <WorkByWeek key="by week" review={review} /> },
  ];
}

const short = (review: PairReview, day: string) => review.words.dayName(day).replace(/^(\d+) (...).*/, '$1 $2');

function WorkByDay({ review }: { review: PairReview }) {
  const { days, horse, limitsOn } = review;
  const last = days.at(-1)!.day;
  const { seen, words } = latest(days, 'days');
  return (
    <PictureCard
      title="Work, day by day"
      sub={`Efforts over fences; the dark foot of a bar is what was 0.9 m and over.${words}`}
      fileName={`${horse.name}-work-by-day`}
      table={{
        columns: [
          ...['day', 'efforts', 'at 0.9 m and over', 'raised passes', 'small circles left min', 'right min'],
          ...['efforts allowed that day', 'of them at 0.9 m and over'],
        ],
        rows: days.map(({ day, lowEfforts, highEfforts, raisedPasses, smallCircleMin: { left, right } }) => [
          ...[day, lowEfforts + highEfforts, highEfforts, raisedPasses],
          ...[Number(left.toFixed(1)), Number(right.toFixed(1))],
          ...[limitsOn(day).lowEfforts, limitsOn(day).highEfforts],
        ]),
      }}
    >
      <WorkBars
        bars={seen.map(({ day, lowEfforts, highEfforts }) => ({
          ...{ key: day, label: short(review, day), low: lowEfforts, high: highEfforts },
        }))}
        limits={[
          { at: day => limitsOn(day).lowEfforts, words: `limit: ${limitsOn(last).lowEfforts} efforts a day` },
          { at: day => limitsOn(day).highEfforts, words: `limit: ${limitsOn(last).highEfforts} at 0.9 m and over` },
        ]}
        label={`Efforts of ${horse.name}, day by day`}
      />
    </PictureCard>
  );
}

function WorkByWeek({ review }: { review: PairReview }) {
  const { days, horse, limitsOn } = review;
  const weeks = riddenWeeks(days, mondayOf);
  const last = days.at(-1)!.day;
  const { seen, words } = latest(weeks, 'weeks');
  return (
    <PictureCard
      title="Jumping days, week by week"
      sub={words.trim() || undefined}
      fileName={`${horse.name}-work-by-week`}
      table={{
        columns: ['week from Monday', 'jumping days', 'efforts', 'at 0.9 m and over', 'passes'],
        rows: weeks.map(({ monday, jumpingDays, lowEfforts, highEfforts, passes }) => [
          ...[monday, jumpingDays, lowEfforts + highEfforts, highEfforts, passes],
        ]),
      }}
    >
      <WorkBars
        bars={seen.map(({ monday, jumpingDays }) => ({
          ...{ key: monday, label: short(review, monday), low: jumpingDays, high: 0 },
        }))}
        limits={[{ at: day => limitsOn(day).jumpingDays, words: `limit: ${limitsOn(last).jumpingDays} days a week` }]}
        label={`Jumping days of ${horse.name}, week by week`}
      />
    </PictureCard>
  );
}
