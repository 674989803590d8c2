'use client';

import { MAX_NOTE_LENGTH } from '@/files/recordEvent';
import { Textarea } from '@mantine/core';
import { useState } from 'react';
import classes from './RidePad.module.css';

type NotePadProps = { onNote: (words: string) => void; disabled: boolean };

/** A word about the pass. What was typed stays until it is noted. */
export function NotePad({ onNote, disabled }: NotePadProps) {
  const [typed, setTyped] = useState('');
  const words = typed.trim();
  const fault =
    words.length > MAX_NOTE_LENGTH ? `A note has at most ${MAX_NOTE_LENGTH} letters; this has ${words.length}.` : null;
  return (
    <section aria-label="Note" className={classes.note}>
      <Textarea
        label="A word of note"
        size="md"
        autosize
        minRows={1}
        maxRows={4}
        value={typed}
        error={fault}
        onChange={event => setTyped(event.currentTarget.value)}
      />
      <button
        type="button"
        className={classes.key}
        disabled={disabled || words === '' || fault !== null}
        onClick={() => {
          onNote(words);
          setTyped('');
        }}
      >
        Note it
      </button>
    </section>
  );
}
