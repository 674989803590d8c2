import { randomUUID } from 'node:crypto';
import { closeSync, openSync, readSync, renameSync, rmSync } from 'node:fs';
import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../_server/access/rules';
import { dataFolders } from '@/app/_server/dataFolders';
import { receiveFile } from '@/app/_server/receiveFile';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { DatabaseRefused } from '@/data/databaseRefused';
import { isFilmLike } from '@/data/films/isFilmLike';
import { filmFile, isFilmType } from '@/data/films/filmFile';
import { findPair } from '@/data/queries/pairs';
import { addFilm, filmsToAnswer } from '@/data/queries/videos';
import { z } from 'zod';
import { Id } from '@/app/_server/refusal';

const MOST_BYTES = 8 * 1024 ** 3;
/** What a phone records in ten minutes and more. */
const MOST_OF_RIDER_BYTES = 1024 ** 3;

const Wish = z
  .object({
    pass: Id.optional(),
    test: Id.optional(),
    pair: Id.optional(),
    /** The day that a film of a pair was ridden. */
    day: z.iso.date('Say on which day it was ridden.').optional(),
    /** What is asked about it. */
    asks: z.string().trim().max(500, 'What you ask has at most 500 letters.').optional(),
    name: z.string().trim().min(1).max(200),
  })
  .refine(
    ({ pass, test, pair }) => [pass, test, pair].filter(one => one !== undefined).length === 1,
    'A film is of a pass, of a stride test, or of a pair and a day.',
  )
  .refine(({ pair, day }) => (pair === undefined) === (day === undefined), 'Say on which day it was ridden.');

type Wish = z.infer<typeof Wish>;

/** So many films of a rider may wait for an answer. */
const MOST_WAITING = 20;

/** What keeps somebody from sending this film; null where nothing does. A rider sends what they ride themselves. */
async function refusal({ pair: pairId, day }: Wish): Promise<string | null> {
  const { db, yard, who } = await yardContext();
  if (day !== undefined && day > yardTime(Date.now(), yard.timeZone, 'YYYY-MM-DD'))
    return 'That day is still to come: when was it ridden?';
  if (who.open || who.role === 'instructor') return null;
  const pair = pairId === undefined ? null : await findPair(db, yard.id, pairId);
  if (who.role !== 'rider' || pair?.riderId !== who.id) return 'A rider sends films of what they ride themselves.';
  const waiting = (await filmsToAnswer(db, yard.id)).filter(film => film.sentBy === who.name);
  return waiting.length < MOST_WAITING ? null : 'So many of your films wait for an answer: let them be seen first.';
}

const HEAD_BYTES = 64;

/** The first bytes of a file. */
function headOf(file: string): Uint8Array {
  const bytes = Buffer.alloc(HEAD_BYTES);
  const opened = openSync(file, 'r');
  try {
    return bytes.subarray(0, readSync(opened, bytes, 0, HEAD_BYTES, 0));
  } finally {
    closeSync(opened);
  }
}

/**
 * Keeps a film in the data folder, of a pass (?pass=), a stride test (?test=), or a pair on a day (?pair=&day=). It goes nowhere
 * else.
 */
export const POST = answering(may.read, async (request: Request) => {
  const wish = Wish.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wish.success) return problemAnswer(422, wish.error.issues[0]?.message ?? 'This film cannot be kept.');
  const mime = request.headers.get('content-type') ?? '';
  if (!isFilmType(mime)) return problemAnswer(415, 'This is no film: choose a video file.');
  const refused = await refusal(wish.data);
  if (refused !== null) return problemAnswer(403, refused);
  const folder = dataFolders().videos;
  const { who: sender } = await yardContext();
  const mostBytes = !sender.open && sender.role === 'rider' ? MOST_OF_RIDER_BYTES : MOST_BYTES;
  const received = await receiveFile(request, { folder, mostBytes, what: 'film' });
  const id = randomUUID();
  const file = filmFile(folder, id);
  try {
    if (!isFilmLike(headOf(received.file)))
      throw new DatabaseRefused('This file is no film, whatever it is called: choose a video file.');
    renameSync(received.file, file);
    const { sizeBytes, sha256 } = received;
    const { write, yard, who } = await yardContext();
    const { pass, test, pair, day = null, asks } = wish.data;
    const of = { passId: pass ?? null, testId: test ?? null, pairId: pair ?? null };
    const told = { day, asks: asks || null, sentBy: who.open ? null : who.name };
    await write(tx => addFilm(tx, yard.id, { id, ...of, ...told, fileName: wish.data.name, mime, sizeBytes, sha256 }));
    return Response.json({ id, sizeBytes, sha256 });
  } catch (error) {
    for (const left of [received.file, file]) rmSync(left, { force: true });
    throw error;
  }
});
