import { aboutMinutes } from '@/core';
import { PictureCard } from '@/components/pictures/PictureCard';
import { RiderBars } from '@/components/pictures/RiderBars';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';
import classes from '../_components/Pictures.module.css';

const SHOWN = 6;

/** What was watched in the rider: at first, and lately. */
export function riderCard({ rider, riderWork, horse, words }: PairReview): PairCard[] {
  if (rider.length === 0 && riderWork.length === 0) return [];
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
            columns: ['what', 'passes', 'at first', 'of', 'lately', 'of', 'minutes', 'days'],
            rows: [
              ...rider.map(({ what, passes, early, late }) => [
                ...[what, passes, early.hits, early.of, late.hits, late.of, null, null],
              ]),
              ...riderWork.map(({ name, passes, minutes, days }) => [
                ...[name, passes, null, null, null, null, Math.round(minutes), days],
              ]),
            ],
          }}
          actions={
            riderWork.length > 0 && (
              <ul className={classes.list}>
                {riderWork.map(({ layoutId, name, minutes, days, lastDay }) => (
                  <li key={layoutId}>
                    <strong>{name}</strong>: {aboutMinutes(minutes)} on {days} {days === 1 ? 'day' : 'days'}, last on{' '}
                    {words.dayName(lastDay)}
                  </li>
                ))}
              </ul>
            )
          }
        >
          {rider.length > 0 && (
            <RiderBars marks={rider.slice(0, SHOWN)} label={`What was seen of the rider of ${horse.name}`} />
          )}
        </PictureCard>
      ),
    },
  ];
}
