'use client';

import { LinkButton } from '@/components/LinkButton/LinkButton';
import { saveFile } from '@/components/saveFile';
import { Button } from '@mantine/core';
import { useState } from 'react';
import classes from '../End.module.css';

/** A rider's sheet: as a page, as a file, or handed to whatever this device sends things with. */
export function ShareSheet({ href, pdf, title }: { href: string; pdf: string; title: string }) {
  const [problem, setProblem] = useState<string | null>(null);
  const share = async () => {
    setProblem(null);
    const answer = await fetch(pdf).catch(() => null);
    if (!answer?.ok) return setProblem('The server does not answer: try again in a moment.');
    const file = new File([await answer.blob()], `${title.replace(/[\\/:]/g, '')}.pdf`, { type: 'application/pdf' });
    const isShared = navigator.canShare?.({ files: [file] })
      ? await navigator.share({ title, files: [file] }).then(
          () => true,
          // Somebody who closes the sheet of the device wants nothing else to happen.
          (error: unknown) => error instanceof DOMException && error.name === 'AbortError',
        )
      : false;
    if (!isShared) saveFile(file, file.name);
  };
  return (
    <div className={classes.keys}>
      <Button mih={44} onClick={() => void share()}>
        Send the sheet
      </Button>
      <LinkButton href={href} variant="default">
        Page for the rider
      </LinkButton>
      {problem && <span role="alert">{problem}</span>}
    </div>
  );
}
