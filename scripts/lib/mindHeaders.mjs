/**
 * What only this server knows is said by it alone: where a request comes from, and which page it asks for. Of a server before
 * this one that is believed where ROAN_TRUST_PROXY says so.
 */
export function mindHeaders(request) {
  delete request.headers['x-roan-page'];
  const isTrusted = process.env.ROAN_TRUST_PROXY === '1';
  const told = String(request.headers['x-forwarded-for'] ?? '')
    .split(',')
    .at(-1)
    .trim();
  request.headers['x-roan-address'] = isTrusted && told !== '' ? told : (request.socket.remoteAddress ?? 'here');
  if (isTrusted) return;
  for (const name of ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-port', 'x-forwarded-proto'])
    delete request.headers[name];
  if (process.env.ROAN_NETWORK === '1') request.headers['x-forwarded-proto'] = 'https';
}
