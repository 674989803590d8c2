import { Said } from '@/components/Lengths/LengthsProvider';
import { GaitBars } from '@/components/pictures/GaitBars';
import { PictureCard } from '@/components/pictures/PictureCard';
import { gaitWord, headWanted, isGaitedGait, TRACK_GAITS, type AskedGait } from '@/core';
import classes from '../_components/Pictures.module.css';
import type { PairReview } from '../pairReview';
import type { PairCard } from './pairCard';

/** A gait of every horse that was ridden as it was asked says nothing. */
const isTold = ({ asked, slipped }: AskedGait) => isGaitedGait(asked) || slipped > 0;

/** What a gaited horse was asked, against what it was ridden in; its head, and what it canters out of. */
export function gaitCard({ gaits: { gaits, intoCanter }, horse }: PairReview): PairCard[] {
  if (gaits.length === 0) return [];
  return [
    {
      about: 'gaits',
      card: says => (
        <PictureCard
          key="gaits"
          title="Gaits"
          says={says}
          sub="Each gait that was asked, and how far it was ridden in which: filled as it was asked, lighter where it slipped."
          fileName={`${horse.name}-gaits`}
          table={{
            columns: [
              ...['asked', 'passes', 'slipped in', ...TRACK_GAITS.map(gait => `${gaitWord(gait)} m`)],
              ...['head low', 'head as wanted', 'head high'],
            ],
            rows: gaits.map(({ asked, passes, slipped, riddenM, heads }) => [
              ...[gaitWord(asked), passes, slipped, ...TRACK_GAITS.map(gait => Math.round(riddenM[gait] ?? 0))],
              ...[heads.low, heads['as wanted'], heads.high],
            ]),
          }}
          actions={
            <ul className={classes.list}>
              {gaits.flatMap(({ asked, heads }) => {
                const looked = heads.low + heads['as wanted'] + heads.high;
                if (looked === 0) return [];
                const wanted = headWanted(asked);
                return [
                  <li key={asked}>
                    <strong>
                      <Said>{`Head in ${gaitWord(asked)}`}</Said>
                    </strong>{' '}
                    {wanted ?? 'as wanted'}: {heads['as wanted']} times of {looked}
                  </li>,
                ];
              })}
              {intoCanter.map(({ from, prompt }) => (
                <li key={from}>
                  <strong>
                    <Said>{`Canter out of ${gaitWord(from)}`}</Said>
                  </strong>{' '}
                  at once {prompt.hits} times of {prompt.of}
                </li>
              ))}
            </ul>
          }
        >
          <GaitBars gaits={gaits.filter(isTold)} label={`Gaits of ${horse.name}, asked against ridden`} />
        </PictureCard>
      ),
    },
  ];
}
