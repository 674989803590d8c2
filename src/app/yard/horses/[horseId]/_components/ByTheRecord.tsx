import { Halves } from '@/components/pictures/Halves';
import { LegCounts } from '@/components/pictures/LegCounts';
import { PictureCard } from '@/components/pictures/PictureCard';
import { StrideBands } from '@/components/pictures/StrideBands';
import {
  formatReading,
  profileStride,
  type HorseProfile,
  type LegReview,
  type LengthUnit,
  type ReinReview,
  type StrideReview,
} from '@/core';
import { metres } from '@/components/pictures/metres';
import { ENTRY_LABELS } from '../../../entryLabels';

type ByTheRecordProps = {
  horse: HorseProfile & { name: string };
  strides: readonly StrideReview[];
  reins: ReinReview['measures'];
  legs: readonly LegReview[];
  unit: LengthUnit;
  /** A sentence in the yard’s words. */
  say: (sentence: string) => string;
};

/** What the record says of a horse beside its profile: its strides, its reins, and the counts of its legs. */
export function ByTheRecord({ horse, strides, reins, legs, unit, say }: ByTheRecordProps) {
  const bands = strides.map(({ entry, learned }) => ({
    ...{ key: entry, words: say(ENTRY_LABELS[entry]), ridden: learned },
    profileM: profileStride(horse, entry)?.normalM ?? null,
  }));
  return (
    <>
      {bands.length > 0 && (
        <PictureCard
          title="Strides as they were ridden"
          sub="The dot: ridden, whoever rode; the band: where the true stride lies, 95 times in 100; the point: the profile."
          fileName={`${horse.name}-ridden-strides`}
          table={{
            columns: ['stride', 'ridden m', 'low m', 'high m', 'profile m'],
            rows: bands.map(({ words, ridden: { strideM, lowM, highM }, profileM }) => [
              ...[words, metres(strideM), metres(lowM), metres(highM), profileM === null ? null : metres(profileM)],
            ]),
          }}
        >
          <StrideBands
            bands={bands}
            format={lengthM => formatReading(lengthM, unit)}
            label={`Strides of ${horse.name} as they were ridden`}
          />
        </PictureCard>
      )}
      {reins.length > 0 && (
        <PictureCard
          title="Left and right"
          sub="As far out as it goes well; a stroke is how sure each is."
          fileName={`${horse.name}-reins`}
          table={{
            columns: ['', 'left', 'of', 'right', 'of'],
            rows: reins.map(({ measure, left, right }) => [measure, left.hits, left.of, right.hits, right.of]),
          }}
        >
          <Halves measures={reins} label={`Left and right rein of ${horse.name}`} />
        </PictureCard>
      )}
      {legs.length > 0 && (
        <PictureCard
          title="Strides ridden, leg by leg"
          sub="A disc for each count, as large as it was often ridden, full where it was meant. The point above: where the stride of the profile is even."
          fileName={`${horse.name}-legs`}
          table={{
            columns: ['asked', 'leg', 'ground m', 'ridden', 'times'],
            rows: legs.flatMap(({ question, from, to, groundM, counts }) =>
              counts.map(({ count, times }) => [question, `${from} to ${to}`, metres(groundM), count, times]),
            ),
          }}
        >
          <LegCounts
            legs={legs.map((leg, index) => ({
              ...{ ...leg, key: String(index) },
              name: `${leg.question}, ${leg.from} to ${leg.to}, ${formatReading(leg.groundM, unit)}`,
            }))}
            label={`Strides of ${horse.name}, leg by leg`}
          />
        </PictureCard>
      )}
    </>
  );
}
