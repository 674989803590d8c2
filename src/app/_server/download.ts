import 'server-only';

/** A file to keep, under a name that every system takes. */
export function download(body: string | Uint8Array<ArrayBuffer>, name: string, ending: string, type: string): Response {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\w -]+/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase();
  return new Response(body, {
    headers: {
      'content-type': typeof body === 'string' ? `${type}; charset=utf-8` : type,
      'content-disposition': `attachment; filename="${plain || 'layout'}${ending}"`,
    },
  });
}
