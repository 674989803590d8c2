'use client';

import { Choice } from '@/components/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { lookWords, type Look } from '@/core';
import type { ReactNode, RefObject } from 'react';
import { EyeCanvas } from './EyeCanvas';
import { useEye, type EyeAt } from './useEye';
import classes from './SaddlePicture.module.css';

type SaddlePictureProps = EyeAt & {
  onLook: (look: Look) => void;
  canvas: RefObject<HTMLCanvasElement | null>;
  /** What else can be done with it. */
  children?: ReactNode;
};

/** The line from the saddle: what the rider sees there, what comes next and how it is met. */
export function SaddlePicture({ onLook, canvas, children, ...at }: SaddlePictureProps) {
  const { format } = useLengths();
  const eye = useEye(at);
  const words = eye.facts ? lookWords(id => at.names.inWords.get(id) ?? '', eye.facts, format) : [];
  return (
    <section className={classes.saddle} aria-label="From the saddle">
      <EyeCanvas
        {...{ pictureOf: eye.pictureOf, next: eye.next, canvas }}
        label={['From the saddle.', ...words].join(' ')}
      />
      <div className={classes.under}>
        <Choice
          size="xs"
          aria-label="Where the rider looks"
          value={at.look}
          onChange={value => onLook(value as Look)}
          data={[
            { value: 'next', label: 'at the next fence' },
            { value: 'ahead', label: 'straight on' },
          ]}
        />
        {children}
      </div>
      <ul className={classes.words}>
        {words.map(sentence => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </section>
  );
}
