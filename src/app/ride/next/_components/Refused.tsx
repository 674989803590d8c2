'use client';

import { useAct } from '@/components/form/useAct';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { Button } from '@mantine/core';
import { undoRefusalAction } from '../actions';
import classes from './WhatNext.module.css';

type RefusedProps = { refused: readonly { id: string; words: string }[]; onBack: (id: string) => void };

/** What was refused and is not suggested for a while; each may be brought back. */
export function Refused({ refused, onBack }: RefusedProps) {
  const say = useSay();
  const { act, busy, problem } = useAct('The server does not answer: it stays refused.');
  if (refused.length === 0) return null;
  const bringBack = (id: string) =>
    act(
      () => undoRefusalAction(id),
      () => onBack(id),
    );
  return (
    <details className={classes.out}>
      <summary>{refused.length} refused, and not suggested for four weeks</summary>
      {problem && <p role="alert">{problem}</p>}
      <ul>
        {refused.map(({ id, words }) => (
          <li key={id}>
            {say(words)}{' '}
            <Button size="compact-sm" variant="default" disabled={busy} onClick={() => bringBack(id)}>
              Restore
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
