import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { adjustDistanceAction } from '../../../actions';

/** Opens or closes a distance between passes: from the next pass on it is another setting. */
export function useAdjust(layoutId: string | null, track: string) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const adjust = (leg: number, byM: number) =>
    begin(async () => {
      const answer = await adjustDistanceAction({ layoutId, track, leg, byM }).catch(() => null);
      setProblem(answer?.ok ? null : (answer?.problem ?? 'The server does not answer: nothing was moved.'));
      if (answer?.ok) router.refresh();
    });
  return { adjust, busy, problem };
}
