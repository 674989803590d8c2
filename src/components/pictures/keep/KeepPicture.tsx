'use client';

import { saveFile } from '@/components/saveFile';
import { useRef, useState, useTransition } from 'react';
import { pictureAsPng, pictureAsSvg } from './keptPicture';
import classes from '../PictureCard.module.css';

type KeepPictureProps = { title: string; fileName: string };

/** Keeps the picture of a card as a file. */
export function KeepPicture({ title, fileName }: KeepPictureProps) {
  const here = useRef<HTMLSpanElement>(null);
  const [busy, begin] = useTransition();
  const [problem, setProblem] = useState<string | null>(null);
  const keep = (kind: 'png' | 'svg') =>
    begin(async () => {
      const box = here.current?.closest('section')?.querySelector('[data-picture]');
      const make = kind === 'png' ? pictureAsPng : pictureAsSvg;
      const blob = box ? await make(box, title).catch(() => null) : null;
      setProblem(blob ? null : 'This browser does not give the picture away: nothing was kept.');
      if (blob) saveFile(blob, `${fileName}.${kind}`);
    });
  return (
    <span ref={here} className={classes.keep}>
      {(['png', 'svg'] as const).map(kind => (
        <button
          key={kind}
          type="button"
          disabled={busy}
          onClick={() => keep(kind)}
          aria-label={`${title} as ${kind.toUpperCase()}`}
        >
          {kind.toUpperCase()}
        </button>
      ))}
      {problem && <span role="alert">{problem}</span>}
    </span>
  );
}
