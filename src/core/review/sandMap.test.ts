import { seededRandom } from '../statistics/seededRandom';
import type { PassMark, TappedMark } from '../record/passMark';
import type { RiddenGround } from './ground';
import { testQuestion } from '../question/testQuestion';
import { reviewPass } from './reviewPass';
import { sandMap } from './sandMap';
import { visitsOf, type Visit } from './sandVisits';

const PLACES = Array.from({ length: 12 }, (_, index) => ({
  xM: 5 + 8 * (index % 3),
  yM: 8 + 12 * Math.floor(index / 3),
}));
/** Four pairs, one of them clumsy. */
const RATES: Record<string, number> = { a: 0.05, b: 0.08, c: 0.25, d: 0.1 };

type Planted = { place: number; rate: number; pairs: readonly string[] } | null;

/** A season of rides: every pair over every place, with fewer rides of some pairs at some places. */
function season(random: () => number, planted: Planted, rides = 30): Visit[] {
  const visits: Visit[] = [];
  for (let ride = 0; ride < rides; ride += 1)
    for (const [pairId, rate] of Object.entries(RATES))
      PLACES.forEach((at, index) => {
        // The clumsy pair mostly rides the last places.
        if (pairId === 'c' && index < 8 && random() < 0.8) return;
        const isBad = planted?.place === index && planted.pairs.includes(pairId);
        const chance = isBad ? planted.rate : index % 2 === 0 ? rate : rate * 0.8;
        visits.push({
          at,
          pairId,
          key: 'course',
          isFence: index % 2 === 0,
          rides: 1,
          troubles: random() < chance ? 1 : 0,
        });
      });
  return visits;
}

test('where nothing is, hardly ever something is found: under 5 seasons in 100', () => {
  const random = seededRandom(3);
  let alarms = 0;
  for (let round = 0; round < 200; round += 1)
    if (sandMap(season(random, null)).some(({ standsOut }) => standsOut)) alarms += 1;
  expect(alarms / 200).toBeLessThan(0.05);
});

test('a bad patch is found, and said to be the place since everybody has trouble there', () => {
  const random = seededRandom(4);
  let [found, others, asPlace] = [0, 0, 0];
  for (let round = 0; round < 60; round += 1) {
    const out = sandMap(season(random, { place: 4, rate: 0.35, pairs: Object.keys(RATES) })).filter(
      one => one.standsOut,
    );
    const there = out.find(({ at }) => at === PLACES[4]);
    if (there) found += 1;
    if (there?.whose === 'place') asPlace += 1;
    others += out.length - (there ? 1 : 0);
  }
  expect(found).toBeGreaterThan(57);
  expect(asPlace / found).toBeGreaterThan(0.9);
  expect(others).toBeLessThan(5);
});

test('where one pair has trouble it is said to be the pair', () => {
  const random = seededRandom(6);
  let [found, asPair] = [0, 0];
  for (let round = 0; round < 60; round += 1) {
    const there = sandMap(season(random, { place: 2, rate: 0.6, pairs: ['b'] })).find(({ at }) => at === PLACES[2])!;
    if (!there.standsOut) continue;
    found += 1;
    if (there.whose === 'pair' && there.pairId === 'b') asPair += 1;
  }
  expect(found).toBeGreaterThan(55);
  expect(asPair / found).toBeGreaterThan(0.9);
});

test('a place that only a clumsy pair rides does not stand out', () => {
  const random = seededRandom(8);
  const visits = season(random, null);
  const lonely = Array.from({ length: 40 }, () => ({
    ...{
      at: { xM: 30, yM: 30 },
      pairId: 'c',
      key: 'course',
      isFence: true,
      rides: 1,
      troubles: random() < RATES.c! ? 1 : 0,
    },
  }));
  const there = sandMap([...visits, ...lonely]).find(({ at }) => at.xM === 30)!;
  expect(there.troubles / there.visits).toBeGreaterThan(0.15);
  expect(there.standsOut).toBe(false);
  expect(there.expected).toBeGreaterThan(5);
});

test('few visits say nothing, however bad', () => {
  const bad = Array.from({ length: 8 }, () => ({
    at: { xM: 1, yM: 1 },
    pairId: 'a',
    key: 'course',
    isFence: true,
    rides: 1,
    troubles: 1,
  }));
  const there = sandMap([...season(seededRandom(9), null), ...bad]).find(({ at }) => at.xM === 1)!;
  expect(there).toMatchObject({ visits: 8, troubles: 8, standsOut: false });
  expect(sandMap([])).toEqual([]);
});

test('what counts as trouble at a place: rails, refusals, spots near it; not counts and take-offs, nor what was not ridden', () => {
  const ground = {
    ...{ gait: 'canter', legs: [], asked: [4, 4], figures: [], cells: [], asides: [], work: null },
    stops: [10, 20, 30].map(yM => ({ id: `f${yM}`, name: `f${yM}`, at: { xM: 10, yM }, isFence: true })),
  } as unknown as RiddenGround;
  const ridden = (...marks: TappedMark[]) => {
    const own = marks.map((mark, id) => ({ id: String(id), ...mark }) as PassMark);
    const pass = {
      ...{ id: 'p', pairId: 'a', layoutVersionId: 'v', lessonId: null, stageId: null, stage: 's', riddenAtMs: 0 },
      question: testQuestion('line'),
    };
    const way = { rein: 'left', direction: 'as-drawn' } as const;
    return visitsOf([
      reviewPass({ ...pass, ...way, marks: own }, ground, { questionWords: 'line', key: 'line' }, '2026-05-01'),
    ]).map(({ troubles }) => troubles === 1);
  };
  expect(ridden()).toEqual([false, false, false]);
  expect(ridden({ kind: 'fence', place: 2, outcome: 'down' })).toEqual([false, true, false]);
  expect(ridden({ kind: 'fence', place: 2, outcome: 'rub' })).toEqual([false, false, false]);
  expect(ridden({ kind: 'take-off', place: 3, where: 'deep' }, { kind: 'strides', place: 1, count: 5 })).toEqual([
    false,
    false,
    false,
  ]);
  expect(ridden({ kind: 'spot', at: { xM: 11, yM: 31 } })).toEqual([false, false, true]);
  expect(ridden({ kind: 'line', from: 1, to: 2 })).toEqual([false, false]);
  expect(ridden({ kind: 'void' })).toEqual([]);
  // A pass that ended at a refusal did not come to what lies behind it.
  expect(ridden({ kind: 'fence', place: 2, outcome: 'refusal' })).toEqual([false, true]);
});

test('a place where only a harder question is ridden is held against that question', () => {
  const random = seededRandom(13);
  const hard = PLACES.slice(0, 3).flatMap(at =>
    Array.from({ length: 60 }, () => ({
      ...{ at, pairId: 'a', key: 'five in the line', isFence: true, rides: 1 },
      troubles: random() < 0.4 ? 1 : 0,
    })),
  );
  const easy = PLACES.slice(3).flatMap(at =>
    Array.from({ length: 60 }, () => ({
      ...{ at, pairId: 'a', key: 'poles', isFence: true, rides: 1 },
      troubles: random() < 0.03 ? 1 : 0,
    })),
  );
  expect(sandMap([...hard, ...easy]).filter(({ standsOut }) => standsOut)).toEqual([]);
});
