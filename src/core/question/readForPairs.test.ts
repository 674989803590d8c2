import { defaultStride } from '../horse/defaultStrides';
import { DEFAULT_LEG, type Layout, type LayoutHorse } from '../layout/layout';
import { newItem } from '../plan/newItem';
import { AS_LAID_OUT } from './builtState';
import { askedLayout } from './askedLayout';
import { AS_OF_ALL, questionOfPair, type AskedQuestion } from './pairAsk';
import { outOfReachWords, readForPairs, saidOfPair, type PairReading } from './readForPairs';
import { testQuestion } from './testQuestion';

const S = 3.66;
const horse = (id: string, normalM: number, heightM = 1.63): LayoutHorse => ({
  ...{ id, name: id, heightM, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: 0.85 * normalM, normalM, longM: 1.12 * normalM } },
});

/** A line of five for a horse of 3.66 m: five strides and half a stride at either end (common practice, no source). */
const LAYOUT: Layout = {
  ...{ name: 'line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
  items: [
    newItem('vertical', 'a', { xM: 10, yM: 15 }, Math.PI / 2),
    newItem('vertical', 'b', { xM: 10, yM: 15 + 6 * S }, Math.PI / 2),
  ],
  tracks: [
    {
      ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
      through: ['a', 'b'].map(item => ({ item, reversed: false })),
      legs: [{ ...DEFAULT_LEG, asked: 5 }],
    },
  ],
  ...{ horses: [], kit: null },
};

const asked = (ofPairs: AskedQuestion['ofPairs'] = {}): AskedQuestion => ({ question: testQuestion('line'), ofPairs });

test('a pony that is not in the layout is read against it, and told what would mend it', () => {
  const pony: LayoutHorse = { id: 'pony', name: 'Pony', heightM: 1.18, type: 'pony', level: 'novice', strides: {} };
  const usualM = defaultStride('course-canter', 1.18, 'pony')!.normalM;
  const [big, small] = readForPairs(LAYOUT, asked(), [
    { id: 'big', horse: horse('big', S) },
    { id: 'small', horse: pony },
  ]);
  expect(big!.legs![0]).toMatchObject({ usable: true, mend: null, asked: 5 });
  // Five strides of the line want more of a pony's stride than it has.
  expect((6 * S) / 6 / usualM).toBeGreaterThan(1.3);
  expect(small!.legs![0]).toMatchObject({ usable: false, from: 'fence 1', to: 'fence 2' });
  expect(small!.legs![0]!.mend).toMatch(/^Ask Pony for (six|seven|eight)/);
});

test('what is asked of one pair is of that pair alone: its count, its heights, its poles', () => {
  const own = { ...AS_OF_ALL, asked: [6], heightM: { a: 0.5 }, asPole: ['b'] };
  const both = asked({ small: own });
  expect(questionOfPair(both, 'big')).toBe(both.question);
  const question = questionOfPair(both, 'small');
  expect(question.asked).toEqual([6]);
  const built = askedLayout(LAYOUT, question)!;
  expect(built.items[0]).toMatchObject({ kind: 'fence', heightM: 0.5 });
  expect(built.items[1]!.kind).toBe('pole');
});

test('the words follow the count that was asked: short, and meant to be', () => {
  const six = asked({ big: { ...AS_OF_ALL, asked: [6] } });
  const [reading] = readForPairs(LAYOUT, six, [{ id: 'big', horse: horse('big', S) }]);
  // Six in a five: each stride 6/7 of its own (the sum done by hand).
  expect(reading!.legs![0]).toMatchObject({ words: 'six asked: short, and meant to be', usable: true, mend: null });
  expect(saidOfPair({ asked: null, call: 'easy five', zeroIs: 'bounce' })).toBe('easy five');
});

test('a count that is out of reach names one that is not, and a fence that is gone is read by nobody', () => {
  const [reading] = readForPairs(LAYOUT, asked({ big: { ...AS_OF_ALL, asked: [3] } }), [
    { id: 'big', horse: horse('big', S) },
  ]);
  expect(reading!.legs![0]).toMatchObject({ usable: false });
  expect(reading!.legs![0]!.mend).toContain('Ask big for five');
  const gone = { ...asked(), question: testQuestion('line', { state: { ...AS_LAID_OUT, out: ['a', 'b'] } }) };
  expect(readForPairs(LAYOUT, gone, [{ id: 'big', horse: horse('big', S) }])[0]!.legs ?? []).toEqual([]);
});

test('what is out of reach is said once for legs that are alike, and what no pair can ride comes first', () => {
  const leg = (at: number, usable: boolean): NonNullable<PairReading['legs']>[number] => ({
    ...{ from: `fence ${at}`, to: `fence ${at + 1}`, groundM: 10, asked: 1, words: 'one asked: too far', usable },
    mend: usable ? null : 'Leave it out.',
  });
  const readings: PairReading[] = [
    { pairId: 'a', legs: [leg(1, false), leg(2, false), leg(3, true)] },
    { pairId: 'b', legs: [leg(1, true), leg(2, false), leg(3, true)] },
  ];
  expect(outOfReachWords(readings, id => id.toUpperCase())).toEqual([
    'No pair can ride it from fence 2 to fence 3.',
    'A, from fence 1 to fence 2 and from fence 2 to fence 3: one asked: too far. Leave it out.',
    'B, from fence 2 to fence 3: one asked: too far. Leave it out.',
  ]);
  expect(outOfReachWords([{ pairId: 'a', legs: null }], String)).toEqual([]);
});
