import { lineRidden, type PadStep, type PassMark } from '@/core';
import type { RunTrack } from '@/app/ride/askedRide';

export type PadLeg = RunTrack['legs'][number];

/** Two strides between two poles can be counted by tapping; of one it is seen where the foot fell. */
const LEAST_COUNTED = 2;

/** Whether strides are counted on a track: not from pole to pole of a row that is ridden step by step. */
export function countsStrides(track: RunTrack | null): boolean {
  return (track?.legs ?? []).some(
    ({ betweenPoles, asked, likely }) => !betweenPoles || (asked ?? likely) >= LEAST_COUNTED,
  );
}

const isStop = (step: PadStep | undefined) => step?.kind === 'fence' || step?.kind === 'pole';

/** Which leg as drawn, from 1, follows a step in the order ridden; null behind the last. */
export function legNumber(steps: readonly PadStep[], from: number): number | null {
  const [here, next] = [steps[from], steps[from + 1]];
  return here && next && isStop(here) && isStop(next) ? Math.min(here.place, next.place) : null;
}

/** The leg that follows a step in the order ridden. */
export function legAfter(steps: readonly PadStep[], track: RunTrack | null, from: number): PadLeg | null {
  const number = legNumber(steps, from);
  return number === null ? null : (track?.legs[number - 1] ?? null);
}

/** What of the steps is ridden: where only a line was, its stops. */
export function stepsOfLine(steps: readonly PadStep[], marks: readonly PassMark[]): readonly PadStep[] {
  const line = lineRidden({ marks });
  return line ? steps.filter(step => isStop(step) && step.place >= line.from && step.place <= line.to) : steps;
}
