import type { FilmMark } from '@/core';
import { FilmMarkOnPaper, filmMarkRow, readFilmMark } from './filmMarkRow';

const MARKS: FilmMark[] = [
  { kind: 'gait', ridden: 'running-walk' },
  { kind: 'gait', ridden: 'halt' },
  { kind: 'asked', gait: 'canter' },
  { kind: 'head', height: 'as wanted' },
  { kind: 'lead', lead: 'cross-canter' },
  { kind: 'break' },
  { kind: 'stride' },
  { kind: 'note', words: 'Look up sooner' },
];

it.each(MARKS)('reads $kind back as it was kept', mark => {
  expect(readFilmMark(filmMarkRow(mark))).toEqual(mark);
});

it('does not read what nobody knows, and takes nothing that says too much or nothing', () => {
  expect(readFilmMark({ kind: 'gait', words: 'gallop' })).toBeNull();
  expect(readFilmMark({ kind: 'head', words: '' })).toBeNull();
  const refused = [
    { kind: 'note', words: ' ' },
    { kind: 'note', words: 'x'.repeat(501) },
    { kind: 'break', words: 'x' },
    { kind: 'jump' },
    null,
  ];
  for (const sent of refused) expect(FilmMarkOnPaper.safeParse(sent).success).toBe(false);
});
