import { shake } from '../../_components/pad/shake';
import { tapAtMs } from './earlyTaps';
import {
  countsThatCanBe,
  standingMarks,
  tapsFromFirst,
  tapStride,
  type PadStep,
  type PassMark,
  type TappedMark,
  type TapRun,
} from '@/core';
import type { RunTrack } from '@/app/ride/askedRide';
import { useState } from 'react';
import { saysSame } from '../../_components/pad/keysOfPad';
import { countsStrides, legAfter, legNumber, stepsOfLine, type PadLeg } from '../../_components/pad/padLegs';

export type PadSetting = {
  /** In the order ridden. */
  steps: readonly PadStep[];
  track: RunTrack | null;
  /** Of the open pass. */
  marks: readonly PassMark[];
  /** Before the device's own store was read nothing is tapped: early taps are done once it was. */
  ready: boolean;
  /** Which pass is being marked: another one begins at its beginning. */
  passKey: string;
  onMarks: (said: readonly TappedMark[]) => void;
  onUnmark: (markId: string) => void;
};

/** `passKey` null: of the pass that is shown next, whichever it is. */
type PadState = { passKey: string | null; chosen: number | null; run: TapRun | null };

/** Where one is in what is ridden, and the strides that are being tapped there. */
export function usePad({ steps: all, track, marks, passKey, ready, onMarks, onUnmark }: PadSetting) {
  const standing = standingMarks(marks);
  const steps = stepsOfLine(all, marks);
  const counted = countsStrides(track);
  const [kept, setKept] = useState<PadState>({ passKey, chosen: null, run: null });
  const isOwn = kept.passKey === passKey || kept.passKey === null;
  const state: PadState = isOwn ? { ...kept, passKey } : { passKey, chosen: null, run: null };
  const beginning = counted || steps[0]?.kind === 'transition' || steps.length === 1 ? 0 : null;
  const within = (step: number | null) => (step === null ? null : Math.min(step, steps.length - 1));
  const chosen = within(state.chosen ?? beginning);
  const run = state.run && state.run.step < steps.length ? state.run : null;
  const put = (next: Partial<PadState>) => setKept({ ...state, chosen, run, ...next });
  const legOf = (from: number): PadLeg | null => (counted ? legAfter(steps, track, from) : null);

  /** What is counted and not said yet. */
  const pending = (of: TapRun | null = run): TappedMark[] => {
    if (!of || of.tapsMs.length === 0) return [];
    const step = steps[of.step];
    const count = of.tapsMs.length;
    if (step?.kind === 'transition') {
      const said = standing.find(mark => mark.kind === 'transition' && mark.place === step.place);
      const how = said?.kind === 'transition' ? said.how : 'prompt';
      return [{ kind: 'transition', place: step.place, to: step.to, how, trotSteps: count }];
    }
    const place = legNumber(steps, of.step);
    if (place === null) return [];
    return [{ kind: 'strides', place, count, tapsMs: tapsFromFirst(of.tapsMs) }];
  };
  const say = (said: readonly TappedMark[]) => {
    if (said.length > 0) onMarks(said);
  };

  return {
    ...{ steps, chosen, run, marks: standing, counted, pending },
    leg: run ? legOf(run.step) : chosen === null ? null : legOf(chosen),
    step: chosen === null ? null : (steps[chosen] ?? null),
    choose: (step: number | null) => {
      if (!ready) return;
      say(pending());
      put({ chosen: step, run: null });
      shake();
    },
    tap: () => {
      if (!ready) return;
      const atMs = tapAtMs();
      const from = run?.step ?? chosen ?? 0;
      shake();
      const leg = legOf(from);
      if (!leg) return put({ chosen: from, run: { step: from, tapsMs: [...(run?.tapsMs ?? []), atMs] } });
      const counts = countsThatCanBe(leg.likely, leg.asked);
      const next = tapStride(run ?? { step: from, tapsMs: [] }, atMs, counts, legOf(from + 1) !== null);
      if (next.ended) say(pending(next.ended));
      put({ chosen: next.run.step, run: next.run });
    },
    /** Takes back the last stride that was tapped. */
    untap: () => {
      if (!run) return;
      const tapsMs = run.tapsMs.slice(0, -1);
      put({ run: tapsMs.length === 0 ? null : { ...run, tapsMs } });
    },
    /** Says something of where one is: while strides are counted, of the stop that they lead to. */
    mark: (of: (step: PadStep | null) => TappedMark, at: 'here' | 'left' = 'here') => {
      if (!ready) return;
      shake();
      const arrived = run !== null && at === 'here' && legOf(run.step) !== null;
      const step = arrived ? run.step + 1 : chosen;
      const said = of(step === null ? null : (steps[step] ?? null));
      const held = standing.find(mark => saysSame(mark, said));
      if (held && !arrived) return onUnmark(held.id);
      const counted = at === 'left' ? [] : pending().filter(mark => mark.kind !== said.kind);
      say([...counted, withSteps(said, run)]);
      // Gap after gap of a row, and transition after transition, follow each other.
      const goesOn = said.kind === 'transition' || (said.kind === 'footfall' && said.place !== null);
      const onwards = goesOn && step !== null ? Math.min(step + 1, steps.length - 1) : step;
      put({ chosen: onwards, run: at === 'left' ? run : null });
    },
    /** Goes on with strides that were being tapped when the page was closed, in whatever pass the page shows next. */
    bringBack: (back: TapRun) => setKept({ passKey: null, chosen: back.step, run: back }),
    /** Nothing is counted any more: what was is said by whoever ends the pass. */
    clear: () => setKept({ passKey, chosen, run: null }),
  };
}

export type Pad = ReturnType<typeof usePad>;

/** Trot steps that were tapped before a transition go with it. */
function withSteps(said: TappedMark, run: TapRun | null): TappedMark {
  return said.kind === 'transition' && run ? { ...said, trotSteps: run.tapsMs.length } : said;
}
