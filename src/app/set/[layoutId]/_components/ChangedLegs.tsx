'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { LegChange } from '@/core';

/** What another place of the pieces does, leg by leg: "gate to willow 12 cm long: Juniper easy five stays easy five". */
export function ChangedLegs({ changes }: { changes: readonly LegChange[] }) {
  const { formatChange } = useLengths();
  if (changes.length === 0) return <p>No distance changes by a centimetre or more, and no word for any horse.</p>;
  return (
    <ul aria-label="What changes">
      {changes.map(({ track, leg, from, to, longerM, horses }) => (
        <li key={`${track} ${leg}`}>
          <strong>
            {from} to {to} {formatChange(longerM).slice(1)} {longerM < 0 ? 'short' : 'long'}
          </strong>
          {horses.length > 0 && ': '}
          {horses
            .map(({ horse, before, after, changed }) =>
              changed ? `${horse} ${before} becomes ${after}` : `${horse} ${before} stays`,
            )
            .join('; ')}
        </li>
      ))}
    </ul>
  );
}
