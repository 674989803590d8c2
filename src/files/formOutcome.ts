import type { z } from 'zod';

/**
 * What an action answers to a form: done, or what is wrong and where. Nothing was written unless `ok`. `touches`: what it
 * would touch, to be looked at before it is sent again as seen.
 */
export type FormOutcome<Extra = object> =
  | ({ ok: true } & Extra)
  | { ok: false; fields: Record<string, string>; problem: string | null; touches?: readonly string[] };

/** The faults of a form by field, the first of each. */
export function formFaults(error: z.ZodError): { ok: false; fields: Record<string, string>; problem: null } {
  const fields: Record<string, string> = {};
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message;
  return { ok: false, fields, problem: null };
}

/** What goes with a form: the thing that it changes, as it was when it was opened (JSON), and a name for this save. */
export type FormSent = { opened: string | null; saveId: string };
