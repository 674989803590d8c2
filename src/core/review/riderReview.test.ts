import { testQuestion } from '../question/testQuestion';
import { seededRandom } from '../statistics/seededRandom';
import { reviewPass, type ReviewPass } from './reviewPass';
import { riderClaims, riderReview } from './riderReview';
import { testGround } from './testPasses';

const GROUND = testGround(18);

function pass(index: number, seen: readonly string[], isVoid = false): ReviewPass {
  const marks = [...seen.map((what, at) => ({ id: `${index} ${at}`, kind: 'rider', what }))];
  const record = {
    ...{ id: `p${index}`, pairId: 'a', layoutVersionId: 'v', lessonId: null, stageId: null, stage: 's' },
    ...{ riddenAtMs: index, question: testQuestion('line'), rein: 'left', direction: 'as-drawn' },
    marks: isVoid ? [...marks, { id: `${index} void`, kind: 'void' }] : marks,
  } as unknown as Parameters<typeof reviewPass>[0];
  const day = `2026-${String(4 + Math.floor(index / 28)).padStart(2, '0')}-${String((index % 28) + 1).padStart(2, '0')}`;
  return reviewPass(record, GROUND, { questionWords: 'line', key: 'line' }, day);
}

test('a thing is counted once a pass, and passes in which nothing was seen count too', () => {
  const passes = [
    pass(0, ['leg back', 'leg back', 'eyes late']),
    pass(1, []),
    pass(2, ['leg back']),
    pass(3, []),
    pass(4, ['leg back'], true),
  ];
  expect(riderReview(passes)).toEqual([
    { what: 'leg back', passes: 2, early: { of: 2, hits: 1 }, late: { of: 2, hits: 1 } },
    { what: 'eyes late', passes: 1, early: { of: 2, hits: 1 }, late: { of: 2, hits: 0 } },
  ]);
  expect(riderReview([])).toEqual([]);
});

function season(rate: (index: number) => number, seed: number): ReviewPass[] {
  const random = seededRandom(seed);
  return Array.from({ length: 80 }, (_, index) =>
    pass(index, [...(random() < rate(index) ? ['leg back'] : []), ...(random() < 0.3 ? ['eyes late'] : [])]),
  );
}

test('what a rider has mended is said, with what it rests on', () => {
  for (const seed of [1, 2, 3, 4, 5]) {
    const [claim] = riderClaims(riderReview(season(index => (index < 40 ? 0.7 : 0.1), seed)));
    expect(claim!.text).toMatch(/^“leg back” is seen less often of the rider: in \d+\s% of the passes at first/);
    expect(claim!.because).toMatch(/of 40 passes in the first half of the days/);
  }
});

test('where nothing changes nothing is said, but for one season in twenty or so', () => {
  let alarms = 0;
  for (let seed = 1; seed <= 60; seed += 1)
    if (riderClaims(riderReview(season(() => 0.4, seed))).length > 0) alarms += 1;
  expect(alarms).toBeLessThanOrEqual(6);
});

test('a few passes say nothing', () => {
  expect(riderClaims(riderReview([pass(0, ['leg back']), pass(1, []), pass(2, [])]))).toEqual([]);
});
