import { PictureCard } from '@/components/pictures/PictureCard';
import { TempoByLeg } from '@/components/pictures/TempoByLeg';
import { tempoReviewWords } from '@/core';
import classes from '../_components/Pictures.module.css';
import { SHOWN_LEGS, type PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

/** The tempo that was tapped, leg by leg. */
export function tempoCard({ tempos, horse }: PairReview): PairCard[] {
  if (tempos.length === 0) return [];
  const shown = tempos.slice(0, SHOWN_LEGS);
  return [
    {
      about: null,
      card: () => (
        <PictureCard
          key="tempo"
          title="Tempo"
          sub="Strides a second as they were tapped, each with how far it may be off. A point above: it quickened; below: it slowed."
          fileName={`${horse.name}-tempo`}
          table={{
            columns: ['leg', 'day', 'strides', 'strides a second', 'off by', 'change', 'change %', 'change off by %'],
            rows: tempos.flatMap(({ name, seen }) =>
              seen.map(({ day, tempo }) => [
                ...[name, day, tempo.strides, Number(tempo.perSecond.toFixed(2)), Number(tempo.offBy.toFixed(2))],
                ...[tempo.change, Math.round(tempo.changeShare * 100), Math.round(tempo.changeOffBy * 100)],
              ]),
            ),
          }}
          actions={
            <ul className={classes.list}>
              {shown.map(leg => (
                <li key={`${leg.layoutVersionId} ${leg.name}`}>
                  <strong>{leg.name}</strong> {tempoReviewWords(leg)}
                </li>
              ))}
            </ul>
          }
        >
          <TempoByLeg legs={shown} label={`Tempo of ${horse.name}, leg by leg`} />
        </PictureCard>
      ),
    },
  ];
}
