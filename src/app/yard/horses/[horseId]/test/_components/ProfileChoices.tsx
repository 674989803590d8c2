'use client';

import { Card } from '@/components/Card/Card';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { profileFromTest, profileStride, suggestEntries, type StrideTestReading } from '@/core';
import type { Horse } from '@/data/queries/horses';
import { Checkbox, Stack } from '@mantine/core';
import type { ReactNode } from 'react';
import { ENTRY_LABELS } from '../../../../entryLabels';
import type { TestDraft } from '../_state/testDraft';
import classes from './StrideTestBoard.module.css';

type ProfileChoicesProps = {
  horse: Horse;
  draft: TestDraft;
  reading: StrideTestReading;
  accepted: Record<string, boolean>;
  onAccept: (entry: string, on: boolean) => void;
  /** What to do with the entries that are accepted. */
  children: (entries: string[]) => ReactNode;
};

type Offer = { entry: keyof typeof ENTRY_LABELS; fromM: number | null; toM: number; on: boolean; words: string };

/** What the test would change in the profile: shown first, each to be accepted or left. */
export function ProfileChoices({ horse, draft, reading, accepted, onAccept, children }: ProfileChoicesProps) {
  const { format, say } = useLengths();
  const own = profileFromTest(reading, horse, draft.entry);
  const typed = horse.strides[draft.entry]?.source === 'typed';
  const offers: Offer[] = own
    ? [
        ...(typed
          ? []
          : [
              {
                entry: draft.entry,
                fromM: profileStride(horse, draft.entry)?.normalM ?? null,
                toM: own.normalM,
                on: true,
                words: 'what was tested',
              },
            ]),
        ...suggestEntries(horse, draft.entry, own.normalM).map(offer => ({
          ...offer,
          on: false,
          words: 'a suggestion, in proportion',
        })),
      ]
    : [];
  const isOn = ({ entry, on }: Offer) => accepted[entry] ?? on;
  return (
    <Card label="The profile" title={<>In {horse.name}’s profile</>}>
      {typed && (
        <p className={classes.quiet}>
          {say(ENTRY_LABELS[draft.entry])} was typed in, {format(horse.strides[draft.entry]!.normalM)}: a test never
          overwrites it. Empty the field in the horse’s form to let tests count.
        </p>
      )}
      {!own && <p className={classes.quiet}>A normal pass in a taped lane says what the profile could learn.</p>}
      <Stack gap={6}>
        {offers.map(offer => (
          <Checkbox
            key={offer.entry}
            checked={isOn(offer)}
            onChange={event => onAccept(offer.entry, event.currentTarget.checked)}
            label={`${say(ENTRY_LABELS[offer.entry])}: ${offer.fromM === null ? 'not known' : format(offer.fromM)} → ${format(offer.toM)}`}
            description={offer.words}
          />
        ))}
      </Stack>
      {children(offers.filter(isOn).map(({ entry }) => entry))}
    </Card>
  );
}
