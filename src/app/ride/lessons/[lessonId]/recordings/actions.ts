'use server';

import { randomUUID } from 'node:crypto';
import {
  markedTrack,
  recordedPass,
  seededRandom,
  standInRide,
  USUAL_MISTAKES,
  USUAL_NOISE,
  type FootLanding,
  type RecordedPass,
  type RecordEvent,
  type Rein,
  type RideDirection,
  type TappedMark,
  type TrackPoint,
} from '@/core';
import { recordBatch } from '@/data/queries/passes';
import { readFootfalls } from '@/files/footfallCsv';
import type { FormOutcome } from '@/files/formOutcome';
import { readGpx } from '@/files/gpx';
import { MOST_PATH_POINTS } from '@/files/recordEvent';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../../../../_server/attempt';
import { yardContext } from '../../../../_server/yardContext';
import { stageRider, type StageRider } from './stageRider';

const RowId = z.string().min(1).max(60);
const Rides = z.strictObject({
  lessonId: RowId,
  pairId: RowId,
  stageId: RowId,
  eachRein: z.number().int().min(1).max(20),
  seed: z.number().int().min(0).max(999_999_999),
});
const MOST_TEXT = 4_000_000;
const Recording = z.strictObject({
  ...{ lessonId: RowId, pairId: RowId, stageId: RowId },
  rein: z.enum(['left', 'right']),
  direction: z.enum(['as-drawn', 'other-way']),
  gpx: z.string().max(MOST_TEXT, 'This track is larger than Roan takes.').nullable(),
  footfalls: z.string().max(MOST_TEXT, 'These footfalls are more than Roan takes.').nullable(),
  keep: z.boolean(),
});

const refuse = (problem: string) => ({ ok: false as const, fields: {}, problem });

/** Common practice, no source: from one pass to the next. */
const PASS_MS = 90_000;

type RiddenPass = { rein: Rein; direction: RideDirection; marks: readonly TappedMark[]; riddenAtMs: number };

/** A pass with its marks as the events that a page would have sent. */
function eventsOf({ lesson, stage, pairId }: StageRider, pass: RiddenPass): RecordEvent[] {
  const { rein, direction, marks, riddenAtMs } = pass;
  const id = randomUUID();
  const layoutVersionId = stage.versionId;
  return [
    {
      ...{ type: 'pass', id: randomUUID() },
      pass: { id, pairId, layoutVersionId, lessonId: lesson.id, stage: stage.name, rein, direction, riddenAtMs },
    },
    ...marks.map((mark, order): RecordEvent => {
      const own = { type: 'mark' as const, id: randomUUID(), passId: id };
      return { ...own, mark: { id: randomUUID(), ...mark }, atMs: riddenAtMs + order };
    }),
  ];
}

/** Lets the stand-in ride a stage as a pair of the lesson, so often on each rein, into the lesson's record. */
export async function standInRidesAction(sent: unknown): Promise<FormOutcome<{ passes: number }>> {
  const wish = Rides.safeParse(sent);
  if (!wish.success) return refuse('One to twenty passes on each rein, and a seed of at most nine digits.');
  const { lessonId, pairId, stageId, eachRein, seed } = wish.data;
  const rider = await stageRider(lessonId, pairId, stageId);
  if (typeof rider === 'string') return refuse(rider);
  const random = seededRandom(seed);
  const nowMs = Date.now();
  const passes = Array.from({ length: 2 * eachRein }, (_, index): RiddenPass => {
    const rein = index % 2 === 0 ? 'left' : 'right';
    const direction = rein === 'right' && rider.bothWays ? 'other-way' : 'as-drawn';
    const wished = { rein, direction, manner: rider.manner, mistakes: USUAL_MISTAKES } as const;
    const { marks } = standInRide(rider.layout, rider.horse, wished, random);
    return { rein, direction, marks, riddenAtMs: nowMs - (2 * eachRein - index) * PASS_MS };
  });
  return attempt(async () => {
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
  const asked = Recording.safeParse(sent);
  if (!asked.success) return refuse(asked.error.issues[0]?.message ?? 'This recording cannot be read.');
  const { lessonId, pairId, stageId, rein, direction, keep } = asked.data;
  const rider = await stageRider(lessonId, pairId, stageId);
  if (typeof rider === 'string') return refuse(rider);
  const files = readFiles(asked.data, rider);
  if (typeof files === 'string') return refuse(files);
  const track = markedTrack(rider.layout);
  if (!track || track.through.length < 2) return refuse('This stage has no track over poles or fences to lay it over.');
  const read = recordedPass(rider.layout, track, direction, files, USUAL_NOISE, MOST_PATH_POINTS);
  const { ridden, missed, extra } = read.match;
  if (ridden.length === 0)
    return refuse('Nothing of this layout was ridden over in this track: look whether the arena lies where it says.');
  const recording: ReadRecording = {
    ...{ kept: keep, missed, extra, strides: read.strides, path: read.path, feet: files.footfalls.length },
    ridden: ridden.map(({ item }) => item),
  };
  if (!keep) return { ok: true, recording };
  return attempt(async () => {
    const { write, yard } = await yardContext();
    const nowMs = Date.now();
    const events = eventsOf(rider, { rein, direction, marks: read.marks, riddenAtMs: files.startMs ?? nowMs });
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
