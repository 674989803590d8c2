import { rmSync } from 'node:fs';
import { Readable } from 'node:stream';
import { answering } from '@/app/_server/answering';
import { may } from '../../_server/access/rules';
import { dataFolders } from '@/app/_server/dataFolders';
import { askerOf, heavyWork } from '@/app/_server/heavy/heavyWork';
import { receiveFile } from '@/app/_server/receiveFile';
import { yardContext } from '@/app/_server/yardContext';
import { backupFilms } from '@/data/archive/backups';
import { openArchive } from '@/data/archive/readArchive';
import { restoreArchive, type Stage } from '@/data/archive/restoreArchive';
import { packArchive } from '@/data/archive/writeArchive';
import { roan } from '@/data/roan';
import { revalidatePath } from 'next/cache';

/** Everything of the yard in one archive; ?films=no leaves the films out. */
export const GET = answering(may.instruct, async (request: Request) => {
  const { yard } = await yardContext();
  const madeAt = new Date().toISOString();
  const films = new URL(request.url).searchParams.get('films') === 'no' ? 'beside' : 'inside';
  const texts = await heavyWork('archive', { yardId: yard.id }, askerOf(request));
  const { zip } = packArchive(texts, dataFolders().videos, madeAt, films);
  return new Response(Readable.toWeb(zip) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="roan-archive-${madeAt.slice(0, 10)}.zip"`,
      'cache-control': 'no-store',
    },
  });
});

const MOST_BYTES = 512 * 1024 ** 3;

/** Restores an archive into a Roan that is empty, all of it or nothing; 422 says why not. */
export const POST = answering(may.instruct, async (request: Request) => {
  const folders = dataFolders();
  const received = await receiveFile(request, { folder: folders.incoming, mostBytes: MOST_BYTES, what: 'archive' });
  try {
    const archive = await openArchive(received.file, [backupFilms(folders.backups)]);
    try {
      const { yard, who } = await yardContext();
      const into = { yardId: yard.id, personId: who.open ? null : who.id };
      const stage: Stage = (file, folder) => heavyWork('stageArchive', { file, folder });
      await restoreArchive(await roan(), archive, folders.videos, into, stage);
      revalidatePath('/', 'layout');
      const missing = archive.films.filter(({ open }) => open === null).length;
      return Response.json({ yard: archive.manifest.yard, rows: archive.manifest.rows, missingFilms: missing });
    } finally {
      archive.close();
    }
  } finally {
    rmSync(received.file, { force: true });
  }
});
