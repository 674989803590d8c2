import { z } from 'zod';

/** What waits on a device, as a file: to bring it to another device, or to Roan at another address. */
const Waiting = z.strictObject({
  format: z.literal('roan-waiting'),
  version: z.literal(1),
  rows: z
    .array(z.strictObject({ box: z.string().min(1).max(200), event: z.unknown(), yard: z.string().max(60).optional() }))
    .max(20_000),
});

export type WaitingRow = { box: string; event: unknown; yard?: string };
export type ReadWaiting = { ok: true; rows: WaitingRow[] } | { ok: false; problem: string };

export function writeWaiting(rows: readonly WaitingRow[]): string {
  const own = rows.map(({ box, event, yard }) => ({ box, event, ...(yard && { yard }) }));
  return `${JSON.stringify({ format: 'roan-waiting', version: 1, rows: own }, null, 1)}\n`;
}

/** Reads such a file: all of it or nothing, with a sentence that says what is wrong. */
export function readWaiting(text: string): ReadWaiting {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, problem: 'This file is not one of what waits: it is no JSON. Nothing was taken in.' };
  }
  const read = Waiting.safeParse(json);
  if (read.success) return { ok: true, rows: read.data.rows };
  if ((json as { format?: unknown } | null)?.format !== 'roan-waiting')
    return { ok: false, problem: 'This file is not one of what waits on a device of Roan. Nothing was taken in.' };
  const issue = read.error.issues[0]!;
  return { ok: false, problem: `${issue.path.join('.')}: ${issue.message}. Nothing was taken in.` };
}
