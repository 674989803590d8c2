import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import sirv from 'sirv';

const STATIC = '.next/static';
const AT = '/_next/static';
/** Smaller ones are one packet anyway. */
const PACKED_FROM_BYTES = 1024;
const YEAR_S = 365 * 24 * 3600;

/** Packs scripts and styles once, at the build, as small as they go; they are sent so to every browser that knows it. */
export async function packStatics(folder = STATIC) {
  const pack = promisify(brotliCompress);
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter(name => /\.(js|css|svg|json)$/.test(name))
    .map(name => path.join(folder, name))
    .filter(file => statSync(file).size >= PACKED_FROM_BYTES);
  await Promise.all(
    files.map(async file => {
      const text = readFileSync(file);
      const params = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: text.length };
      writeFileSync(`${file}.br`, await pack(text, { params }));
    }),
  );
}

/**
 * Answers for what the build left to be sent as it is, packed where it may be; its names change with what is in it, so a browser
 * keeps it.
 * @returns whether it is such a file; others are for the framework
 */
export function staticsFrom(folder = STATIC) {
  const send = sirv(folder, {
    ...{ brotli: true, etag: true, immutable: true, maxAge: YEAR_S },
    setHeaders: response => response.setHeader('x-content-type-options', 'nosniff'),
  });
  return (request, response, otherwise) => {
    const { url } = request;
    if (!url.startsWith(`${AT}/`) || (request.method !== 'GET' && request.method !== 'HEAD')) return false;
    request.url = url.slice(AT.length);
    send(request, response, () => {
      request.url = url;
      otherwise();
    });
    return true;
  };
}
