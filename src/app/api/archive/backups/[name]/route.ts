import { createReadStream } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { yardContext } from '@/app/_server/yardContext';
import { listYards } from '@/data/queries/yards';
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
    const { db } = await yardContext();
    // A backup is of the whole store: of several yards none is told what the others have.
    if ((await listYards(db)).length > 1)
      return problemAnswer(
        403,
        'A backup is of all yards here: whoever runs Roan’s server has it. Get the yard’s archive.',
      );
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
