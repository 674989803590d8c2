import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { RunStage } from '../runStage';

/** A page that was asked for and has not come after so long is asked for again: what was asked may be lost with the connection. */
const ASK_AGAIN_MS = 10_000;

type Seen = { setup: string; stages: readonly Pick<RunStage, 'versionId' | 'layoutName'>[] };

/**
 * What a lesson is ridden over, as the page has it: when the server says that it is another one, the page is asked for anew.
 * What was tapped stays; `notice` says what is different from the next pass on, until the page has it once more.
 */
export function useSetup({ setup, stages }: Seen) {
  const router = useRouter();
  const [seen, setSeen] = useState<Seen>({ setup, stages });
  const [notice, setNotice] = useState<string | null>(null);
  const askedFor = useRef<{ setup: string; atMs: number } | null>(null);
  if (seen.setup !== setup) {
    setSeen({ setup, stages });
    setNotice(changedWords(seen.stages, stages));
  }
  const onSetup = (now: string) => {
    const atMs = performance.now();
    const asked = askedFor.current;
    if (now === setup || (asked?.setup === now && atMs - asked.atMs < ASK_AGAIN_MS)) return;
    askedFor.current = { setup: now, atMs };
    router.refresh();
  };
  return { notice, onSetup, onRead: () => setNotice(null) };
}

/** Which layouts are ridden as they are now; null where none was changed. */
export function changedWords(before: Seen['stages'], now: Seen['stages']): string | null {
  const known = new Set(before.map(({ versionId }) => versionId));
  const names = now.flatMap(({ versionId, layoutName }) =>
    versionId !== null && !known.has(versionId) ? (layoutName ?? []) : [],
  );
  const unique = [...new Set(names)];
  if (unique.length === 0) return null;
  const list = unique.map(name => `“${name}”`).join(' and ');
  return `${list} ${unique.length === 1 ? 'was' : 'were'} changed just now: from the next pass on it is ridden as it stands now.`;
}
