import type { RiddenShown } from '@/core';
import { Halves } from './Halves';
import { LegCounts } from './LegCounts';

/** What was ridden, as it looks everywhere: how much went clean on each rein, and the counts leg by leg. */
export function RiddenPictures({ shown: { legs, clean } }: { shown: RiddenShown }) {
  const rode = clean.left.of + clean.right.of > 0;
  return (
    <>
      {rode && (
        <Halves
          measures={[{ measure: 'clean passes', ...clean }]}
          label="Clean passes on the left and the right rein"
        />
      )}
      {legs.length > 0 && (
        <LegCounts
          legs={legs.map(leg => ({ ...leg, predicted: null }))}
          label="Strides that were counted, leg by leg"
        />
      )}
    </>
  );
}
