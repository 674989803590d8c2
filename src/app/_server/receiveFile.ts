import 'server-only';
import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { pipeline } from 'node:stream/promises';
import { DatabaseRefused } from '@/data/databaseRefused';
import { sizeWords } from '@/components/sizeWords';

export type ReceivedFile = { file: string; sizeBytes: number; sha256: string };

/**
 * Writes a body to a file as it comes, and compares what arrived with what was announced: its length, and its hash where the sender
 * says it (Content-Digest, RFC 9530). Nothing is left behind where it fails.
 * @param what - what a person calls it: "film", "archive"
 * @throws {DatabaseRefused} with a sentence: empty, too large, cut off, or not what was sent
 */
export async function receiveFile(
  request: Request,
  { folder, mostBytes, what }: { folder: string; mostBytes: number; what: string },
): Promise<ReceivedFile> {
  const announced = Number(request.headers.get('content-length') ?? NaN);
  if (announced > mostBytes) throw tooLarge(what, mostBytes);
  if (!request.body) throw new DatabaseRefused(`The ${what} is empty.`);
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, `${randomUUID()}.part`);
  try {
    const { sizeBytes, hash } = await write(request.body, file, mostBytes, what);
    if (sizeBytes === 0) throw new DatabaseRefused(`The ${what} is empty.`);
    if (Number.isFinite(announced) && announced !== sizeBytes)
      throw new DatabaseRefused(
        `Only ${sizeWords(sizeBytes)} of ${sizeWords(announced)} of the ${what} arrived: send it again.`,
      );
    const told = digestOf(request.headers.get('content-digest'));
    if (told !== null && told !== hash.toString('base64'))
      throw new DatabaseRefused(`The ${what} did not arrive as it was sent: send it again.`);
    return { file, sizeBytes, sha256: hash.toString('hex') };
  } catch (error) {
    rmSync(file, { force: true });
    // A sender that goes away in the middle is told nothing any more, and is no fault of Roan's.
    if (request.signal.aborted) throw new DatabaseRefused(`The ${what} was cut off on its way: send it again.`);
    throw error;
  }
}

const tooLarge = (what: string, mostBytes: number) =>
  new DatabaseRefused(`This ${what} is larger than ${sizeWords(mostBytes)}: Roan takes none so large.`);

async function write(body: ReadableStream<Uint8Array>, file: string, mostBytes: number, what: string) {
  const hash = createHash('sha256');
  let sizeBytes = 0;
  const measure = new Transform({
    transform(chunk: Buffer, _, done) {
      sizeBytes += chunk.length;
      hash.update(chunk);
      done(sizeBytes > mostBytes ? tooLarge(what, mostBytes) : null, chunk);
    },
  });
  await pipeline(Readable.fromWeb(body as WebStream<Uint8Array>), measure, createWriteStream(file, { flags: 'wx' }));
  return { sizeBytes, hash: hash.digest() };
}

/** The SHA-256 of a Content-Digest, as base64; null where it says none. */
function digestOf(header: string | null): string | null {
  return /sha-256=:([A-Za-z0-9+/=]+):/.exec(header ?? '')?.[1] ?? null;
}
