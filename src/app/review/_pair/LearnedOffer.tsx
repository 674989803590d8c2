'use client';

import { useAct } from '@/components/form/useAct';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { LearnedStride, StrideEntryKey, StrideSource } from '@/core';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { learnedStrideAction } from '../actions';
import classes from '../_components/Pictures.module.css';

type LearnedOfferProps = {
  pairId: string;
  entry: StrideEntryKey;
  learned: LearnedStride;
  /** It is that of the latest month, since the stride has changed over the season. */
  isLatest: boolean;
  profile: { normalM: number; source: StrideSource } | null;
};

/** The learned stride, offered to the profile: what was typed in stays until somebody takes it out. */
export function LearnedOffer({ pairId, entry, learned, isLatest, profile }: LearnedOfferProps) {
  const { format } = useLengths();
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: the profile is as it was.');
  const send = (take: boolean) =>
    act(
      () => learnedStrideAction(pairId, entry, take),
      () => router.refresh(),
    );
  const taken = profile?.source === 'learned';
  return (
    <div className={classes.offer}>
      <p>
        Learned{isLatest ? ' in the latest month' : ''}: <strong>{format(learned.strideM)}</strong>,{' '}
        {format(learned.lowM)} to {format(learned.highM)}.
      </p>
      {profile?.source === 'typed' ? (
        <p>The profile has what was typed in ({format(profile.normalM)}), and keeps it.</p>
      ) : (
        <Button size="xs" variant="default" loading={busy} onClick={() => send(!taken)}>
          {taken ? 'Take it out of the profile again' : 'Give it to the profile'}
        </Button>
      )}
      {problem && <p role="alert">{problem}</p>}
    </div>
  );
}
