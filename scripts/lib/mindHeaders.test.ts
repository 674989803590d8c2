import { mindHeaders } from './mindHeaders.mjs';

const sent = () => ({
  headers: {
    host: 'yard.example',
    'x-roan-page': '/evil',
    'x-roan-address': '6.6.6.6',
    'x-forwarded-for': '1.1.1.1, 10.0.0.7',
    'x-forwarded-proto': 'https',
    'x-forwarded-host': 'evil.example',
    forwarded: 'for=1.1.1.1',
  } as Record<string, string | undefined>,
  socket: { remoteAddress: '127.0.0.1' },
});

afterEach(() => {
  delete process.env.ROAN_TRUST_PROXY;
  delete process.env.ROAN_NETWORK;
});

test('what a sender says of itself is taken off: where it comes from is what the socket says', () => {
  const request = sent();
  mindHeaders(request);
  expect(request.headers).toEqual({ host: 'yard.example', 'x-roan-address': '127.0.0.1' });
});

test('over HTTPS of its own the server says so itself', () => {
  process.env.ROAN_NETWORK = '1';
  const request = sent();
  mindHeaders(request);
  expect(request.headers['x-forwarded-proto']).toBe('https');
  expect(request.headers['x-forwarded-host']).toBeUndefined();
});

test('a trusted server before it is believed: the last address that it named, and how it was asked', () => {
  process.env.ROAN_TRUST_PROXY = '1';
  const request = sent();
  mindHeaders(request);
  // The last entry is what that server saw itself; the ones before it anybody may have written.
  expect(request.headers['x-roan-address']).toBe('10.0.0.7');
  expect(request.headers['x-forwarded-proto']).toBe('https');
  expect(request.headers['x-roan-page']).toBeUndefined();
});
