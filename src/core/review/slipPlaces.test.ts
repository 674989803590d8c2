import { testQuestion } from '../question/testQuestion';
import type { PassMark } from '../record/passMark';
import { seededRandom } from '../statistics/seededRandom';
import type { Layout } from '../layout/layout';
import { riddenGround } from './ground';
import { reviewPass, type ReviewPass } from './reviewPass';
import { sandMap } from './sandMap';
import { visitsOf } from './sandVisits';

/** Three loops that are each yielded out of: to the right wall, to the left, and to the right again. */
const LOOPS = {
  ...{ name: 'loops', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
  ...{ items: [], horses: [], kit: null },
  tracks: [
    {
      ...{ kind: 'figures', id: 's', name: null, gait: 'trot', passes: 1 },
      figures: [
        {
          ...{ id: 'c', name: null, gait: null, parts: [] },
          figure: {
            ...{ kind: 'serpentine', start: { at: { xM: 10, yM: 0 }, headingRad: 0 }, rein: 'left' },
            ...{ loops: 3, lengthM: 60, widthM: 20, yieldM: 2.5 },
          },
        },
      ],
    },
  ],
} as unknown as Layout;
const GROUND = riddenGround(LOOPS);

function season(random: () => number, rates: readonly [number, number, number]): ReviewPass[] {
  return Array.from({ length: 120 }, (_, ride) => {
    const pairId = 'abc'[ride % 3]!;
    const marks = GROUND.asides.flatMap((at, loop): PassMark[] =>
      random() < rates[loop]!
        ? [{ id: `${ride} ${loop}`, kind: 'slip', place: 1, part: loop + 1, from: 'left leg', at }]
        : [],
    );
    const pass = {
      ...{ id: `${ride}`, pairId, layoutVersionId: 'v', lessonId: null, stageId: null, stage: 's' },
      ...{ riddenAtMs: ride, question: testQuestion('flat'), rein: 'left', direction: 'as-drawn', marks },
    } as unknown as Parameters<typeof reviewPass>[0];
    const day = `2026-05-${String((ride % 28) + 1).padStart(2, '0')}`;
    return reviewPass(pass, GROUND, { questionWords: 'flat', key: 'flat' }, day);
  });
}

const standOut = (rates: readonly [number, number, number], seed: number) =>
  sandMap(visitsOf(season(seededRandom(seed), rates))).filter(({ standsOut }) => standsOut);

test('slips are held against the other places where the horse goes aside', () => {
  expect(GROUND.asides.map(({ xM }) => xM > 10)).toEqual([true, false, true]);
  // Every yield slips as often: hard work, and no place.
  let alarms = 0;
  for (let seed = 1; seed <= 60; seed += 1) if (standOut([0.3, 0.3, 0.3], seed).length > 0) alarms += 1;
  expect(alarms).toBeLessThan(3);
});

test('one of them that slips far more than the others is found', () => {
  let found = 0;
  for (let seed = 1; seed <= 30; seed += 1)
    if (
      standOut([0.08, 0.4, 0.08], seed).some(
        ({ at }) => Math.hypot(at.xM - GROUND.asides[1]!.xM, at.yM - GROUND.asides[1]!.yM) < 3,
      )
    )
      found += 1;
  expect(found).toBeGreaterThan(27);
});
