import 'server-only';
import { DatabaseRefused } from '@/data/databaseRefused';
import type { FormOutcome } from '@/files/formOutcome';

/** Runs a write for a form; what the database refuses comes back as a sentence, anything else reaches the error page. */
export async function attempt<Extra extends object>(
  action: () => Promise<{ ok: true } & Extra>,
): Promise<FormOutcome<Extra>> {
  try {
    return await action();
  } catch (error) {
    if (error instanceof DatabaseRefused) return { ok: false, fields: {}, problem: error.message };
    throw error;
  }
}
