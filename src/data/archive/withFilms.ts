import { createReadStream } from 'node:fs';
import path from 'node:path';
import type { Readable } from 'node:stream';
import yazl from 'yazl';
import { filmEntry } from './manifest';
import { readArchive } from './readArchive';
import { addFilms, streamOf } from './writeArchive';
import { openZip } from './zipFile';

/**
 * A backup as one archive that needs nothing beside it: all that is in it, and the films that it names.
 * @throws {DatabaseRefused} where it cannot be read
 */
export async function withFilms(file: string, filmFolder: string): Promise<Readable> {
  const archive = await readArchive(file, [filmFolder]);
  const own = await openZip(file);
  const beside = archive.films.filter(({ hash, open }) => open !== null && !own.sizes.has(filmEntry(hash)));
  archive.close();
  // One of an older Roan has its films in it under other names.
  if (beside.length === 0 || archive.manifest.version < 4) {
    own.close();
    return createReadStream(file);
  }
  const zip = new yazl.ZipFile();
  for (const name of own.sizes.keys())
    zip.addReadStreamLazy(name, ready => {
      own
        .stream(name)
        .then(stream => ready(null, stream))
        .catch((error: unknown) => ready(error, null as never));
    });
  addFilms(
    zip,
    beside.map(({ hash, sizeBytes }) => ({ hash, sizeBytes, file: path.join(filmFolder, hash) })),
  );
  return streamOf(zip).once('close', own.close);
}
