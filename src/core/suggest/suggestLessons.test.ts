import { seededYard } from './testSeededYard';
import { suggestFrom } from './suggestFrom';
import { broken } from './testBroken';
import { testPair, testPasses, testStep } from './testPairs';

/** Yards by chance; docs/suggestions.md is made of 500 of them. */
const YARDS = 25;

test('nothing that is suggested breaks a limit or is cautioned', () => {
  let made = 0;
  for (let seed = 1; seed <= YARDS; seed += 1) {
    const yard = seededYard(seed);
    const [answer] = suggestFrom(yard);
    for (const suggestion of answer!.suggestions) {
      made += 1;
      expect([seed, suggestion.exercise, ...broken(suggestion, yard)]).toEqual([seed, suggestion.exercise]);
    }
  }
  expect(made).toBeGreaterThan(YARDS);
});

test('nothing is suggested from too little, and what is missing is said', () => {
  const yard = seededYard(1);
  const pair = testPair({ ridden: [testStep('trot-poles', 0, yard.day - 3, testPasses([3, 3], [4, 4]))] });
  const wish = { pairIds: ['p'], refused: [], most: 5 };
  const ground = { ...yard.ground, horses: [pair.horse] };
  const [answer] = suggestFrom({ ...yard, pairs: [pair], wishes: [wish], ground });
  expect(answer).toMatchObject({
    suggestions: [],
    tooLittle: expect.stringMatching(/^7 passes on 1 day so far/) as string,
  });
  const enough = [...pair.ridden, testStep('trot-poles', 0, yard.day - 2, testPasses([1, 1], [0, 0]))];
  const [now] = suggestFrom({ ...yard, minutes: 60, pairs: [{ ...pair, ridden: enough }], wishes: [wish], ground });
  expect(now!.tooLittle).toBeNull();
  expect(now!.suggestions.length).toBeGreaterThanOrEqual(3);
  expect(now!.suggestions.length).toBeLessThanOrEqual(5);
  // Not one sort of work alone, and each exercise once.
  expect(new Set(now!.suggestions.map(({ kind }) => kind)).size).toBeGreaterThan(1);
  expect(new Set(now!.suggestions.map(({ exercise }) => exercise)).size).toBe(now!.suggestions.length);
});

test('what stands on the sand already is ridden where it stands, and nothing is carried', () => {
  const yard = seededYard(1);
  const pair = testPair({
    ridden: [
      testStep('trot-poles', 0, yard.day - 3, testPasses([6, 6], [6, 6])),
      testStep('circle', 0, yard.day - 2, testPasses([2, 2], [2, 2]), { kind: 'flat' }),
    ],
  });
  const ground = {
    ...yard.ground,
    kit: null,
    arena: { widthM: 20, lengthM: 60, letters: '20x60' as const },
    horses: [pair.horse],
  };
  const wish = { pairIds: ['p'], refused: [], most: 5 };
  const asked = { ...yard, minutes: 60, pairs: [pair], wishes: [wish], ground };
  const found = (of: ReturnType<typeof suggestFrom>) => of[0]!.suggestions.find(({ kind }) => kind === 'poles')!;
  const anew = found(suggestFrom(asked));
  const own = [{ id: 'l', name: 'The poles', plan: anew.series.plan!, stands: true }];
  const standing = found(suggestFrom({ ...asked, own, standing: anew.series.resolved.layout.items }));
  expect(anew.series).toMatchObject({ layoutId: null });
  expect(anew.series.pieces).toBeGreaterThan(0);
  expect(standing).toMatchObject({ exercise: anew.exercise, series: { layoutId: 'l', pieces: 0, plan: null } });
  expect(standing.score).toBeGreaterThan(anew.score);
});

test('what fits one horse of a group and not the other is told, and weighs less', () => {
  const yard = seededYard(1);
  const ridden = [
    testStep('trot-poles', 0, yard.day - 3, testPasses([6, 6], [6, 6])),
    testStep('circle', 0, yard.day - 2, testPasses([2, 2], [2, 2]), { kind: 'flat' }),
  ];
  const pairs = [1.3, 1.7].map((heightM, index) =>
    testPair({ id: `p${index}`, name: `h${index}`, ridden, horse: { ...testPair().horse, id: `h${index}`, heightM } }),
  );
  const arena = { widthM: 20, lengthM: 60, letters: '20x60' as const };
  const fitOf = (...riding: typeof pairs) => {
    const ground = { ...yard.ground, kit: null, arena, horses: riding.map(({ horse }) => horse) };
    const wishes = [{ pairIds: riding.map(({ id }) => id), refused: [], most: 5 }];
    const [answer] = suggestFrom({ ...yard, minutes: 90, pairs: riding, wishes, ground });
    return answer!.suggestions
      .filter(({ series }) => series.fit.of > 0)
      .map(({ series: { fit }, terms }) => [fit.good / fit.of, terms.find(({ key }) => key === 'fit')!.value] as const);
  };
  for (const [share, value] of fitOf(pairs[0]!)) expect(value).toBe(share);
  expect(fitOf(pairs[0]!).every(([share]) => share === 1)).toBe(true);
  const both = fitOf(...pairs);
  for (const [share, value] of both) expect(value).toBe(share);
  // One spacing cannot suit a pony and a big horse everywhere.
  expect(both.length === 0 || both.some(([share]) => share < 1)).toBe(true);
});
