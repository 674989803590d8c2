'use client';

import { Card } from '@/components/Card/Card';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { allDrafts, dropDraft } from '@/components/sync/drafts';
import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import { draftWords } from './draftWords';
import classes from './Waiting.module.css';

const time = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

type NamedDraft = ReturnType<typeof allDrafts>[number];

/** What is typed on this device and not saved: where it is gone on with, and a way to drop it. */
export function TypedDrafts() {
  // It is shown once the device's store was read, which is in the browser.
  const [drafts, setDrafts] = useState(allDrafts);
  if (drafts.length === 0) return null;
  return (
    <Card label="Typed and not saved" title="Typed and not saved">
      <ol className={classes.rows}>
        {drafts.map(draft => (
          <DraftRow key={`${draft.name} ${draft.tab}`} draft={draft} onDrop={() => setDrafts(allDrafts())} />
        ))}
      </ol>
    </Card>
  );
}

function DraftRow({ draft: { name, tab, atMs }, onDrop }: { draft: NamedDraft; onDrop: () => void }) {
  const [sure, setSure] = useState(false);
  const { words, href } = draftWords(name);
  const drop = () => {
    if (!sure) return setSure(true);
    dropDraft(name, tab);
    onDrop();
  };
  return (
    <li className={classes.row}>
      <span>
        <strong>{words}</strong>
        <small> {time.format(atMs)}</small>
      </span>
      <Group gap="xs">
        {href !== null && (
          <LinkButton href={href} variant="default">
            Go on with it
          </LinkButton>
        )}
        <Button variant="default" color={sure ? 'ochre' : undefined} onClick={drop}>
          {sure ? 'Drop it for good' : 'Drop it'}
        </Button>
      </Group>
    </li>
  );
}
