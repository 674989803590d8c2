import { useAct } from '@/components/form/useAct';
import type { ItemTrack, PlannedLeg } from '@/core';
import { useRouter } from 'next/navigation';
import { adjustDistanceAction } from '../../../actions';

type Stop = ItemTrack['through'][number];

/** A leg with its two stops, and the stops behind it that go along when it is opened or closed. */
export type LegEnds = { from: Stop; to: Stop; leg: PlannedLeg; behind: string[] };

/** The ends of a leg of a track; what comes later moves along, what the track comes back to stays. */
export function legEnds({ through, legs }: Pick<ItemTrack, 'through' | 'legs'>, leg: number): LegEnds {
  const before = new Set(through.slice(0, leg + 1).map(({ item }) => item));
  const behind = through.slice(leg + 1).flatMap(({ item }) => (before.has(item) ? [] : [item]));
  return { from: through[leg]!, to: through[leg + 1]!, leg: legs[leg]!, behind: [...new Set(behind)] };
}

/** All gaps of a track, first to last. */
export const rowEnds = (track: Pick<ItemTrack, 'through' | 'legs'>): LegEnds[] =>
  track.legs.map((_, leg) => legEnds(track, leg));

/** Opens or closes distances between passes: from the next pass on it is another setting. */
export function useAdjust(layoutId: string | null) {
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: nothing was moved.');
  const adjust = (gaps: readonly LegEnds[], byM: number) =>
    act(
      () => adjustDistanceAction({ layoutId, gaps, byM }),
      () => router.refresh(),
    );
  return { adjust, busy, problem };
}
