import { KEPT_AT, KEPT_STAMP } from '@/files/keptPages';

/** Whether an answer is the page that was asked for: what was sent on (to the sign-in), refused or went wrong is not. */
export function isKeepable(answer: Pick<Response, 'ok' | 'redirected' | 'type' | 'headers'>): boolean {
  if (!answer.ok || answer.redirected || answer.type === 'opaque' || answer.type === 'opaqueredirect') return false;
  return (answer.headers.get('content-type') ?? '').startsWith('text/html');
}

/** An answer as it is kept, with when that was. Its body is read whole: half a page is none. */
export async function asKept(answer: Response, atMs: number, stamp = ''): Promise<Response> {
  const headers = new Headers(answer.headers);
  headers.set(KEPT_AT, String(atMs));
  headers.set(KEPT_STAMP, stamp);
  return new Response(await answer.blob(), { status: answer.status, headers });
}

/** A kept page as it is shown: it says of itself when it was kept, for the page's own scripts to tell. */
export async function asShown(kept: Response): Promise<Response> {
  const atMs = kept.headers.get(KEPT_AT) ?? '';
  const html = (await kept.text()).replace('<html', `<html data-kept-at="${Number(atMs) || 0}"`);
  return new Response(html, { status: kept.status, headers: kept.headers });
}

/** What a kept page calls itself. */
export function titleOf(html: string): string | null {
  const title = /<title>([^<]*)<\/title>/.exec(html)?.[1];
  return title ? title.replace(/ · Roan$/, '') : null;
}
