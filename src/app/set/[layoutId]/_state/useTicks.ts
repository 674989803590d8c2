import { createOutbox, type Delivery, type Outbox } from '@/components/outbox/outbox';
import { SettingTicks, type SettingTick, type TicksAnswer } from '@/files/settingTick';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';

/** What another device ticked is asked for so often while the page is looked at. */
const LOOK_AGAIN_MS = 10_000;

/** Which pieces stand: shown at once, kept on the device until the server has it, and the same on every device. */
export function useTicks(layoutId: string, first: readonly SettingTick[]) {
  const [known, setKnown] = useState(first);
  const [outbox, setOutbox] = useState<Outbox<SettingTick> | null>(null);

  useEffect(() => {
    const store = deviceStore(layoutId);
    const created = createOutbox<SettingTick>({
      kept: store.read(),
      keep: store.write,
      deliver: ticks => send(layoutId, ticks, setKnown),
    });
    // The device's store can only be read in the browser, once the server's page has been shown.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setOutbox(created);
    created.flush();
    const look = () => {
      if (document.visibilityState === 'visible') void ask(layoutId, setKnown);
    };
    const timer = setInterval(look, LOOK_AGAIN_MS);
    window.addEventListener('online', created.flush);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', created.flush);
      document.removeEventListener('visibilitychange', look);
    };
  }, [layoutId]);

  const { unsent, problem } = useSyncExternalStore(
    outbox?.subscribe ?? neverChanges,
    outbox?.state ?? nothingYet,
    nothingYet,
  );
  const standing = useMemo(() => latest([...known, ...unsent]), [known, unsent]);
  const tap = useCallback(
    (piece: string, place: string, ticked: boolean) => outbox?.add([{ piece, place, ticked, tappedAtMs: Date.now() }]),
    [outbox],
  );
  const isTicked = useCallback(
    (piece: string, place: string) => {
      const tick = standing.get(piece);
      return tick?.place === place && tick.ticked;
    },
    [standing],
  );
  return { ready: outbox !== null, isTicked, tap, unsent: unsent.length, problem };
}

export type Ticks = ReturnType<typeof useTicks>;

const NOTHING = { unsent: [] as readonly SettingTick[], problem: null };
const nothingYet = () => NOTHING;
const neverChanges = () => () => undefined;

function latest(ticks: readonly SettingTick[]): Map<string, SettingTick> {
  const byPiece = new Map<string, SettingTick>();
  for (const tick of ticks)
    if (tick.tappedAtMs >= (byPiece.get(tick.piece)?.tappedAtMs ?? 0)) byPiece.set(tick.piece, tick);
  return byPiece;
}

async function send(
  layoutId: string,
  ticks: readonly SettingTick[],
  know: (ticks: SettingTick[]) => void,
): Promise<Delivery> {
  try {
    const response = await fetch(`/api/layouts/${layoutId}/ticks`, {
      method: 'POST',
      keepalive: true,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ticks }),
    });
    const said = (await response.json()) as TicksAnswer;
    if (said.kind === 'refused') return { kind: response.status === 422 ? 'never' : 'later', problem: said.problem };
    know(said.ticks);
    return { kind: 'taken' };
  } catch {
    return { kind: 'later', problem: 'The server does not answer. Your ticks are kept on this device until it does.' };
  }
}

async function ask(layoutId: string, know: (ticks: SettingTick[]) => void): Promise<void> {
  try {
    const said = (await (await fetch(`/api/layouts/${layoutId}/ticks`)).json()) as TicksAnswer;
    if (said.kind === 'taken') know(said.ticks);
  } catch {
    // Without a connection what is known stays; the outbox says what waits.
  }
}

/** What this device keeps of ticks until the server has them. */
function deviceStore(layoutId: string) {
  const key = `roan-ticks-${layoutId}`;
  return {
    read(): SettingTick[] {
      try {
        const kept = SettingTicks.safeParse({ ticks: JSON.parse(localStorage.getItem(key) ?? '[]') });
        return kept.success ? kept.data.ticks : [];
      } catch {
        return [];
      }
    },
    write(unsent: readonly SettingTick[]): void {
      try {
        if (unsent.length === 0) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify(unsent));
      } catch {
        // A full or forbidden store takes the safety net away; the tick still goes to the server at once.
      }
    },
  };
}
