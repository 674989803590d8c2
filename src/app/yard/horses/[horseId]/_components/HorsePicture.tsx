'use client';

import { Card } from '@/components/Card/Card';
import { Alert, Button, FileButton, Group } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import classes from '../page.module.css';

type HorsePictureProps = {
  horseId: string;
  name: string;
  /** When the picture was made; null where there is none. */
  pictureAtMs: number | null;
};

/** A horse's picture, from a file: made small on this device before it is kept. */
export function HorsePicture({ horseId, name, pictureAtMs }: HorsePictureProps) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const address = `/api/horses/${horseId}/picture`;

  const send = async (request: RequestInit) => {
    setBusy(true);
    setProblem(null);
    try {
      const answer = await fetch(address, request);
      if (!answer.ok) setProblem(((await answer.json()) as { problem: string }).problem);
      else router.refresh();
    } catch {
      setProblem('The server did not answer; the picture was not changed.');
    } finally {
      setBusy(false);
    }
  };
  const choose = async (file: File | null) => {
    if (!file) return;
    const small = await makeSmall(file);
    if (!small) return setProblem(`${file.name} is no picture that this browser can read.`);
    await send({ method: 'PUT', body: small, headers: { 'content-type': small.type } });
  };

  return (
    <Card label="Picture">
      {pictureAtMs !== null && (
        // A picture out of the yard's own database: there is nothing for an image service to do.
        // eslint-disable-next-line @next/next/no-img-element
        <img src={`${address}?at=${pictureAtMs}`} alt={name} className={classes.picture} />
      )}
      <Group gap="xs">
        <FileButton accept="image/*" onChange={choose}>
          {props => (
            <Button variant="default" size="xs" loading={busy} {...props}>
              {pictureAtMs === null ? 'Add a picture' : 'Another picture'}
            </Button>
          )}
        </FileButton>
        {pictureAtMs !== null && (
          <Button variant="subtle" size="xs" onClick={() => send({ method: 'DELETE' })}>
            Take it away
          </Button>
        )}
      </Group>
      {problem && (
        <Alert color="chestnut" role="alert" mt="xs">
          {problem}
        </Alert>
      )}
    </Card>
  );
}

const MOST_PX = 900;

/** The picture as a JPEG that is no larger than a page shows; null where the browser cannot read it. */
async function makeSmall(file: File): Promise<Blob | null> {
  try {
    const bitmap = await createImageBitmap(file);
    const share = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(bitmap.width * share));
    canvas.height = Math.max(1, Math.round(bitmap.height * share));
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    return await new Promise(resolve => canvas.toBlob(resolve, 'image/jpeg', 0.85));
  } catch {
    return null;
  }
}
