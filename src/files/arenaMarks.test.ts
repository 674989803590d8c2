import { ArenaMarks, NO_MARKS, readArenaMarks } from './arenaMarks';

const PATCH = { id: 'p', at: { xM: 3, yM: 4 }, radiusM: 2, words: 'deep' };

test('nothing stored is nothing marked, and what is marked comes back', () => {
  expect(readArenaMarks({})).toEqual(NO_MARKS);
  expect(readArenaMarks(null)).toEqual(NO_MARKS);
  const marks = {
    entrance: { xM: 0, yM: 5 },
    fall: { facingDeg: 270, percent: 2 },
    homeFacingDeg: 0,
    patches: [PATCH],
    place: { latDeg: 52.1, lonDeg: -1.5, bearingDeg: 20 },
    outline: [
      { xM: 0, yM: 0 },
      { xM: 20, yM: 0 },
      { xM: 12, yM: 40 },
      { xM: 0, yM: 40 },
    ],
    ownLetters: [{ letter: 'Q', at: { xM: 0, yM: 9 } }],
    standing: [{ kind: 'pillar' as const, name: null, at: { xM: 8, yM: 20 }, radiusM: 0.3 }],
  };
  expect(readArenaMarks(JSON.parse(JSON.stringify(marks)))).toEqual(marks);
});

test.each([
  ['a facing past a whole turn', { homeFacingDeg: 360 }],
  ['ground that falls off a cliff', { fall: { facingDeg: 0, percent: 45 } }],
  ['level ground that falls', { fall: { facingDeg: 0, percent: 0 } }],
  ['a patch without words', { patches: [{ ...PATCH, words: ' ' }] }],
  ['a patch far off the sand', { patches: [{ ...PATCH, at: { xM: 900, yM: 4 } }] }],
  ['a key nobody knows', { puddle: true }],
  [
    'corners that go round clockwise',
    {
      outline: [
        { xM: 0, yM: 0 },
        { xM: 0, yM: 40 },
        { xM: 20, yM: 40 },
      ],
    },
  ],
  [
    'sides that cross',
    {
      outline: [
        { xM: 0, yM: 0 },
        { xM: 20, yM: 30 },
        { xM: 20, yM: 0 },
        { xM: 0, yM: 30 },
      ],
    },
  ],
  ['a letter twice', { ownLetters: [1, 2].map(yM => ({ letter: 'Q', at: { xM: 0, yM } })) }],
  ['a pillar of nothing', { standing: [{ kind: 'pillar', name: null, at: { xM: 3, yM: 4 }, radiusM: 0 }] }],
])('%s is refused', (_, marks) => expect(ArenaMarks.safeParse(marks).success).toBe(false));
