import { createHash } from 'node:crypto';
import { fileDigest } from './fileDigest';

const go = new AbortController().signal;

test('the digest of a file is that of its bytes, however long it is', async () => {
  // FIPS 180-4, example of "abc", as base64.
  expect(await fileDigest(new Blob(['abc']), go)).toBe('sha-256=:ungWv48Bz+pBQUDeXa4iI7ADYaOWF3qctBD/YfIAFa0=:');
  const long = Buffer.alloc(9 * 1024 ** 2, 'roan');
  const shares: number[] = [];
  const digest = await fileDigest(new Blob([long]), go, share => shares.push(share));
  expect(digest).toBe(`sha-256=:${createHash('sha256').update(long).digest('base64')}:`);
  expect(shares.at(-1)).toBe(1);
});

test('it can be stopped', async () => {
  const stop = new AbortController();
  stop.abort();
  await expect(fileDigest(new Blob(['abc']), stop.signal)).rejects.toThrow();
});
