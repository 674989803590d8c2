import { promisify } from 'node:util';
import { gzip, gzipSync } from 'node:zlib';
import { EVERY_ANSWER, ROUTE_ANSWER } from './answerHeaders.mjs';

const gzipped = promisify(gzip);

/** What is longer is not what a thumb tells; the route says what is wrong with it. */
const MOST_BYTES = 512 * 1024;
/** Shorter answers are not worth a packing. */
const PACKED_FROM_BYTES = 1400;
/** Up to here packing takes less than waiting for one of the few helpers of the platform, which archives and pages keep busy. */
const PACKED_AT_ONCE_BYTES = 64 * 1024;

/**
 * Whether a request is a tap that Roan answers past the framework: an address, and a length that is told and not too much. All else
 * the framework answers, with the same function of the same route.
 */
export function isTap({ method, url, headers }) {
  if (method !== 'POST' || url !== '/api/record' || !globalThis.roanTap) return false;
  const length = Number(headers['content-length'] ?? NaN);
  return Number.isInteger(length) && length <= MOST_BYTES;
}

/** Answers a tap with what the route says of it. A sender that goes away in the middle is told nothing: nothing of it is taken. */
export async function answerTap(request, response) {
  const chunks = [];
  try {
    for await (const chunk of request) chunks.push(chunk);
  } catch {
    return void response.destroy();
  }
  const { host = 'localhost' } = request.headers;
  const handed = { url: `http://${host}${request.url}`, headers: request.headers, body: Buffer.concat(chunks) };
  const told = await globalThis.roanTap(handed).catch(() => null);
  if (told === null) return void response.writeHead(500).end();
  const body = Buffer.from(await told.arrayBuffer());
  for (const { key, value } of [...EVERY_ANSWER, ...ROUTE_ANSWER]) response.setHeader(key, value);
  for (const [name, value] of told.headers) response.setHeader(name, value);
  response.setHeader('vary', 'accept-encoding');
  const isPacked = body.length >= PACKED_FROM_BYTES && /\bgzip\b/.test(request.headers['accept-encoding'] ?? '');
  if (isPacked) response.setHeader('content-encoding', 'gzip');
  const sent = isPacked ? await packed(body) : body;
  response.writeHead(told.status, { 'content-length': sent.length }).end(sent);
}

const packed = async body => (body.length <= PACKED_AT_ONCE_BYTES ? gzipSync(body) : gzipped(body));
