import 'server-only';
import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { byteRange } from './byteRange';

export type SentFile = { file: string; type: string; hash: string; name?: string };

/** A file from the data folder, whole or the part that is asked for; null where it is not there. */
export function sendFile(request: Request, { file, type, hash, name }: SentFile): Response | null {
  const size = statSync(file, { throwIfNoEntry: false })?.size;
  if (size === undefined) return null;
  const tag = `"${hash}"`;
  const headers: Record<string, string> = {
    ...{ 'content-type': type, 'accept-ranges': 'bytes', etag: tag, 'cache-control': 'private, no-cache' },
    ...(name !== undefined && { 'content-disposition': `attachment; filename="${name}"` }),
  };
  if (request.headers.get('if-none-match') === tag) return new Response(null, { status: 304, headers });
  // A part is of the file that the asker has the beginning of, or it is the whole.
  const condition = request.headers.get('if-range');
  const range = byteRange(condition === null || condition === tag ? request.headers.get('range') : null, size);
  if (!range) return new Response(null, { status: 416, headers: { ...headers, 'content-range': `bytes */${size}` } });
  const { start, end, isPart } = range;
  headers['content-length'] = String(end - start + 1);
  if (isPart) headers['content-range'] = `bytes ${start}-${end}/${size}`;
  const body = size === 0 ? null : (Readable.toWeb(createReadStream(file, { start, end })) as ReadableStream);
  return new Response(body, { status: isPart ? 206 : 200, headers });
}
