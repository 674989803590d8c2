import { TRACK_GAITS } from '@/core';
import { z } from 'zod';
import { GoalOnPaper } from './goalPaper';
import type { GoalTyped } from './goalTyped';

const Typed = z.object({
  words: z.string(),
  purposes: z.array(z.string()).max(20),
  measure: z.enum(['', 'stage', 'clean', 'rein', 'count', 'head']),
  ...{ exercise: z.string(), stage: z.string(), purpose: z.string(), reinMeasure: z.string(), rein: z.string() },
  ...{ way: z.string(), gait: z.union([z.literal(''), z.enum(TRACK_GAITS)]), byDay: z.string() },
  percent: z.union([z.number(), z.string()]),
});

/** Which field of the form a fault of the goal is of. */
const FIELD_OF: Record<string, keyof GoalTyped> = {
  ...{ 'measure.exercise': 'exercise', 'measure.stage': 'stage', 'measure.purpose': 'purpose' },
  ...{ 'measure.measure': 'reinMeasure', 'measure.rein': 'rein', 'measure.way': 'way', 'measure.gait': 'gait' },
  'measure.share': 'percent',
};

/** What was typed as a goal; faults are told at their fields. */
export const goalForm = Typed.transform((typed, context): GoalOnPaper => {
  const read = GoalOnPaper.safeParse({
    ...{ words: typed.words, purposes: typed.purposes, byDay: typed.byDay === '' ? null : typed.byDay },
    measure: measureOf(typed),
  });
  if (read.success) return read.data;
  for (const { path, message } of read.error.issues) {
    const where = path.join('.');
    context.addIssue({ code: 'custom', message, path: [FIELD_OF[where] ?? String(path[0] ?? 'words')] });
  }
  return z.NEVER;
});

function measureOf(typed: z.infer<typeof Typed>): unknown {
  const { measure, exercise, stage, purpose, reinMeasure, rein, way, gait, percent } = typed;
  const share = typeof percent === 'number' ? percent / 100 : Number.NaN;
  const inGait = gait === '' ? null : gait;
  switch (measure) {
    case '':
      return null;
    case 'stage':
      return { kind: 'stage', exercise, stage: Number(stage) };
    case 'clean':
      return { kind: 'clean', purpose, share };
    case 'rein':
      return { kind: 'rein', measure: reinMeasure, rein, gait: inGait };
    case 'count':
      return { kind: 'count', way, share };
    case 'head':
      return { kind: 'head', gait: inGait, share };
  }
}
