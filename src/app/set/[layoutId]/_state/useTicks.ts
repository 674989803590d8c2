import { forYard, pageYard } from '@/components/pageYard';
import { ticksBox } from '@/components/sync/boxes';
import { useBox } from '@/components/sync/useBox';
import { useKnown } from '@/components/sync/useKnown';
import { useLatest } from '@/components/useLatest';
import { keptTicks, type SettingTick, type TicksAnswer } from '@/files/settingTick';
import { useCallback, useMemo, useState } from 'react';

const ticksReader = async () => keptTicks;

/** Which pieces stand: shown at once, kept on the device until the server has it, and the same on every device. */
export function useTicks(layoutId: string, first: TicksAnswer) {
  const [known, setKnown] = useState(first);
  const number = useLatest(known.number);
  const know = useCallback((answer: TicksAnswer) => setKnown(before => withAnswer(before, answer)), []);
  const { ready, unsent, add, waits } = useBox<SettingTick>({
    box: ticksBox(layoutId),
    reader: ticksReader,
    after: () => number.current,
    answered: body => know(body as TicksAnswer),
    look: () => void ask(layoutId, number.current, know),
  });
  useKnown<TicksAnswer>({
    ...{ box: ticksBox(layoutId), number: known.number, onKnown: know },
    body: () => ({ ...known, afresh: true }),
  });
  const standing = useMemo(() => latest([...known.ticks, ...unsent]), [known, unsent]);
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

/** An answer that was long on its way never takes back what a later one said. */
export function withAnswer(known: TicksAnswer, answer: TicksAnswer): TicksAnswer {
  if (answer.afresh) return answer;
  if (answer.number <= known.number) return known;
  const changed = new Set(answer.ticks.map(({ piece }) => piece));
  return { ...answer, ticks: [...known.ticks.filter(({ piece }) => !changed.has(piece)), ...answer.ticks] };
}

function latest(ticks: readonly SettingTick[]): Map<string, SettingTick> {
  const byPiece = new Map<string, SettingTick>();
  for (const tick of ticks)
    if (tick.tappedAtMs >= (byPiece.get(tick.piece)?.tappedAtMs ?? 0)) byPiece.set(tick.piece, tick);
  return byPiece;
}

async function ask(layoutId: string, after: number, know: (answer: TicksAnswer) => void): Promise<void> {
  try {
    const response = await fetch(`/api/layouts/${layoutId}/ticks?after=${after}`, { headers: forYard(pageYard()) });
    if (response.ok) know((await response.json()) as TicksAnswer);
  } catch {
    // Without a connection what is known stays; what waits says so.
  }
}
