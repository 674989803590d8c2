import 'server-only';
import { z } from 'zod';

const MOST_BYTES = 512 * 1024;

/**
 * Reads and parses the body of a request.
 * @returns what it says, or a sentence that names the first value that is wrong
 */
export async function requestBody<Shape extends z.ZodType>(
  request: Request,
  shape: Shape,
): Promise<{ ok: true; body: z.output<Shape> } | { ok: false; problem: string }> {
  const text = await request.text();
  if (text.length > MOST_BYTES) return { ok: false, problem: 'That is more than Roan takes at once.' };
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, problem: 'The request is not JSON.' };
  }
  const parsed = shape.safeParse(json);
  if (parsed.success) return { ok: true, body: parsed.data };
  const issue = parsed.error.issues[0];
  return { ok: false, problem: `${issue?.path.join('.') || 'The request'}: ${issue?.message ?? 'not understood'}` };
}
