'use client';

import { useAct } from '@/components/form/useAct';
import { Problem } from '@/components/form/Problem';
import { anewWithout } from '@/components/offline/forgetKept';
import type { FormOutcome } from '@/files/formOutcome';
import { Button } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { LinkButton } from '../LinkButton/LinkButton';
import { PlaceIcon, type PlaceDrawn } from './PlaceIcon';
import classes from './SampleBar.module.css';

/** One thing to try, and where. */
export type SampleStep = { of: PlaceDrawn; name: string; href: string; words: string };

type SampleBarProps = {
  yardId: string;
  steps: readonly SampleStep[];
  onThrow: () => Promise<FormOutcome>;
  onKeep: () => Promise<FormOutcome>;
};

/** Over every page of a sample: what to try here or next, and the way out of it. */
export function SampleBar({ yardId, steps, onThrow, onKeep }: SampleBarProps) {
  const pathname = usePathname();
  const here = steps.find(({ href }) => href === pathname);
  const [seen, setSeen] = useLocalStorage<string[]>({ key: `roan-sample ${yardId}`, defaultValue: [] });
  const [sure, setSure] = useState(false);
  const { act, busy, problem } = useAct('The server does not answer: the sample is there still.');
  const name = here?.name;
  useEffect(() => {
    if (name !== undefined) setSeen(before => (before.includes(name) ? before : [...before, name]));
  }, [name, setSeen]);
  const next = steps.find(step => step !== here && !seen.includes(step.name));
  const shown = here ?? next;
  return (
    <aside aria-label="Sample yard" className={`${classes.bar} roan-no-print`}>
      <ol className={classes.way}>
        {steps.map(step => (
          <li key={step.name}>
            <Link
              href={step.href}
              className={classes.step}
              aria-current={step === here ? 'step' : undefined}
              data-seen={seen.includes(step.name) || undefined}
            >
              <PlaceIcon of={step.of} />
              <span>
                {step.name}
                {seen.includes(step.name) && <span className="roan-visually-hidden">, seen</span>}
              </span>
            </Link>
          </li>
        ))}
      </ol>
      <p>
        {shown?.words ?? 'You have seen it all. Nothing here is yours: throw it away and begin with your own horses.'}
      </p>
      <div className={classes.keys}>
        {next && (
          <LinkButton href={next.href} size="compact-md" variant="default">
            {here ? `Next: ${next.name}` : 'Show me'}
          </LinkButton>
        )}
        {sure ? (
          <>
            <Button
              size="compact-md"
              loading={busy}
              onClick={() => act(onThrow, () => void anewWithout('/'))}
              aria-label="Throw the sample away, with all that was entered in it"
            >
              Throw all of it away
            </Button>
            <Button size="compact-md" variant="default" disabled={busy} onClick={() => act(onKeep)}>
              Keep it as my yard
            </Button>
            <Button size="compact-md" variant="subtle" disabled={busy} onClick={() => setSure(false)}>
              Cancel
            </Button>
          </>
        ) : (
          <Button size="compact-md" variant="subtle" onClick={() => setSure(true)}>
            End the sample
          </Button>
        )}
      </div>
      <Problem>{problem}</Problem>
    </aside>
  );
}
