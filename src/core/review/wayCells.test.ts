import { testQuestion } from '../question/testQuestion';
import type { PassMark } from '../record/passMark';
import { seededRandom } from '../statistics/seededRandom';
import type { Layout } from '../layout/layout';
import { riddenGround } from './ground';
import { reviewPass, type ReviewPass } from './reviewPass';
import { sandMap } from './sandMap';
import { visitsOf } from './sandVisits';
import { cellAt, CELL_M } from './wayCells';

/** A circle of 20 m at A and round the arena, on the flat: nothing stands there. */
const FLAT = {
  ...{ name: 'flat', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
  ...{ items: [], horses: [], kit: null },
  tracks: [
    {
      ...{ kind: 'figures', id: 's', name: null, gait: 'trot', passes: 1 },
      figures: [
        {
          ...{ id: 'c', name: null, gait: null, parts: [] },
          figure: {
            ...{ kind: 'circle', start: { at: { xM: 10, yM: 0 }, headingRad: 0 }, rein: 'left' },
            ...{ diameterM: 20, rounds: 1 },
          },
        },
        {
          ...{ id: 'r', name: null, gait: null, parts: [] },
          figure: {
            ...{ kind: 'round-arena', start: { at: { xM: 20, yM: 30 }, headingRad: Math.PI / 2 }, rein: 'left' },
            ...{ cornerRadiusM: 5, rounds: 1 },
          },
        },
      ],
    },
  ],
} as unknown as Layout;
const GROUND = riddenGround(FLAT);
/** On the far long side, between two letters. */
const PATCH = { xM: 0.4, yM: 45 };

function season(random: () => number, patchRate: number): ReviewPass[] {
  const passes: ReviewPass[] = [];
  for (let ride = 0; ride < 30; ride += 1)
    for (const pairId of ['a', 'b', 'c']) {
      const marks: PassMark[] = [];
      const spot = (at: { xM: number; yM: number }) =>
        marks.push({ id: `${ride} ${pairId} ${marks.length}`, kind: 'spot', at } as PassMark);
      // Now and then something anywhere on the way.
      if (random() < 0.25) spot(GROUND.cells[Math.floor(random() * GROUND.cells.length)]!);
      if (random() < patchRate) spot({ xM: PATCH.xM + random() - 0.5, yM: PATCH.yM + random() - 0.5 });
      const pass = {
        ...{ id: `${ride} ${pairId}`, pairId, layoutVersionId: 'v', lessonId: null, stageId: null, stage: 's' },
        ...{ riddenAtMs: ride, question: testQuestion('flat'), rein: 'left', direction: 'as-drawn', marks },
      } as unknown as Parameters<typeof reviewPass>[0];
      const day = `2026-05-${String((ride % 28) + 1).padStart(2, '0')}`;
      passes.push(reviewPass(pass, GROUND, { questionWords: 'flat', key: 'flat' }, day));
    }
  return passes;
}

test('the flat is ridden over squares of sand: along both walls, and none in the middle that nobody rides', () => {
  const near = (xM: number, yM: number) => cellAt(GROUND.cells, { xM, yM });
  expect(GROUND.stops).toEqual([]);
  expect(near(0, 45)).not.toBeNull();
  expect(near(20, 12)).not.toBeNull();
  expect(near(10, 40)).toBeNull();
  // The middle of a square lies on the sand, also of what is ridden on the very wall.
  for (const { xM, yM } of GROUND.cells) {
    expect(xM).toBeGreaterThan(0);
    expect(xM).toBeLessThanOrEqual(20);
    expect(yM).toBeLessThanOrEqual(60);
  }
  expect(new Set(GROUND.cells.map(({ xM, yM }) => `${xM} ${yM}`)).size).toBe(GROUND.cells.length);
});

test('a patch that is planted on the flat is found where it lies', () => {
  const random = seededRandom(21);
  let [found, others] = [0, 0];
  for (let round = 0; round < 30; round += 1) {
    const out = sandMap(visitsOf(season(random, 0.3))).filter(({ standsOut }) => standsOut);
    const there = out.filter(({ at }) => Math.hypot(at.xM - PATCH.xM, at.yM - PATCH.yM) <= CELL_M);
    if (there.length > 0) found += 1;
    others += out.length - there.length;
  }
  expect(found).toBeGreaterThanOrEqual(28);
  expect(others).toBeLessThanOrEqual(2);
});

test('where none is planted hardly ever one is found: under 5 seasons in 100', () => {
  const random = seededRandom(22);
  let alarms = 0;
  for (let round = 0; round < 100; round += 1)
    if (sandMap(visitsOf(season(random, 0))).some(({ standsOut }) => standsOut)) alarms += 1;
  expect(alarms).toBeLessThan(5);
});
