import { composeSteps, type ComposeStep, type ComposeWish } from '@/core';

/** What is said: how far it is with what it has, and at the end all of it. */
export type ComposeSaid = ComposeStep & { done: boolean };

/** Composes courses beside the page, which stays in hand. Whoever stops it ends this worker. */
self.onmessage = ({ data }: MessageEvent<ComposeWish>) => {
  const steps = composeSteps(data);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return say({ share: 1, proposals: step.value, done: true });
    say({ ...step.value, done: false });
  }
};

function say(said: ComposeSaid): void {
  postMessage(said);
}
