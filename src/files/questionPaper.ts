import { FENCE_FORMS, TRACK_GAITS, type PairAsk, type Question } from '@/core';
import { z } from 'zod';

/** What is asked, as it is stored and sent. It holds no direction, so it is the core's own shape. */

const Id = z.string().min(1).max(80);
const Metres = (min: number, max: number) => z.number().min(min).max(max);
const ByItem = <Value extends z.ZodType>(value: Value) => z.record(Id, value);

/** A leg as it is planned. */
export const PlannedLegOnPaper = z.strictObject({
  track: z.union([
    z.enum(['direct', 'natural', 'wide']),
    z.strictObject({ via: z.strictObject({ xM: Metres(-1000, 1000), yM: Metres(-1000, 1000) }) }),
  ]),
  setting: z.enum(['course', 'grid', 'poles']),
  approach: z.enum(['canter', 'trot']),
  asked: z.number().int().min(0).max(200).nullable(),
  circle: z.strictObject({ rein: z.enum(['left', 'right']), radiusM: Metres(0.5, 100) }).nullable(),
});

const Track = z.strictObject({ kind: z.literal('track'), trackId: z.string().max(80) });
const Figures = z.strictObject({
  kind: z.literal('figures'),
  trackId: z.string().max(80),
  figureIds: z.array(Id).min(1).max(200).readonly(),
});

const What = z.discriminatedUnion('kind', [
  Track,
  Figures,
  z.strictObject({
    kind: z.literal('stage'),
    exerciseId: Id,
    stage: z.number().int().min(0).max(50),
    over: z.discriminatedUnion('kind', [Track, Figures]),
  }),
  z
    .strictObject({
      kind: z.literal('made'),
      through: z
        .array(z.strictObject({ item: Id, reversed: z.boolean() }))
        .min(1)
        .max(200),
      legs: z.array(PlannedLegOnPaper).max(200),
    })
    .refine(
      ({ through, legs }) => legs.length === through.length - 1,
      'legs go from stop to stop: one fewer than stops',
    )
    .refine(
      ({ through, legs }) =>
        legs.every((leg, at) => {
          const [from, to] = [through[at]!, through[at + 1]!];
          return (from.item === to.item && from.reversed === to.reversed) === (leg.circle !== null);
        }),
      'a leg is a circle where it comes back to the stop it left, and nowhere else',
    ),
]);

const Count = z.number().int('A whole number of strides.').min(0).max(99, 'At most 99 strides.').nullable();

const State = z.strictObject({
  out: z.array(Id).max(2000),
  asPole: z.array(Id).max(2000),
  raisedM: ByItem(Metres(0, 1)),
  heightM: ByItem(Metres(0, 3)),
  form: ByItem(z.enum(FENCE_FORMS)),
});

export const QuestionOnPaper = z.strictObject({
  id: z.string().min(1).max(80),
  name: z.string().trim().min(1).max(60).nullable(),
  what: What,
  state: State,
  gait: z.enum(TRACK_GAITS),
  rein: z.enum(['left', 'right']).nullable(),
  asked: z.array(Count).max(200),
}) satisfies z.ZodType<Question>;

/** What is asked of one pair otherwise than of all. */
export const PairAskOnPaper = z.strictObject({
  asked: z.array(Count).max(200).nullable(),
  heightM: ByItem(Metres(0, 3)),
  asPole: z.array(Id).max(200),
}) satisfies z.ZodType<PairAsk>;

/** A question of a lesson, with what is asked otherwise of some pairs. */
export const AskedQuestionOnPaper = z.strictObject({
  question: QuestionOnPaper,
  ofPairs: z.record(z.string().min(1).max(60), PairAskOnPaper),
});
