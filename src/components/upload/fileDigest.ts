import { sha256 } from '@noble/hashes/sha2';

const PIECE_BYTES = 4 * 1024 ** 2;

/**
 * The SHA-256 of a file as a Content-Digest (RFC 9530), read piece by piece so that no more of it is held.
 * @param progress - told which share was read
 * @throws {DOMException} where it was stopped, or the file cannot be read any more
 */
export async function fileDigest(
  file: Blob,
  stop: AbortSignal,
  progress: (share: number) => void = () => undefined,
): Promise<string> {
  const hash = sha256.create();
  for (let start = 0; start < file.size; start += PIECE_BYTES) {
    stop.throwIfAborted();
    hash.update(new Uint8Array(await file.slice(start, start + PIECE_BYTES).arrayBuffer()));
    progress(Math.min(1, (start + PIECE_BYTES) / file.size));
  }
  return `sha-256=:${btoa(String.fromCharCode(...hash.digest()))}:`;
}
