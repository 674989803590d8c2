import type { TappedMark } from '../record/passMark';
import { seededNormal, seededRandom } from '../statistics/seededRandom';
import { comparedInWords } from './comparedInWords';
import { compareSides, LEAST_COMPARED } from './compareSides';
import { passesOfSide } from './sides';
import { passMaker } from './testPasses';

const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' };
const UNKNOWN = { a: () => null, b: () => null };
const THOUGHT = { a: () => 3.6, b: () => 3.6 };
const WORDS = { format: (lengthM: number) => `${lengthM.toFixed(2)} m`, entryName: (entry: string) => entry };
const NAMES = { a: 'Quill', b: 'Barley' };
const times = (n: number) => Array.from({ length: n }, (_, index) => index);

test('a side is what was chosen: pair, layout, setting, days and rein; what does not count is left out', () => {
  const pass = passMaker();
  const all = [
    pass({ pairId: 'quill', version: 'v1', day: '2026-05-04', rein: 'left' }),
    pass({ pairId: 'quill', version: 'v2', day: '2026-05-05', rein: 'right' }),
    pass({ pairId: 'barley', version: 'v1', day: '2026-05-06', rein: 'left' }),
    pass({ pairId: 'barley', version: 'w1', day: '2026-05-07', rein: 'left' }),
    pass({ pairId: 'barley', version: 'w1', day: '2026-05-07', rein: 'left' }, { kind: 'void' }),
  ];
  const layoutOf = (version: string) => version[0]!;
  const ids = (side: Parameters<typeof passesOfSide>[1]) => passesOfSide(all, side, layoutOf).map(({ id }) => id);
  expect(ids({})).toEqual(['p1', 'p2', 'p3', 'p4']);
  expect(ids({ pairId: 'quill' })).toEqual(['p1', 'p2']);
  expect(ids({ layoutId: 'v' })).toEqual(['p1', 'p2', 'p3']);
  expect(ids({ layoutVersionId: 'v1' })).toEqual(['p1', 'p3']);
  expect(ids({ fromDay: '2026-05-05', untilDay: '2026-05-06' })).toEqual(['p2', 'p3']);
  expect(ids({ pairId: 'quill', rein: 'right' })).toEqual(['p2']);
  expect(ids({ layoutId: 'nowhere' })).toEqual([]);
});

test('of fewer than eight passes on a side nothing is said', () => {
  const pass = passMaker();
  const many = times(40).map(() => pass({}));
  expect(compareSides(many, many.slice(0, LEAST_COMPARED - 1), UNKNOWN)).toBeNull();
  expect(compareSides(many, many.slice(0, LEAST_COMPARED), UNKNOWN)).not.toBeNull();
});

test('a difference of one question is found, with its share on either side and what it rests on', () => {
  const pass = passMaker();
  const a = times(30).map(at => pass({ pairId: 'quill' }, ...(at < 3 ? [DOWN] : [])));
  const b = times(30).map(at => pass({ pairId: 'barley' }, ...(at < 18 ? [DOWN] : [])));
  const compared = compareSides(a, b, UNKNOWN)!;
  const [clean] = compared.shares;
  expect(clean).toMatchObject({ a: { of: 30, hits: 27 }, b: { of: 30, hits: 12 }, holds: true });
  // Fisher's exact test of 27 of 30 against 12 of 30: the sum of the tables that are no likelier, over whole numbers.
  const choose = (n: number, k: number): bigint =>
    times(k).reduce((product, at) => (product * BigInt(n - at)) / BigInt(at + 1), 1n);
  const table = (hits: number) => choose(30, hits) * choose(30, 39 - hits);
  const seen = table(27);
  const asRare = times(40).filter(hits => hits <= 30 && 39 - hits <= 30 && table(hits) <= seen);
  const rare = asRare.reduce((sum, hits) => sum + table(hits), 0n);
  expect(clean!.p).toBeCloseTo(Number((rare * 10n ** 15n) / choose(60, 39)) / 1e15, 10);
  const { text, because } = comparedInWords(compared, NAMES, WORDS);
  expect(text).toMatch(/^Quill against Barley, beyond chance: clean passes, 90 % against 40 %; fences left standing, /);
  expect(because).toMatch(/^30 passes against 30; 2 things were looked at together/);
  expect(because).toMatch(/Each question is held against itself\.$/);
});

