'use server';

import { randomUUID } from 'node:crypto';
import {
  hasReins,
  nearestWay,
  recordedPass,
  RIDE_DIRECTIONS,
  seededRandom,
  standInRide,
  USUAL_MISTAKES,
  USUAL_NOISE,
  type FootLanding,
  type RecordedPass,
  type RecordEvent,
  type RideWay,
  type TappedMark,
  type TrackPoint,
} from '@/core';
import { recordBatch } from '@/data/queries/recordEvents';
import { readFootfalls } from '@/files/footfallCsv';
import type { FormOutcome } from '@/files/formOutcome';
import { readGpx } from '@/files/gpx';
import { MOST_PATH_POINTS } from '@/files/recordEvent';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../../../../_server/attempt';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '../../../../_server/yardContext';
import { stageRider, type StageRider } from './stageRider';
import { Id, refuse } from '@/app/_server/refusal';

const RowId = Id;
const Asked = { lessonId: RowId, pairId: RowId, stageId: RowId, questionId: z.string().min(1).max(80) };
const Rides = z.strictObject({
  ...Asked,
  eachRein: z.number().int().min(1).max(20),
  seed: z.number().int().min(0).max(999_999_999),
});
const MOST_TEXT = 4_000_000;
const Recording = z.strictObject({
  ...Asked,
  rein: z.enum(['left', 'right']).nullable(),
  direction: z.enum(RIDE_DIRECTIONS),
  gpx: z.string().max(MOST_TEXT, 'This track is larger than Roan takes.').nullable(),
  footfalls: z.string().max(MOST_TEXT, 'These footfalls are more than Roan takes.').nullable(),
  keep: z.boolean(),
});

/** Common practice, no source: from one pass to the next. */
const PASS_MS = 90_000;
/** A lesson that lies a day back was ridden then. */
const ONE_DAY_MS = 24 * 3600 * 1000;

/** To the left as drawn, to the right from the other side where that goes. */
const WISHES: readonly RideWay[] = [
  { rein: 'left', direction: 'as-drawn' },
  { rein: 'right', direction: 'other-way' },
];

/** `by`: what it came from. */
type RiddenPass = RideWay & { marks: readonly TappedMark[]; riddenAtMs: number; by: string };

/** A pass with its marks as the events that a page would have sent. */
function eventsOf({ lesson, stage, question, pairId }: StageRider, pass: RiddenPass): RecordEvent[] {
  const { rein, direction, marks, riddenAtMs } = pass;
  const id = randomUUID();
  return [
    {
      // A recording says when it was ridden; what it says is not the clock of whoever reads it in.
      ...{ type: 'pass', id: randomUUID(), saidAtMs: Date.now(), by: pass.by },
      pass: {
        ...{ id, pairId, layoutVersionId: stage.versionId, lessonId: lesson.id, stageId: stage.id, stage: stage.name },
        ...{ question, rein, direction, riddenAtMs },
      },
    },
    ...marks.map((mark, order): RecordEvent => {
      const own = { type: 'mark' as const, id: randomUUID(), passId: id, by: pass.by };
      return { ...own, mark: { id: randomUUID(), ...mark }, atMs: riddenAtMs + order };
    }),
  ];
}

/**
 * Lets the stand-in ride a question as a pair of the lesson, so often on each rein, into the lesson's record; where the track
 * changes the rein, so often in all.
 */
