import 'server-only';

/** A picture out of the store: it never changes under its address. */
export function sendPicture({ mime, bytes }: { mime: string; bytes: Buffer }): Response {
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': mime,
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
