'use client';

import { LengthField } from '@/components/LengthField/LengthField';
import { kindWords, type Fence, type Labels } from '@/core';
import { Title } from '@mantine/core';
import type { Typing } from '../../_state/useTyping';
import classes from './Rows.module.css';

type HeightRowsProps = { fences: readonly Fence[]; labels: Labels; typing: Typing };

/** How high each fence is, and all of them at once. */
export function HeightRows({ fences, labels, typing }: HeightRowsProps) {
  if (fences.length === 0) return null;
  const [first] = fences;
  const isOne = fences.every(({ heightM }) => heightM === first!.heightM);
  return (
    <section aria-label="Heights">
      <Title order={3} size="h5">
        Heights
      </Title>
      <ol className={classes.rows}>
        {fences.length > 1 && (
          <li>
            <span>All</span>
            <LengthField
              hideLabel
              size="xs"
              label="Height of all fences"
              lengthM={isOne ? first!.heightM : null}
              placeholder="they differ"
              minM={0.1}
              maxM={2}
              onCommit={heightM =>
                typing.height(
                  fences.map(({ id }) => id),
                  heightM,
                )
              }
            />
          </li>
        )}
        {fences.map(fence => (
          <li key={fence.id}>
            <span>
              {labels.called(fence.id)} {kindWords(fence)}
            </span>
            <LengthField
              hideLabel
              size="xs"
              label={`Height of ${labels.inWords(fence.id)}`}
              lengthM={fence.heightM}
              minM={0.1}
              maxM={2}
              onCommit={heightM => typing.height([fence.id], heightM)}
            />
          </li>
        ))}
      </ol>
    </section>
  );
}