export async function standInRidesAction(sent: unknown): Promise<FormOutcome<{ passes: number }>> {
  return attempt<{ passes: number }>(may.instruct, async () => {
    const wish = Rides.safeParse(sent);
    if (!wish.success) return refuse('One to twenty passes on each rein, and a seed of at most nine digits.');
    const { eachRein, seed, ...asked } = wish.data;
    const rider = await stageRider(asked);
    if (typeof rider === 'string') return refuse(rider);
    const random = seededRandom(seed);
    const nowMs = Date.now();
    const times = hasReins(rider.ways) ? 2 * eachRein : eachRein;
    const lastMs = rider.lesson.startsAtMs + ONE_DAY_MS < nowMs ? rider.lesson.startsAtMs + times * PASS_MS : nowMs;
    const passes = Array.from({ length: times }, (_, index): RiddenPass => {
      const way = hasReins(rider.ways) ? nearestWay(rider.ways, WISHES[index % 2]!) : rider.ways[0]!;
      const wished = { ...way, manner: rider.manner, mistakes: USUAL_MISTAKES };
      const { marks } = standInRide(rider.asked(way.direction), rider.horse, wished, random);
      return { ...way, marks, riddenAtMs: lastMs - (times - index) * PASS_MS, by: 'the stand-in' };
    });
    const { write, yard } = await yardContext();
    const events = passes.flatMap(pass => eventsOf(rider, pass));
    await write(tx => recordBatch(tx, yard.id, { events, lessonId: null }, nowMs));
    revalidatePath('/ride');
    return { ok: true, passes: passes.length };
  });
}

export type ReadRecording = Pick<RecordedPass, 'strides' | 'path'> & {
  kept: boolean;
  ridden: string[];
  missed: string[];
  extra: string[];
  feet: number;
};

/** Reads a recording into a pass of the lesson: looked at first, kept when it is right. */
export async function readRecordingAction(sent: unknown): Promise<FormOutcome<{ recording: ReadRecording }>> {
  return attempt<{ recording: ReadRecording }>(may.instruct, async () => {
    const wish = Recording.safeParse(sent);
    if (!wish.success) return refuse(wish.error.issues[0]?.message ?? 'This recording cannot be read.');
    const { rein, direction, keep } = wish.data;
    const rider = await stageRider(wish.data);
    if (typeof rider === 'string') return refuse(rider);
    if (!rider.ways.some(way => way.rein === rein && way.direction === direction))
      return refuse('It is not ridden that way: choose the rein again.');
    const files = readFiles(wish.data, rider);
    if (typeof files === 'string') return refuse(files);
    const asked = rider.asked(direction);
    const [track] = asked.tracks;
    if (track?.kind !== 'items' || track.through.length < 2)
      return refuse('This has no track over poles or fences to lay it over.');
    const read = recordedPass(asked, track, direction, files, USUAL_NOISE, MOST_PATH_POINTS);
    const { ridden, missed, extra } = read.match;
    if (ridden.length === 0)
      return refuse('Nothing that is asked was ridden over in this track: look whether the arena lies where it says.');
    const recording: ReadRecording = {
      ...{ kept: keep, missed, extra, strides: read.strides, path: read.path, feet: files.footfalls.length },
      ridden: ridden.map(({ item }) => item),
    };
    if (!keep) return { ok: true, recording };
    const { write, yard } = await yardContext();
    const nowMs = Date.now();
    const events = eventsOf(rider, {
      rein,
      direction,
      marks: read.marks,
      // A watch that is ahead of its time recorded now.
      riddenAtMs: Math.min(files.startMs ?? nowMs, nowMs),
      by: 'a recording',
    });
    await write(tx => recordBatch(tx, yard.id, { events, lessonId: null }, nowMs));
    revalidatePath('/ride');
    return { ok: true, recording };
  });
}

type Files = { points: TrackPoint[]; footfalls: FootLanding[]; startMs: number | null };

/** The track of a file, or, without one, where the feet landed. */
function readFiles({ gpx, footfalls }: z.output<typeof Recording>, { place }: StageRider): Files | string {
  const feet = footfalls === null ? null : readFootfalls(footfalls);
  if (feet && !feet.ok) return `The footfalls: ${feet.reason}`;
  const landings = feet?.landings ?? [];
  if (gpx !== null) {
    const track = readGpx(gpx, place);
    if (!track.ok) return `The track: ${track.reason}`;
    return { points: track.points, footfalls: landings, startMs: track.startMs };
  }
  const points = landings
    .flatMap(({ timeS, xM, yM }) => (xM === null || yM === null ? [] : [{ timeS, at: { xM, yM } }]))
    .sort((a, b) => a.timeS - b.timeS);
  if (points.length < 2) return 'Choose a track (GPX), or footfalls that say where each foot landed.';
  return { points, footfalls: landings, startMs: null };
}
