'use client';

import { deviceSync } from '@/components/sync/deviceSync';
import type { KeptRow } from '@/components/sync/keptRow';
import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { eventFields, timeTyped, typedTime, withField } from './eventFields';
import { eventWords, saidAtMs } from './eventWords';
import classes from './Waiting.module.css';

const time = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'medium' });

/** One thing that was tapped: what it is, why it waits, and what can be done with it. */
export function WaitingRow({ row }: { row: KeptRow }) {
  const { event, refused, keptIn } = row;
  const atMs = saidAtMs(event);
  return (
    <li className={classes.row} data-refused={refused !== null || undefined}>
      <span>
        <strong>{eventWords(event)}</strong>
        {atMs !== null && <small> {time.format(atMs)}</small>}
      </span>
      {refused === null ? (
        <span>{keptIn === 'page' ? 'only in this page' : 'kept on this device'}</span>
      ) : (
        <RefusedEvent row={row} reason={refused} />
      )}
    </li>
  );
}

type Doing = 'nothing' | 'mending' | 'dropping';

function RefusedEvent({ row, reason }: { row: KeptRow; reason: string }) {
  const [doing, setDoing] = useState<Doing>('nothing');
  const [copied, setCopied] = useState(false);
  const text = JSON.stringify(row.event, null, 2);
  const copy = () =>
    void navigator.clipboard
      ?.writeText(text)
      .then(() => setCopied(true))
      .catch(() => undefined);
  return (
    <>
      <span role="status">Refused: {reason}</span>
      <Group gap="xs">
        <Button variant="default" onClick={() => void deviceSync().tryAgain(row.key)}>
          Send it again
        </Button>
        {eventFields(row.event).length > 0 && (
          <Button variant="default" onClick={() => setDoing('mending')}>
            Put it right
          </Button>
        )}
        {/* Over plain HTTP a browser copies nothing for a page: then it is copied by hand. */}
        <Button variant="default" onClick={copy}>
          {copied ? 'Copied' : 'Copy it out'}
        </Button>
        {doing === 'dropping' ? (
          <Button color="ochre" onClick={() => void deviceSync().drop(row.key)}>
            Drop it for good
          </Button>
        ) : (
          <Button variant="default" onClick={() => setDoing('dropping')}>
            Drop it
          </Button>
        )}
      </Group>
      {doing === 'mending' && <MendEvent row={row} />}
      <details>
        <summary>As it was sent</summary>
        <pre className={classes.raw}>{text}</pre>
      </details>
    </>
  );
}

function MendEvent({ row }: { row: KeptRow }) {
  const fields = eventFields(row.event);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const send = () => {
    let event = row.event;
    for (const { path, isTime } of fields) {
      const text = typed[path];
      if (text !== undefined) event = withField(event, path, isTime ? timeTyped(text) : text);
    }
    void deviceSync().mend(row.key, event);
  };
  return (
    <form
      className={classes.mend}
      onSubmit={submitted => {
        submitted.preventDefault();
        send();
      }}
    >
      {fields.map(({ path, name, value, isTime }) => (
        <TextInput
          key={path}
          label={name}
          {...(isTime && { type: 'datetime-local', step: 1 })}
          value={typed[path] ?? (isTime ? typedTime(Number(value)) : String(value))}
          onChange={changed => setTyped({ ...typed, [path]: changed.currentTarget.value })}
        />
      ))}
      <Button type="submit">Send it so</Button>
    </form>
  );
}