test('a hard question that only one side rode does not count against it', () => {
  const pass = passMaker();
  const easy = (pairId: string) => times(20).map(at => pass({ pairId, key: 'easy' }, ...(at < 4 ? [DOWN] : [])));
  const hard = times(20).map(() => pass({ pairId: 'quill', key: 'hard' }, DOWN));
  const compared = compareSides([...easy('quill'), ...hard], easy('barley'), UNKNOWN)!;
  expect(compared).toMatchObject({ like: 'question', passes: { a: 20, b: 20 } });
  expect(compared.shares[0]).toMatchObject({ a: { of: 20, hits: 16 }, b: { of: 20, hits: 16 }, holds: false });
  expect(comparedInWords(compared, NAMES, WORDS).text).toBe(
    'Nothing that was marked differs beyond chance between Quill and Barley.',
  );
});

test.each([
  ['quill', 'quill', 'line', 'line', 'pair and question'],
  ['quill', 'barley', 'line', 'line', 'question'],
  ['quill', 'quill', 'line', 'bend', 'pair'],
  ['quill', 'barley', 'line', 'bend', 'nothing'],
])('%s against %s over %s and %s: alike by %s', (pairA, pairB, keyA, keyB, like) => {
  const pass = passMaker();
  const side = (pairId: string, key: string) => times(10).map(() => pass({ pairId, key }));
  expect(compareSides(side(pairA, keyA), side(pairB, keyB), UNKNOWN)!.like).toBe(like);
});

test('the strides of two sides are told apart, and those of one horse ridden twice are not', () => {
  const pass = passMaker();
  const random = seededRandom(11);
  const grounds = [13.4, 14.2, 15.1, 16.3, 17.2, 18.1, 19.4, 20.2, 21.3, 22.4];
  const ridden = (pairId: string, strideM: number, month: string) =>
    times(120).map(at => {
      const groundM = grounds[at % grounds.length]!;
      const count = Math.max(1, Math.round(groundM / (strideM * (1 + 0.03 * seededNormal(random))) - 1));
      const day = `2026-${month}-${String(1 + Math.floor(at / 10)).padStart(2, '0')}`;
      return pass({ pairId, groundM, day, key: `${groundM}` }, { kind: 'strides', place: 1, count });
    });
  const apart = compareSides(ridden('quill', 3.75, '05'), ridden('barley', 3.4, '05'), THOUGHT)!;
  expect(apart.strides).toMatchObject([{ entry: 'course-canter', holds: true }]);
  expect(apart.strides[0]!.a.strideM - apart.strides[0]!.b.strideM).toBeCloseTo(0.35, 1);
  expect(comparedInWords(apart, NAMES, WORDS).text).toMatch(/course-canter, 3\.\d\d m against 3\.\d\d m/);
  const same = compareSides(ridden('quill', 3.6, '05'), ridden('quill', 3.6, '06'), THOUGHT)!;
  expect(same.strides).toMatchObject([{ holds: false }]);
});

test('of two hundred even comparisons no more are called different than chance allows', () => {
  const random = seededRandom(7);
  const pass = passMaker();
  const side = (pairId: string) =>
    times(40).map(() =>
      pass(
        { pairId },
        ...(random() < 0.3 ? [DOWN] : []),
        ...(random() < 0.5 ? [{ kind: 'quality', value: 1 + Math.floor(random() * 5) } as TappedMark] : []),
      ),
    );
  const called = times(200).filter(() => {
    const { shares, quality } = compareSides(side('quill'), side('barley'), UNKNOWN)!;
    return shares.some(({ holds }) => holds) || quality?.holds;
  }).length;
  // The level is one in twenty: more than 20 of 200 come by chance about once in 400 times (a binomial).
  expect(called).toBeLessThanOrEqual(20);
});
