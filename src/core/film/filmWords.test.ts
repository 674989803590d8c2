import type { FilmMark } from './filmMark';
import type { FilmReading } from './filmReading';
import { filmMarkWords, filmSentences, filmTime } from './filmWords';

const NBSP = '\u00a0';
const told = (changes: Partial<FilmReading>) =>
  filmSentences({ stretches: [], asked: [], heads: [], leads: [], breaksS: [], strides: [], ...changes }).map(one =>
    one.replaceAll(NBSP, ' '),
  );

test('a time is told from its second on, whatever rounding left of it', () => {
  expect([0, 59.9, 60, 65.2, 119.9999999].map(filmTime)).toEqual(['0:00', '0:59', '1:00', '1:05', '2:00']);
});

test.each([
  [{ kind: 'gait', ridden: 'running-walk' }, 'running walk'],
  [{ kind: 'asked', gait: 'canter' }, 'canter asked'],
  [{ kind: 'head', height: 'as wanted' }, 'head as wanted'],
  [{ kind: 'lead', lead: 'left' }, 'left lead'],
  [{ kind: 'lead', lead: 'cross-canter' }, 'cross-canter'],
  [{ kind: 'break' }, 'break of gait'],
  [{ kind: 'stride' }, 'stride'],
  [{ kind: 'note', words: 'look here' }, 'look here'],
] as [FilmMark, string][])('%j is told as %s', (mark, words) => expect(filmMarkWords(mark)).toBe(words));

test('a gait as it was asked, with what it slipped into', () => {
  expect(told({ asked: [{ asked: 'trot', heldS: 12, slipped: [] }] })).toEqual(['Trot as it was asked: all of 12 s.']);
  const slipped = [
    { into: 'pace' as const, heldS: 8, firstS: 20 },
    { into: 'trot' as const, heldS: 4, firstS: 65 },
  ];
  expect(told({ asked: [{ asked: 'running-walk', heldS: 30, slipped }] })).toEqual([
    'Running walk as it was asked: 30 s of 42 s; pace 8 s, first at 0:20; trot 4 s, first at 1:05.',
  ]);
});

test('where nothing was asked what was ridden is told by itself, each gait once', () => {
  const stretch = (fromS: number, toS: number, ridden: 'walk' | 'trot' | null) => ({ fromS, toS, ridden, asked: null });
  const stretches = [stretch(0, 5, null), stretch(5, 20, 'walk'), stretch(20, 30, 'trot'), stretch(30, 40, 'walk')];
  expect(told({ stretches })).toEqual(['Ridden: walk 25 s, trot 10 s.']);
  expect(told({ stretches: [stretch(0, 5, null)] })).toEqual([]);
  expect(told({ stretches, asked: [{ asked: 'walk', heldS: 25, slipped: [] }] })).toHaveLength(1);
});

test('heads, leads, breaks and tempo', () => {
  const head = (low: number, wanted: number, high: number) =>
    told({ heads: [{ gait: 'trot', heldS: { low, 'as wanted': wanted, high } }] })[0]!;
  expect(head(0, 12, 0)).toMatch(/^Head in trot.*: as wanted for 12 s\.$/);
  expect(head(2, 12, 6)).toMatch(/: too high for 6 s, too low for 2 s of 20 s\.$/);
  expect(
    told({
      leads: [
        { atS: 43, lead: 'left' },
        { atS: 70, lead: 'right' },
      ],
    }),
  ).toEqual(['Leads: left lead at 0:43, right lead at 1:10.']);
  expect(told({ breaksS: [52] })).toEqual(['A break of gait: at 0:52.']);
  expect(told({ breaksS: [52, 61] })).toEqual(['2 breaks of gait: at 0:52, 1:01.']);
  const tempo = { strides: 12, perSecond: 1.667, offBy: 0.1, changeShare: 0.1, changeOffBy: 0.02 };
  const strides = (ridden: 'canter' | null, change: 'quickened' | 'too few to tell') =>
    told({ strides: [{ fromS: 5, ridden, tempo: { ...tempo, change } }] });
  expect(strides('canter', 'quickened')).toEqual(['Canter from 0:05: 12 strides, 1.67 a second, quickened.']);
  expect(strides(null, 'too few to tell')).toEqual(['Strides from 0:05: 12 strides, 1.67 a second.']);
});
