import { useDraft } from '@/components/sync/useDraft';
import type { Pad } from '@/app/ride/_state/pad/usePad';
import { useState } from 'react';
import type { KeptTaps } from './keptTaps';
import type { Run } from './useRun';

type Kept = { lessonId: string; run: Run; pad: Pad };

/**
 * Keeps strides on this device while they are tapped: a reload in the middle of a line goes on where it was.
 * @returns whether it was looked what was left
 */
export function useKeptTaps({ lessonId, run, pad }: Kept): { hasLooked: boolean } {
  const [hasLooked, setHasLooked] = useState(false);
  const value: KeptTaps | null =
    pad.run && run.pair && run.question
      ? {
          ...{ pairId: run.pair.id, stageId: run.stage.id, questionId: run.question.id },
          ...{ openId: run.open?.id ?? null, run: pad.run },
        }
      : null;
  useDraft(`pad ${lessonId}`, value, left => {
    const taps = readTaps(left);
    if (taps && run.bringBack(taps)) pad.bringBack(taps.run);
    setHasLooked(true);
  });
  return { hasLooked };
}

/** What was left, as far as it can be understood. */
export function readTaps(left: unknown): KeptTaps | null {
  if (typeof left !== 'object' || left === null) return null;
  const { pairId, stageId, questionId, openId, run } = left as Record<string, unknown>;
  const { step, tapsMs } = (typeof run === 'object' && run !== null ? run : {}) as Record<string, unknown>;
  if (![pairId, stageId, questionId].every(id => typeof id === 'string')) return null;
  if (openId !== null && typeof openId !== 'string') return null;
  if (!Number.isInteger(step) || (step as number) < 0 || !Array.isArray(tapsMs)) return null;
  if (tapsMs.length === 0 || tapsMs.length > 99 || !tapsMs.every(ms => Number.isFinite(ms))) return null;
  return left as KeptTaps;
}
