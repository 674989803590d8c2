'use client';

import { useAct } from '@/components/form/useAct';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { LegChange, OutOfPlace } from '@/core';
import { Alert, Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { putBackAction } from '../../actions';
import { ChangedLegs } from './ChangedLegs';
import type { SetStep } from './setStep';
import classes from './StandingBanner.module.css';

/** What really stands, since when, and what is not where the plan has it. */
export type StandingNow = { sinceMs: number; away: OutOfPlace[]; changes: LegChange[] };

type StandingBannerProps = {
  layoutId: string;
  standing: StandingNow;
  steps: readonly SetStep[];
  onPiece: (id: string) => void;
};

/** Says that what stands is not what was planned, what that does, and how to put it back. */
export function StandingBanner({ layoutId, standing, steps, onPiece }: StandingBannerProps) {
  const { formatChange } = useLengths();
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: nothing was changed.');
  const putBack = () =>
    act(
      () => putBackAction(layoutId),
      () => router.refresh(),
    );
  const { away, changes } = standing;
  return (
    <section className={classes.banner} aria-label="As set">
      <h2>It stands as it was measured, and that is what is ridden</h2>
      <ChangedLegs changes={changes} />
      <p>To put it back as planned:</p>
      <ul>
        {away.map(({ item, offM, back }) => (
          <li key={item}>
            <button type="button" className={classes.piece} onClick={() => onPiece(item)}>
              {steps.find(({ id }) => id === item)?.label} {steps.find(({ id }) => id === item)?.name}
            </button>{' '}
            {formatChange(offM).slice(1)} {backWords(back)}
          </li>
        ))}
      </ul>
      <Button loading={busy} onClick={putBack} className="roan-no-print">
        It is put back as planned
      </Button>
      {problem && <Alert color="ochre">{problem}</Alert>}
    </section>
  );
}

/** Which way a piece goes back, as ridden. */
function backWords({ aheadM, leftM }: OutOfPlace['back']): string {
  const ways = [
    Math.abs(aheadM) > 0.005 ? (aheadM > 0 ? 'forward' : 'back') : '',
    Math.abs(leftM) > 0.005 ? (leftM > 0 ? 'to its left' : 'to its right') : '',
  ].filter(Boolean);
  return ways.length === 0 ? 'turned' : ways.join(' and ');
}
