import 'server-only';

/** A picture out of a film: it never changes under its address. */
export function sendStill({ mime, bytes }: { mime: string; bytes: Buffer }): Response {
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': mime,
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
