/** How deep a result has bytes in it: a paper is bytes, an archive a list of texts. */
const DEEPEST = 3;

/**
 * The memory of the bytes in a result, which a worker hands over instead of copying it. Bytes that share their memory with others stay:
 * what is handed over is gone for who had it.
 */
export function wholeBuffers(result: unknown, depth = 0): ArrayBuffer[] {
  if (result instanceof Uint8Array)
    return result.buffer instanceof ArrayBuffer && result.byteLength === result.buffer.byteLength
      ? [result.buffer]
      : [];
  if (typeof result !== 'object' || result === null || depth >= DEEPEST) return [];
  return [...new Set(Object.values(result).flatMap(part => wholeBuffers(part, depth + 1)))];
}
