import { answering } from '@/app/_server/answering';
import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { pipeline } from 'node:stream/promises';
import { dataFolders } from '@/app/_server/dataFolders';
import { yardContext } from '@/app/_server/yardContext';
import { DatabaseRefused } from '@/data/databaseRefused';
import { addFilm } from '@/data/queries/videos';
import { z } from 'zod';

const MOST_BYTES = 2 * 1024 ** 3;

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

class TooLarge extends Error {}

const refused = (problem: string, status = 422) => Response.json({ problem }, { status });

/** Keeps a film in the data folder, beside a pass (?pass=) or a stride test (?test=). It goes nowhere else. */
export const POST = answering(async (request: Request) => {
  const wish = Wish.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wish.success) return refused(wish.error.issues[0]?.message ?? 'This film cannot be kept.');
  const mime = request.headers.get('content-type') ?? '';
  if (!/^video\/[\w.+-]{1,60}$/.test(mime)) return refused('This is no film: choose a video file.');
  if (!request.body) return refused('The film is empty.');
  const id = randomUUID();
  const folder = dataFolders().videos;
  const file = path.join(folder, id);
  try {
    mkdirSync(folder, { recursive: true });
    const { sizeBytes, sha256 } = await store(request.body, `${file}.part`);
    if (sizeBytes === 0) throw new DatabaseRefused('The film is empty.');
    renameSync(`${file}.part`, file);
    const { write, yard } = await yardContext();
    const of = { passId: wish.data.pass ?? null, testId: wish.data.test ?? null };
    await write(tx => addFilm(tx, yard.id, { id, ...of, fileName: wish.data.name, mime, sizeBytes, sha256 }));
    return Response.json({ id });
  } catch (error) {
    for (const left of [`${file}.part`, file]) rmSync(left, { force: true });
    if (error instanceof TooLarge) return refused('A film has at most 2 GB.');
    if (error instanceof DatabaseRefused) return refused(error.message);
    console.error('A film could not be kept:', error);
    return refused('The film could not be kept: the disk may be full. Nothing of it was left behind.', 507);
  }
});

/** Writes a body to a file as it comes, measuring it on the way. */
async function store(body: ReadableStream<Uint8Array>, file: string) {
  const hash = createHash('sha256');
  let sizeBytes = 0;
  const measure = new Transform({
    transform(chunk: Buffer, _, done) {
      sizeBytes += chunk.length;
      hash.update(chunk);
      done(sizeBytes > MOST_BYTES ? new TooLarge() : null, chunk);
    },
  });
  await pipeline(Readable.fromWeb(body as WebStream<Uint8Array>), measure, createWriteStream(file));
  return { sizeBytes, sha256: hash.digest('hex') };
}
