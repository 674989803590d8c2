import path from 'node:path';
import { DatabaseRefused } from '../databaseRefused';
import { filmFile } from './filmFile';
import { isFilmLike } from './isFilmLike';

// ISO/IEC 14496-12 (from memory): a length, then "ftyp"; RFC 8794 (from memory): EBML begins 1A 45 DF A3.
test.each([
  ['mp4', Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypisom')])],
  ['webm', Buffer.from([0x1a, 0x45, 0xdf, 0xa3, 1, 2])],
  ['ogg', Buffer.from('OggS\0\u0002')],
])('%s may be a film', (_, head) => {
  expect(isFilmLike(head)).toBe(true);
});

test.each([
  '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
  '  \n<!doctype html><script>1</script>',
  '\ufeff<html>',
  '%PDF-1.7',
  'PK\u0003\u0004 a zip',
  'MZ an executable',
  '#!/bin/sh',
  '{"a": 1}',
])('what begins with %j is none, whatever it is called', text => {
  expect(isFilmLike(Buffer.from(text))).toBe(false);
});

test('a film lies in its folder, and no id names anything else', () => {
  expect(filmFile('/films', 'a1_-B')).toBe(path.join('/films', 'a1_-B'));
  for (const id of ['', '..', '../yard.db', 'a/b', '-a', 'a'.repeat(81)])
    expect(() => filmFile('/films', id)).toThrow(DatabaseRefused);
});
