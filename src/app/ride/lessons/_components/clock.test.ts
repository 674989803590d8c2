import { clockAfter } from './clock';

test('a stage begins so many minutes after its lesson, over midnight too; no time is none', () => {
  expect(clockAfter('2026-11-28T18:30', 45)).toBe('19:15');
  expect(clockAfter('2026-11-28T23:50', 20)).toBe('00:10');
  expect(clockAfter('', 20)).toBeNull();
});
