import { Halves } from '@/components/pictures/Halves';
import { PictureCard } from '@/components/pictures/PictureCard';
import { StrideBands } from '@/components/pictures/StrideBands';
import type { Comparison } from '@/core';
import { ENTRY_LABELS } from '../../../yard/entryLabels';
import classes from '../../_components/Pictures.module.css';
import { chanceCell } from '../../chanceCell';
import { metres } from '@/components/pictures/metres';

type ComparedCardsProps = {
  comparison: Comparison;
  names: { a: string; b: string };
  format: (lengthM: number) => string;
  /** A sentence in the yard’s words. */
  say: (sentence: string) => string;
};

const beyond = (holds: boolean) => (holds ? 'yes' : 'no');

/** Two sides beside each other: what was marked, and the strides of each. */
export function ComparedCards({ comparison: { shares, quality, strides }, names, format, say }: ComparedCardsProps) {
  return (
    <div className={classes.pictures}>
      {shares.length > 0 && (
        <PictureCard
          title="What was marked"
          sub="As far out as it went well; a stroke is how sure each is. Bold: beyond chance."
          fileName="compared"
          table={{
            columns: ['', names.a, 'of', names.b, 'of', 'p', 'beyond chance'],
            rows: [
              ...shares.map(({ measure, a, b, p, holds }) => [
                ...[measure, a.hits, a.of, b.hits, b.of, chanceCell(p), beyond(holds)],
              ]),
              ...(quality
                ? [
                    [
                      ...['marks for quality: how much higher the first, of 5', Number(quality.difference.toFixed(2))],
                      ...[quality.values, null, null, chanceCell(quality.p), beyond(quality.holds)],
                    ],
                  ]
                : []),
            ],
          }}
        >
          <Halves
            measures={shares.map(({ measure, a, b, holds }) => ({ measure, left: a, right: b, standsOut: holds }))}
            names={{ left: names.a, right: names.b }}
            label={`${names.a} against ${names.b}`}
          />
        </PictureCard>
      )}
      {strides.map(({ entry, a, b, p, holds }) => (
        <PictureCard
          key={entry}
          title={ENTRY_LABELS[entry]}
          sub="The dot: the stride that was ridden; the band: where the true one lies, 95 times in 100."
          fileName={`compared-${entry}`}
          table={{
            columns: ['side', 'stride m', 'low m', 'high m', 'from', 'p', 'beyond chance'],
            rows: [
              { name: names.a, own: a },
              { name: names.b, own: b },
            ].map(({ name, own }) => [
              ...[name, metres(own.strideM), metres(own.lowM), metres(own.highM), own.legs],
              ...[chanceCell(p), beyond(holds)],
            ]),
          }}
        >
          <StrideBands
            bands={[
              { key: 'a', words: names.a, ridden: a, profileM: null },
              { key: 'b', words: names.b, ridden: b, profileM: null },
            ]}
            isOneScale
            format={format}
            label={say(ENTRY_LABELS[entry])}
          />
        </PictureCard>
      ))}
    </div>
  );
}
