import { byteRange } from './byteRange';

// RFC 9110, 14.1.2 and 14.2 (its own examples, for a representation of 10,000 bytes).
test.each([
  [null, 10_000, { start: 0, end: 9999, isPart: false }],
  ['bytes=0-499', 10_000, { start: 0, end: 499, isPart: true }],
  ['bytes=500-999', 10_000, { start: 500, end: 999, isPart: true }],
  ['bytes=-500', 10_000, { start: 9500, end: 9999, isPart: true }],
  ['bytes=9500-', 10_000, { start: 9500, end: 9999, isPart: true }],
  ['bytes=9500-20000', 10_000, { start: 9500, end: 9999, isPart: true }],
  ['bytes=-20000', 10_000, { start: 0, end: 9999, isPart: true }],
  ['bytes=10000-', 10_000, null],
  ['bytes=-0', 10_000, null],
  ['bytes=0-', 0, null],
  // A range that is none, and units or several parts that this server does not know, are the whole.
  ['bytes=9-5', 10_000, { start: 0, end: 9999, isPart: false }],
  ['bytes=0-0,-1', 10_000, { start: 0, end: 9999, isPart: false }],
  ['bytes=-', 10_000, { start: 0, end: 9999, isPart: false }],
  ['strides=1-2', 10_000, { start: 0, end: 9999, isPart: false }],
])('%s of %d bytes', (header, size, range) => expect(byteRange(header, size)).toEqual(range));
