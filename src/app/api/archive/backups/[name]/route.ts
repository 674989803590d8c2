import { createReadStream } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { dataFolders } from '@/app/_server/dataFolders';
import { listBackups } from '@/data/archive/backups';

/** One of the backups in the data folder. */
export async function GET(_: Request, { params }: { params: Promise<{ name: string }> }) {
  const { name } = await params;
  const { backups } = dataFolders();
  const found = listBackups(backups).find(backup => backup.name === name);
  if (!found) return Response.json({ problem: 'This backup is not in the data folder any more.' }, { status: 404 });
  const stream = Readable.toWeb(createReadStream(path.join(backups, found.name))) as ReadableStream;
  return new Response(stream, {
    headers: {
      ...{ 'content-type': 'application/zip', 'content-length': String(found.sizeBytes) },
      'content-disposition': `attachment; filename="${found.name}"`,
    },
  });
}
