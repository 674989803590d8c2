import { ticksBox } from '@/components/sync/boxes';
import { useBox } from '@/components/sync/useBox';
import { keptTicks, type SettingTick, type TicksAnswer } from '@/files/settingTick';
import { useCallback, useMemo, useState } from 'react';

/** Which pieces stand: shown at once, kept on the device until the server has it, and the same on every device. */
export function useTicks(layoutId: string, first: readonly SettingTick[]) {
  const [known, setKnown] = useState(first);
  /** An answer that was long on its way never takes back what a later one said. */
  const know = useCallback(
    (ticks: SettingTick[]) => setKnown(before => [...latest([...before, ...ticks]).values()]),
    [],
  );
  const { ready, unsent, add, waits } = useBox<SettingTick>({
    box: ticksBox(layoutId),
    parse: keptTicks,
    answered: body => know((body as TicksAnswer).ticks),
    look: () => void ask(layoutId, know),
  });
  const standing = useMemo(() => latest([...known, ...unsent]), [known, unsent]);
  const tap = useCallback(
    (piece: string, place: string, ticked: boolean) => add([{ piece, place, ticked, tappedAtMs: Date.now() }]),
    [add],
  );
  const isTicked = useCallback(
    (piece: string, place: string) => {
      const tick = standing.get(piece);
      return tick?.place === place && tick.ticked;
    },
    [standing],
  );
  return { ready, isTicked, tap, waits };
}

export type Ticks = ReturnType<typeof useTicks>;

function latest(ticks: readonly SettingTick[]): Map<string, SettingTick> {
  const byPiece = new Map<string, SettingTick>();
  for (const tick of ticks)
    if (tick.tappedAtMs >= (byPiece.get(tick.piece)?.tappedAtMs ?? 0)) byPiece.set(tick.piece, tick);
  return byPiece;
}

async function ask(layoutId: string, know: (ticks: SettingTick[]) => void): Promise<void> {
  try {
    const response = await fetch(`/api/layouts/${layoutId}/ticks`);
    if (response.ok) know(((await response.json()) as TicksAnswer).ticks);
  } catch {
    // Without a connection what is known stays; what waits says so.
  }
}
