import { answering, problemAnswer } from '@/app/_server/answering';
import { Readable } from 'node:stream';
import { dataFolders } from '@/app/_server/dataFolders';
import { yardContext } from '@/app/_server/yardContext';
import { readArchive, restoreArchive } from '@/data/archive/readArchive';
import { writeArchive } from '@/data/archive/writeArchive';
import { DatabaseRefused } from '@/data/databaseRefused';
import { roan } from '@/data/roan';
import { revalidatePath } from 'next/cache';

/** Everything of the yard in one archive. */
export const GET = answering(async () => {
  const { db } = await yardContext();
  const madeAt = new Date().toISOString();
  const archive = await writeArchive(db, dataFolders().videos, madeAt);
  return new Response(Readable.toWeb(archive) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="roan-archive-${madeAt.slice(0, 10)}.zip"`,
      'cache-control': 'no-store',
    },
  });
});

const MOST_BYTES = 2 * 1024 ** 3;

/** Restores an archive into a Roan that is empty, all of it or nothing; 422 says why not. */
export const POST = answering(async (request: Request) => {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES)
    return problemAnswer(422, 'This archive is larger than 2 GB: Roan takes none so large.');
  try {
    const archive = await readArchive(new Uint8Array(await request.arrayBuffer()));
    await restoreArchive(await roan(), archive, dataFolders().videos);
    revalidatePath('/', 'layout');
    return Response.json({ yard: archive.manifest.yard, rows: archive.manifest.rows });
  } catch (error) {
    if (error instanceof DatabaseRefused) return problemAnswer(422, error.message);
    throw error;
  }
});
