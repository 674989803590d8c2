import { newId } from '@/components/newId';
import { saveFile } from '@/components/saveFile';
import { ASKED_BY } from '@/files/askedBy';
import { Button, Group, Text } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import type { MouseEvent } from 'react';

/** What is there at once needs no word. */
const SOON_MS = 400;
/** So often whoever waits asks how many are before it. */
const PLACE_EVERY_S = 2;
const NO_ANSWER = 'The server does not answer: try again in a moment.';

let made = 0;

/**
 * Has the server make a file that takes long, and says so until it is there; whoever will not wait stops it, and the server does
 * too. In a link it takes the place of following it: `onClick={event => followMade(event, 'The sheet')}`.
 * @param name - what a person calls the file
 */
export async function makeFile(href: string, name: string): Promise<void> {
  const id = `made-${(made += 1)}`;
  const stop = new AbortController();
  const asked = { [ASKED_BY]: newId() };
  const beganMs = Date.now();
  let before = 0;
  const tell = () => {
    const seconds = Math.round((Date.now() - beganMs) / 1000);
    if (seconds % PLACE_EVERY_S === 0) void placeOf(asked).then(place => (before = place));
    const shown = { id, loading: true, autoClose: false as const, withCloseButton: false };
    const message = <Making {...{ name, seconds, before }} onStop={() => stop.abort()} />;
    if (seconds === 0) notifications.show({ ...shown, message });
    else notifications.update({ ...shown, message });
  };
  let ticking: ReturnType<typeof setInterval> | undefined;
  const soon = setTimeout(() => {
    tell();
    ticking = setInterval(tell, 1000);
  }, SOON_MS);
  const problem = await fetched(href, asked, stop.signal).catch(() => (stop.signal.aborted ? null : NO_ANSWER));
  clearTimeout(soon);
  clearInterval(ticking);
  notifications.hide(id);
  if (problem !== null) notifications.show({ color: 'chestnut', title: name, message: problem, autoClose: false });
}

/** Makes the file that a link names. */
export function followMade(event: MouseEvent<HTMLAnchorElement>, name: string): void {
  // Whoever opens it elsewhere, in a tab of its own, has asked the browser.
  if (event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
  event.preventDefault();
  void makeFile(event.currentTarget.href, name);
}

/** Keeps the file; or says what is wrong. */
async function fetched(href: string, headers: Record<string, string>, signal: AbortSignal): Promise<string | null> {
  const answer = await fetch(href, { headers, signal });
  if (!answer.ok) {
    const said = (await answer.json().catch(() => null)) as { problem?: unknown } | null;
    return typeof said?.problem === 'string' ? said.problem : NO_ANSWER;
  }
  saveFile(await answer.blob(), fileName(answer.headers.get('content-disposition')));
  return null;
}

/** How many others the server makes first; none where it does not say. */
async function placeOf(headers: Record<string, string>): Promise<number> {
  const said = (await fetch('/api/line', { headers })
    .then(answer => answer.json())
    .catch(() => null)) as { before?: unknown } | null;
  return typeof said?.before === 'number' ? said.before : 0;
}

/** The name that the server gives it. */
export function fileName(disposition: string | null): string {
  return /filename="([^"]+)"/.exec(disposition ?? '')?.[1] ?? 'roan';
}

type MakingProps = { name: string; seconds: number; before: number; onStop: () => void };

function Making({ name, seconds, before, onStop }: MakingProps) {
  return (
    <Group justify="space-between" wrap="nowrap">
      <Text size="sm">
        {before > 0
          ? `${name} waits: ${before === 1 ? 'one other is' : `${before} others are`} made first`
          : `${name} is being made`}
        {seconds > 0 && `: ${seconds} s`}
      </Text>
      <Button size="xs" variant="default" onClick={onStop}>
        Stop
      </Button>
    </Group>
  );
}
