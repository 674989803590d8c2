import { answering, problemAnswer } from '@/app/_server/answering';
import { createReadStream } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { dataFolders } from '@/app/_server/dataFolders';
import { listBackups } from '@/data/archive/backups';

/** One of the backups in the data folder. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ name: string }> }) => {
  const { name } = await params;
  const { backups } = dataFolders();
  const found = listBackups(backups).find(backup => backup.name === name);
  if (!found) return problemAnswer(404, 'This backup is not in the data folder any more.');
  const stream = Readable.toWeb(createReadStream(path.join(backups, found.name))) as ReadableStream;
  return new Response(stream, {
    headers: {
      ...{ 'content-type': 'application/zip', 'content-length': String(found.sizeBytes) },
      'content-disposition': `attachment; filename="${found.name}"`,
    },
  });
});
