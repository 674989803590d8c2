import type { Readable } from 'node:stream';
import yauzl from 'yauzl';

/** A zip file on the disk, of which nothing is unpacked until it is asked for. */
export type OpenZip = {
  /** How long each of its files is unpacked, by name. */
  sizes: ReadonlyMap<string, number>;
  /** @throws where the file does not unpack to what it announced */
  stream: (name: string) => Promise<Readable>;
  close: () => void;
};

/** More than any archive of Roan has, and few enough to be held. */
const MOST_FILES = 200_000;

/**
 * Opens a zip file. What it announces of its sizes is held to while it is unpacked.
 * @throws where it is none, is damaged, or names a file twice or by a way out of its folder
 */
export async function openZip(file: string): Promise<OpenZip> {
  const zip = await new Promise<yauzl.ZipFile>((resolve, reject) =>
    yauzl.open(
      file,
      { lazyEntries: true, autoClose: false, validateEntrySizes: true, strictFileNames: true },
      (error, opened) => (error ? reject(error) : resolve(opened)),
    ),
  );
  try {
    const entries = await entriesOf(zip);
    return {
      sizes: new Map([...entries].map(([name, { uncompressedSize }]) => [name, uncompressedSize])),
      stream: name =>
        new Promise((resolve, reject) => {
          const entry = entries.get(name);
          if (!entry) return reject(new Error(`no ${name}`));
          zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream)));
        }),
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

function entriesOf(zip: yauzl.ZipFile): Promise<Map<string, yauzl.Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, yauzl.Entry>();
    zip.on('error', reject);
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: yauzl.Entry) => {
      if (entries.has(entry.fileName) || entries.size >= MOST_FILES)
        return reject(new Error(`${entry.fileName} is there twice, or there are too many`));
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}
