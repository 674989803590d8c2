/** One thing that happened as a line of JSON, for whatever collects what Roan writes. Nothing of a person is in it. */
export function logLine(what, told = {}) {
  return JSON.stringify({ at: new Date().toISOString(), what, ...told });
}

/** What names a person, a yard or a row, or lets somebody in: ids, tokens, names of files. */
const NAMES = /^(?:[0-9a-f]{8}-[0-9a-f-]{27}|[A-Za-z0-9_-]{20,}|.*[%.~@].*)$/;

/** An address without what stands for somebody or something of a yard: "/ride/lessons/:id/run". */
export function plainPath(url) {
  const path = (url ?? '').split(/[?#]/)[0];
  if (path.startsWith('/_next/')) return '/_next/…';
  return path
    .split('/')
    .map(part => (NAMES.test(part) ? ':id' : part))
    .join('/');
}

/** Writes a line for each answer (ROAN_LOG=requests): what was asked, how it went, how long it took; never by whom. */
export function logAnswers(request, response) {
  if (process.env.ROAN_LOG !== 'requests') return;
  const startedAt = performance.now();
  const { method, url } = request;
  response.once('close', () => {
    const ms = Math.round(performance.now() - startedAt);
    console.error(logLine('answer', { method, path: plainPath(url), status: response.statusCode, ms }));
  });
}
