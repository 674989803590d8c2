import { answering, problemAnswer } from '@/app/_server/answering';
import { createReadStream, existsSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { dataFolders } from '@/app/_server/dataFolders';
import { yardContext } from '@/app/_server/yardContext';
import { findFilm } from '@/data/queries/videos';

/** A film from the data folder, whole or a part of it: a player asks for parts to go to and fro. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ videoId: string }> }) => {
  const { videoId } = await params;
  const { db, yard } = await yardContext();
  const film = await findFilm(db, yard.id, videoId);
  const file = film && path.join(dataFolders().videos, film.id);
  if (!film || film.removedAt !== null || !file || !existsSync(file))
    return problemAnswer(404, 'This film is not in the data folder any more.');
  const range = /^bytes=(\d+)-(\d*)$/.exec(request.headers.get('range') ?? '');
  const last = film.sizeBytes - 1;
  const [start, end] = range
    ? [Number(range[1]), range[2] === '' ? last : Math.min(last, Number(range[2]))]
    : [0, last];
  if (start > end)
    return new Response(null, { status: 416, headers: { 'content-range': `bytes */${film.sizeBytes}` } });
  const stream = Readable.toWeb(createReadStream(file, { start, end })) as ReadableStream;
  return new Response(stream, {
    status: range ? 206 : 200,
    headers: {
      ...{ 'content-type': film.mime, 'accept-ranges': 'bytes', 'content-length': String(end - start + 1) },
      ...(range ? { 'content-range': `bytes ${start}-${end}/${film.sizeBytes}` } : {}),
      'x-content-type-options': 'nosniff',
    },
  });
});
