import { NextResponse, type NextRequest } from 'next/server';
import { contentPolicy } from './app/_server/guards/contentPolicy';
import { ownNames } from './app/_server/guards/hosts';
import { requestFault } from './app/_server/guards/requestFault';

const names = ownNames();
const isBuilt = process.env.NODE_ENV === 'production';

/** Before every page and action: whose host and whose write it is, and what the page may load and run. */
export function proxy(request: NextRequest) {
  const fault = requestFault(request, names);
  if (fault) return NextResponse.json({ problem: fault.problem }, { status: fault.status });
  // While one edits, the framework runs scripts of its own in the page.
  const headers = new Headers(request.headers);
  headers.set('x-roan-page', `${request.nextUrl.pathname}${request.nextUrl.search}`);
  if (!isBuilt) return NextResponse.next({ request: { headers } });
  const policy = contentPolicy(Buffer.from(crypto.randomUUID()).toString('base64'));
  // The framework reads from the request which number its scripts have to carry.
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

/**
 * Films and archives do not come through here, since what does is cut at 10 MB: their routes look at the request themselves, as
 * every route does.
 */
export const config = { matcher: ['/((?!_next/static|_next/image|api/).*)'] };
