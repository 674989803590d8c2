import { forYard } from '@/components/pageYard';

/** What came of sending something as JSON: an answer, a refusal for good, or nothing that can be relied on. */
export type Posted =
  | { kind: 'answer'; body: Record<string, unknown> }
  | { kind: 'refused'; status: number; problem: string }
  | { kind: 'no-answer'; problem: string };

/** A browser sends at most 64 KiB once its page is closed, of all that is under way together. */
const MOST_KEEPALIVE_BYTES = 60 * 1024;
const MOST_MS = 30_000;
/** Who asks may not, or not now: nothing is wrong with what was sent. */
const LATER = new Set([401, 403, 408, 421, 425, 429]);

/**
 * Sends JSON. A refusal is one only where Roan itself says so in a sentence: what stands between (a portal, a proxy, a server that
 * starts) never makes a device give up what it keeps.
 */
export async function postJson(
  url: string,
  body: unknown,
  { method = 'POST', yard }: { method?: 'POST' | 'PUT'; yard?: string } = {},
): Promise<Posted> {
  const text = JSON.stringify(body);
  const request = { method, headers: { 'content-type': 'application/json', ...forYard(yard) }, body: text };
  try {
    return await answerOf(await send(url, request, new TextEncoder().encode(text).length));
  } catch {
    return { kind: 'no-answer', problem: NO_ANSWER };
  }
}

export const NO_ANSWER = 'The server does not answer. Roan keeps trying.';

async function send(url: string, request: RequestInit, bytes: number): Promise<Response> {
  const patient = { ...request, signal: AbortSignal.timeout(MOST_MS) };
  if (bytes > MOST_KEEPALIVE_BYTES) return fetch(url, patient);
  // Where so much is under way already that this one may not outlive its page, it is sent without that.
  return fetch(url, { ...patient, keepalive: true }).catch(() => fetch(url, patient));
}

async function answerOf(response: Response): Promise<Posted> {
  // The quota of what may outlive a page comes back only when an answer was read to its end.
  const body = (await response.json().catch(() => null)) as Record<string, unknown> | null;
  if (response.ok) return body ? { kind: 'answer', body } : { kind: 'no-answer', problem: NO_ANSWER };
  const problem = typeof body?.problem === 'string' ? body.problem : null;
  const isFinal = response.status >= 400 && response.status < 500 && !LATER.has(response.status);
  if (isFinal && problem !== null) return { kind: 'refused', status: response.status, problem };
  // What is asked for may be there and not be taken now: that is an answer of its own.
  if (response.status === 409 && body) return { kind: 'answer', body };
  return { kind: 'no-answer', problem: problem ?? NO_ANSWER };
}
