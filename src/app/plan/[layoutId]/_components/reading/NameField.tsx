'use client';

import { CommitField } from '@/components/CommitField/CommitField';
import { renameThing } from '@/core';
import type { PlanControls } from '../../_state/usePlanEditor';

const MOST_LETTERS = 40;

type NameFieldProps = { thing: { id: string; name: string | null }; controls: PlanControls; label?: string };

/** What somebody calls a thing: free text, and nothing where its number or letter says enough. */
export function NameField({ thing, controls, label = 'Called' }: NameFieldProps) {
  return (
    <CommitField
      label={label}
      description="Nothing typed: told by its number"
      text={thing.name ?? ''}
      read={readName}
      onCommit={name => {
        if (name !== thing.name) controls.change(plan => renameThing(plan, thing.id, name));
        return null;
      }}
    />
  );
}

function readName(typed: string) {
  const name = typed.trim();
  if (name.length > MOST_LETTERS) return { ok: false as const, reason: `A name has at most ${MOST_LETTERS} letters.` };
  return { ok: true as const, value: name === '' ? null : name };
}
