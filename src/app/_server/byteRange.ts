export type ByteRange = { start: number; end: number };

/**
 * The part of a file that a request asks for (RFC 9110, 14): "bytes=0-499", "bytes=500-" or the last so many, "bytes=-500".
 * @returns the whole where nothing is asked for, or something that is not understood or has several parts, as the standard lets a
 *   server do; `null` where the part lies behind the file's end
 */
export function byteRange(header: string | null, sizeBytes: number): (ByteRange & { isPart: boolean }) | null {
  const whole = { start: 0, end: sizeBytes - 1, isPart: false };
  const [, from, to] = /^bytes=(\d*)-(\d*)$/i.exec(header?.trim() ?? '') ?? [];
  if (from === undefined || to === undefined || (from === '' && to === '')) return whole;
  if (from === '') {
    const last = Number(to);
    return last === 0 || sizeBytes === 0 ? null : { ...whole, start: Math.max(0, sizeBytes - last), isPart: true };
  }
  const start = Number(from);
  const end = to === '' ? sizeBytes - 1 : Math.min(sizeBytes - 1, Number(to));
  // An end before its start is no range at all.
  if (to !== '' && Number(to) < start) return whole;
  return start >= sizeBytes ? null : { start, end, isPart: true };
}
