import 'server-only';
import { NextRequest } from 'next/server';
import { askedBy } from './access/asking';

/** What a server in front of the framework hands over; `body` is all of it. */
type Handed = { url: string; headers: Record<string, string | string[] | undefined>; body: Buffer };

const holder = globalThis as typeof globalThis & { roanTap?: (handed: Handed) => Promise<Response> };

/**
 * Lets the server of Roan answer taps itself (`scripts/lib/taps.mjs`): what the framework does around a route costs as much as all that
 * a tap does in it, and waits between its steps for every page that is being made. It is the route's own function that answers.
 */
export function answerTaps(): void {
  holder.roanTap = async ({ url, headers, body }) => {
    const { POST } = await import('../api/record/route');
    const request = new NextRequest(url, { method: 'POST', headers: asHeaders(headers), body: new Uint8Array(body) });
    return askedBy(request, () => POST(request, {}));
  };
}

function asHeaders(told: Handed['headers']): Headers {
  const headers = new Headers();
  for (const [name, value] of Object.entries(told)) for (const one of [value ?? []].flat()) headers.append(name, one);
  return headers;
}
