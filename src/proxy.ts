import { NextResponse, type NextRequest } from 'next/server';

const READ_ONLY = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Another site open in the same browser may not write here: browsers name where a request comes from. */
export function proxy(request: NextRequest) {
  const foreign = request.headers.get('sec-fetch-site') === 'cross-site';
  if (foreign && !READ_ONLY.has(request.method))
    return NextResponse.json({ problem: 'Another site may not change this yard.' }, { status: 403 });
  return NextResponse.next();
}
