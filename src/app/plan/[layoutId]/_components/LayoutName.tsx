'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import classes from './LayoutName.module.css';

type LayoutNameProps = { name: string; onRename: (name: string) => void };

const MOST_LETTERS = 60;

/** The layout's name, changed where it stands. */
export function LayoutName({ name, onRename }: LayoutNameProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const trimmed = (typed ?? name).trim();
  const fault =
    trimmed === ''
      ? 'Give the layout a name.'
      : trimmed.length > MOST_LETTERS
        ? `A name has at most ${MOST_LETTERS} letters.`
        : null;
  const commit = () => {
    if (typed === null || fault) return;
    setTyped(null);
    if (trimmed !== name) onRename(trimmed);
  };
  return (
    <TextInput
      aria-label="Name of the layout"
      classNames={{ root: classes.root, input: classes.input }}
      value={typed ?? name}
      error={fault}
      onChange={event => setTyped(event.currentTarget.value)}
      onBlur={commit}
      onKeyDown={event => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setTyped(null);
      }}
    />
  );
}
