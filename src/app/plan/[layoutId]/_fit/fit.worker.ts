import { fitSteps } from '@/core';
import type { AskFit, FitSaid } from './fitTold';

/** Fits beside the page, so that it stays in hand: each step is said as it comes. Whoever stops it ends this worker. */
self.onmessage = ({ data: { layout, pieces, horseIds, limits } }: MessageEvent<AskFit>) => {
  const steps = fitSteps(layout, { pieces, horseIds, limits });
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return say({ kind: 'done', fit: step.value });
    say({ kind: 'step', ...step.value });
  }
};

function say(said: FitSaid): void {
  postMessage(said);
}
