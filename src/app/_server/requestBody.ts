import 'server-only';
import { z } from 'zod';

const MOST_BYTES = 512 * 1024;

export type RequestBody<Body> = { ok: true; body: Body } | { ok: false; status: number; problem: string };

/**
 * Reads and parses the body of a request that has to be JSON.
 * @returns what it says, or a status and a sentence that names the first value that is wrong
 */
export async function requestBody<Shape extends z.ZodType>(
  request: Request,
  shape: Shape,
): Promise<RequestBody<z.output<Shape>>> {
  const type = request.headers.get('content-type') ?? '';
  // A form of another site can send plain text without asking; JSON it cannot.
  if (!/^application\/json\s*(;|$)/i.test(type))
    return { ok: false, status: 415, problem: 'This address takes JSON: say content-type: application/json.' };
  const bytes = await bytesUpTo(request, MOST_BYTES);
  if (bytes === null)
    return {
      ok: false,
      status: 413,
      problem: `That is more than Roan takes at once: at most ${MOST_BYTES / 1024} kB.`,
    };
  let json: unknown;
  try {
    json = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return { ok: false, status: 400, problem: 'The request is not JSON.' };
  }
  const parsed = shape.safeParse(json);
  if (parsed.success) return { ok: true, body: parsed.data };
  const issue = parsed.error.issues[0];
  const where = issue?.path.join('.') || 'The request';
  return { ok: false, status: 400, problem: `${where}: ${issue?.message ?? 'not understood'}` };
}

/**
 * The bytes of a body; null where there are more than so many, of which no more is read. What is announced is believed only where
 * it is too much: what comes is counted.
 */
export async function bytesUpTo(request: Request, mostBytes: number): Promise<Uint8Array | null> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return null;
  const chunks: Uint8Array[] = [];
  let length = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const read = await reader?.read();
    if (!read || read.done) return Buffer.concat(chunks);
    length += read.value.length;
    if (length > mostBytes) {
      await reader!.cancel();
      return null;
    }
    chunks.push(read.value);
  }
}
