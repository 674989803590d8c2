import type { Delivery } from '@/components/outbox/outbox';
import { useOutbox } from '@/components/outbox/useOutbox';
import { keptTicks, type SettingTick, type TicksAnswer } from '@/files/settingTick';
import { useCallback, useMemo, useState } from 'react';

/** Which pieces stand: shown at once, kept on the device until the server has it, and the same on every device. */
export function useTicks(layoutId: string, first: readonly SettingTick[]) {
  const [known, setKnown] = useState(first);
  const { outbox, state } = useOutbox<SettingTick>({
    storeKey: `roan-ticks-${layoutId}`,
    parse: keptTicks,
    deliver: ticks => send(layoutId, ticks, setKnown),
    look: () => void ask(layoutId, setKnown),
  });
  const { unsent, problem } = state;
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
