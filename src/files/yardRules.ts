import {
  GAIT_WORDS,
  MOST_RIDER_MARKS,
  MOST_RIDER_WORK,
  SEATS,
  USUAL_RULES,
  type RiderWork,
  type YardRules,
} from '@/core';
import { z } from 'zod';

const count = (least: number, most: number, what: string) =>
  z
    .number({ error: `How many ${what}?` })
    .int(`A whole number of ${what}.`)
    .min(least, `At least ${least}.`)
    .max(most, `At most ${most}.`);

const MOST_WORDS = 20;
const Words = (what: string) =>
  z
    .array(z.string().trim().min(1, `A ${what} needs a word.`).max(80, 'At most 80 letters.'))
    .max(MOST_WORDS, `At most ${MOST_WORDS}.`)
    .refine(
      words => new Set(words.map(word => word.toLowerCase())).size === words.length,
      'The same word is there twice.',
    );

/** Work for the rider of a yard's own, as it is stored and as it is sent. */
export const RiderWorkOnPaper = z.strictObject({
  name: z.string().trim().min(1, 'Give it a name.').max(60, 'A name has at most 60 letters.'),
  focus: z.string().trim().max(160, 'At most 160 letters.'),
  seat: z.enum(SEATS).nullable(),
  minutes: z.number({ error: 'How many minutes?' }).min(1, 'At least one minute.').max(240, 'At most 240 minutes.'),
  marks: z.array(z.string().trim().min(1).max(60)).min(1, 'Say what is watched in the rider.').max(MOST_RIDER_MARKS),
}) satisfies z.ZodType<RiderWork>;

/** How a yard teaches, as it is stored and as its form sends it. */
export const YardRulesOnPaper = z.strictObject({
  gate: z.strictObject({ cleanEachRein: count(1, 10, 'clean passes'), bothReins: z.boolean() }),
  limits: z.strictObject({
    lowEfforts: count(1, 500, 'efforts'),
    highEfforts: count(1, 500, 'high efforts'),
    raisedPasses: count(1, 500, 'passes'),
    smallCircleMin: z.number({ error: 'How many minutes?' }).min(0.5, 'At least half a minute.').max(60, 'At most 60.'),
    jumpingDays: count(1, 7, 'days'),
  }),
  // An older Roan did not ask.
  leanDeg: z
    .number({ error: 'How many degrees?' })
    .min(5, 'At least 5 degrees.')
    .max(45, 'At most 45 degrees.')
    .nullable()
    .default(USUAL_RULES.leanDeg),
  faults: Words('fault'),
  riderMarks: Words('mark'),
  // An older Roan had the rider's work of the shelf alone.
  riderWork: z
    .array(RiderWorkOnPaper)
    .max(MOST_RIDER_WORK, `At most ${MOST_RIDER_WORK} of your own.`)
    .default(USUAL_RULES.riderWork),
  // An older Roan knew trot and canter alone.
  gaitWords: z.enum(GAIT_WORDS).default(USUAL_RULES.gaitWords),
}) satisfies z.ZodType<YardRules>;

/** The rules that are stored; the usual ones where none are, or an older Roan wrote them differently. */
export function readYardRules(stored: unknown): YardRules {
  const read = YardRulesOnPaper.safeParse(stored);
  return read.success ? read.data : USUAL_RULES;
}
