import { PictureCard } from '@/components/pictures/PictureCard';
import { StrideBands } from '@/components/pictures/StrideBands';
import { StrideOverTime } from '@/components/pictures/StrideOverTime';
import { howMany, offeredStride, profileStride, type StrideReview } from '@/core';
import { ENTRY_LABELS } from '../../yard/entryLabels';
import type { PairReview } from '../pairReview';
import { metres } from '@/components/pictures/metres';
import { LearnedOffer } from './LearnedOffer';
import type { PairCard } from './pairCard';

/** So many have room on the one printed page. */
const ON_PAPER = 2;

/** Each stride that the record knows, against that of the profile. */
export function strideCards(pairId: string, { strides, horse, words }: PairReview, maySet: boolean): PairCard[] {
  return strides.map((one, index) => {
    const { entry, learned, byMonth } = one;
    const profile = profileStride(horse, entry);
    const thoughtM = profile?.normalM ?? null;
    const from = one.from === 'counts' ? 'legs where no count was asked' : 'passes noted gap by gap';
    return {
      about: entry,
      card: says => (
        <PictureCard
          key={entry}
          title={ENTRY_LABELS[entry]}
          says={says}
          sub={`${learned.legs} ${from}, ${howMany(learned.days, 'day')}. A stroke or a band: where the true stride lies, 95 times in 100.`}
          fileName={`${horse.name}-${entry}`}
          table={strideTable(one)}
          onPaper={index < ON_PAPER}
          actions={
            maySet && (
              <LearnedOffer
                pairId={pairId}
                entry={entry}
                learned={offeredStride(one)}
                isLatest={offeredStride(one) !== learned}
                profile={profile && { normalM: profile.normalM, source: profile.source }}
              />
            )
          }
        >
          {byMonth.length > 1 ? (
            <StrideOverTime
              review={one}
              thoughtM={thoughtM}
              format={words.format}
              label={words.say(`${ENTRY_LABELS[entry]} of ${horse.name}, month by month`)}
            />
          ) : (
            <StrideBands
              bands={[{ key: entry, words: '', ridden: learned, profileM: thoughtM }]}
              format={words.format}
              label={words.say(`${ENTRY_LABELS[entry]} of ${horse.name}`)}
            />
          )}
        </PictureCard>
      ),
    };
  });
}

function strideTable({ byMonth, learned, byRein }: StrideReview) {
  const row = (name: string, l: StrideReview['learned']) => [
    ...[name, metres(l.strideM), metres(l.lowM), metres(l.highM), l.legs],
  ];
  return {
    columns: ['month', 'stride m', 'low m', 'high m', 'from'],
    rows: [
      ...byMonth.map(({ month, learned: own }) => row(month, own)),
      row('all', learned),
      ...(['left', 'right'] as const).flatMap(rein => (byRein[rein] ? [row(`${rein} rein`, byRein[rein])] : [])),
    ],
  };
}
