import 'server-only';

type Loose = { name?: unknown; code?: unknown; message?: unknown; stack?: unknown; cause?: unknown };

/**
 * Writes down a fault as a line of JSON: what kind it is and where it came up. What was asked of the database has what somebody
 * typed in it, and is left out; so is whose request it was.
 */
export function logFault(error: unknown, says?: string): void {
  const causes: { kind: string; code?: string; message: string; from?: string }[] = [];
  let at = error as Loose | null | undefined;
  for (let depth = 0; typeof at === 'object' && at !== null && depth < 5; at = at.cause as Loose, depth += 1)
    causes.push({
      kind: String(at.name ?? 'Error'),
      ...(at.code !== undefined && { code: String(at.code) }),
      message: withoutValues(String(at.message ?? '')),
      ...(typeof at.stack === 'string' && { from: firstFrame(at.stack) }),
    });
  console.error(JSON.stringify({ at: new Date().toISOString(), what: 'fault', ...(says && { says }), causes }));
}

/** A statement without the values that it was given. */
export function withoutValues(message: string): string {
  return message.replace(/\nparams:[\s\S]*$/, '').slice(0, 500);
}

const firstFrame = (stack: string): string | undefined =>
  stack
    .split('\n')
    .find(line => /^\s+at /.test(line))
    ?.trim();
