import { randomUUID } from 'node:crypto';
import { closeSync, openSync, readSync, renameSync, rmSync } from 'node:fs';
import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../_server/access/rules';
import { dataFolders } from '@/app/_server/dataFolders';
import { receiveFile } from '@/app/_server/receiveFile';
import { yardContext } from '@/app/_server/yardContext';
import { DatabaseRefused } from '@/data/databaseRefused';
import { isFilmLike } from '@/data/films/isFilmLike';
import { filmFile, isFilmType } from '@/data/films/filmFile';
import { addFilm } from '@/data/queries/videos';
import { z } from 'zod';

const MOST_BYTES = 8 * 1024 ** 3;

const Wish = z
  .object({
    pass: z.string().min(1).max(60).optional(),
    test: z.string().min(1).max(60).optional(),
    name: z.string().trim().min(1).max(200),
  })
  .refine(
    ({ pass, test }) => (pass === undefined) !== (test === undefined),
    'A film is of a pass or of a stride test.',
  );

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

/** Keeps a film in the data folder, beside a pass (?pass=) or a stride test (?test=). It goes nowhere else. */
export const POST = answering(may.instruct, async (request: Request) => {
  const wish = Wish.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wish.success) return problemAnswer(422, wish.error.issues[0]?.message ?? 'This film cannot be kept.');
  const mime = request.headers.get('content-type') ?? '';
  if (!isFilmType(mime)) return problemAnswer(415, 'This is no film: choose a video file.');
  const folder = dataFolders().videos;
  const received = await receiveFile(request, { folder, mostBytes: MOST_BYTES, what: 'film' });
  const id = randomUUID();
  const file = filmFile(folder, id);
  try {
    if (!isFilmLike(headOf(received.file)))
      throw new DatabaseRefused('This file is no film, whatever it is called: choose a video file.');
    renameSync(received.file, file);
    const { sizeBytes, sha256 } = received;
    const { write, yard } = await yardContext();
    const of = { passId: wish.data.pass ?? null, testId: wish.data.test ?? null };
    await write(tx => addFilm(tx, yard.id, { id, ...of, fileName: wish.data.name, mime, sizeBytes, sha256 }));
    return Response.json({ id, sizeBytes, sha256 });
  } catch (error) {
    for (const left of [received.file, file]) rmSync(left, { force: true });
    throw error;
  }
});
