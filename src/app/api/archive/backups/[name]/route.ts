import { createReadStream } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { dataFolders } from '@/app/_server/dataFolders';
import { backupFilms, listBackups } from '@/data/archive/backups';
import { withFilms } from '@/data/archive/withFilms';

/** One of the backups in the data folder, with its films in it; ?films=no sends it as it lies there. */
export const GET = answering(
  may.instruct,
  async (request: Request, { params }: { params: Promise<{ name: string }> }) => {
    const { name } = await params;
    const { backups } = dataFolders();
    const found = listBackups(backups).find(backup => backup.name === name);
    if (!found) return problemAnswer(404, 'This backup is not in the data folder any more.');
    const file = path.join(backups, found.name);
    const isPlain = new URL(request.url).searchParams.get('films') === 'no';
    const stream = isPlain ? createReadStream(file) : await withFilms(file, backupFilms(backups));
    return new Response(Readable.toWeb(stream) as ReadableStream, {
      headers: {
        ...{ 'content-type': 'application/zip', 'cache-control': 'no-store' },
        'content-disposition': `attachment; filename="${found.name}"`,
      },
    });
  },
);
