import { PassCalendar } from '@/components/pictures/PassCalendar';
import { PictureCard } from '@/components/pictures/PictureCard';
import { passCalendar } from '@/core';
import classes from '../_components/Pictures.module.css';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

/** When it was ridden, and how it went, half a year at a time. */
export function calendarCard({ days, horse }: PairReview): PairCard[] {
  const [latest, ...earlier] = passCalendar(days);
  if (!latest) return [];
  const most = Math.max(...days.map(({ passes }) => passes));
  const sheet = (weeks: typeof latest) => (
    <PassCalendar
      weeks={weeks}
      most={most}
      label={`Days on which ${horse.name} was ridden, from ${weeks[0]!.monday}`}
    />
  );
  return [
    {
      about: null,
      card: () => (
        <PictureCard
          key="calendar"
          title="When it was ridden"
          sub="A disc for each day: as large as it was ridden, as full as it went clean."
          fileName={`${horse.name}-calendar`}
          table={{
            columns: ['day', 'passes', 'clean'],
            rows: days.map(({ day, passes, clean }) => [day, passes, clean]),
          }}
          onPaper
        >
          {sheet(latest)}
          {earlier.length > 0 && (
            <details className={classes.earlier}>
              <summary>Half-years before</summary>
              {earlier.map(weeks => (
                <div key={weeks[0]!.monday}>{sheet(weeks)}</div>
              ))}
            </details>
          )}
        </PictureCard>
      ),
    },
  ];
}
