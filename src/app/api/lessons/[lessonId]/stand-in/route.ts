import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { stageRider } from '@/app/ride/lessons/[lessonId]/recordings/stageRider';
import { wayWords } from '@/app/ride/wayWords';
import { seededRandom, standInRide, USUAL_MISTAKES } from '@/core';
import { writeFootfalls } from '@/files/footfallCsv';
import { writeGpx } from '@/files/gpx';
import { z } from 'zod';
import { Id } from '@/app/_server/refusal';

const Wish = z.object({
  pair: Id,
  stage: Id,
  question: z.string().min(1).max(80),
  /** Which of the ways of riding it, from 1. */
  way: z
    .string()
    .regex(/^[1-4]$/)
    .transform(Number),
  seed: z
    .string()
    .regex(/^\d{1,9}$/)
    .transform(Number),
  file: z.enum(['gpx', 'csv']),
});

/**
 * One ride of the stand-in over what a stage of a lesson asks, as the files that a receiver and sensors would make of it: the track
 * as GPX, the footfalls as CSV (places on the sand). The same seed is the same ride, and both files are of one ride.
 */
export const GET = answering(
  may.instruct,
  async (request: Request, { params }: { params: Promise<{ lessonId: string }> }) => {
    const { lessonId } = await params;
    const wish = Wish.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!wish.success)
      return problemAnswer(400, `${wish.error.issues[0]?.path.join('.')}: ${wish.error.issues[0]?.message}`);
    const { pair: pairId, stage: stageId, question: questionId, way: number, seed, file } = wish.data;
    const rider = await stageRider({ lessonId, pairId, stageId, questionId });
    if (typeof rider === 'string') return problemAnswer(404, rider);
    const way = rider.ways[number - 1];
    if (!way) return problemAnswer(400, `way: there are ${rider.ways.length} ways of riding this.`);
    const { horse, manner, place, name, lesson } = rider;
    const wished = { ...way, manner, mistakes: USUAL_MISTAKES };
    const { recording } = standInRide(rider.asked(way.direction), horse, wished, seededRandom(seed));
    if (!recording)
      return problemAnswer(400, 'There is nothing to record on the flat: a track over poles or fences is needed.');
    const title = `${name} ${rider.stage.name} ${wayWords(way)} ${seed}`;
    return file === 'gpx'
      ? download(writeGpx(title, recording.points, place, lesson.startsAtMs), title, '.gpx', 'application/gpx+xml')
      : download(writeFootfalls(recording.footfalls), title, '.csv', 'text/csv');
  },
);
