import { logLine, plainPath } from './logLine.mjs';

test('an address is told without what stands for somebody', () => {
  expect(plainPath('/ride/lessons/59636642-2ee8-4db8-a0e3-1b6b407745b9/run?write=1')).toBe('/ride/lessons/:id/run');
  expect(plainPath('/s/Zm9vYmFyYmF6cXV4cXV1eGZvbw?pair=ode')).toBe('/s/:id');
  expect(plainPath('/api/archive/backups/roan-000001-20260601T120000Z.zip')).toBe('/api/archive/backups/:id');
  expect(plainPath('/yard/people/Ode%20Quillan')).toBe('/yard/people/:id');
  expect(plainPath('/_next/static/chunks/abc.js')).toBe('/_next/…');
  expect(plainPath('/api/record')).toBe('/api/record');
  expect(plainPath(undefined)).toBe('');
});

test('what happened is a line of JSON with its time', () => {
  const line = logLine('answer', { status: 200, words: 'two\nlines' });
  expect(line).not.toContain('\n');
  const { at, ...told } = JSON.parse(line) as { at: string };
  expect(told).toEqual({ what: 'answer', status: 200, words: 'two\nlines' });
  expect(Number.isNaN(Date.parse(at))).toBe(false);
});
