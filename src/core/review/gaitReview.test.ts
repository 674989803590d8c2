import type { Layout } from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import { testQuestion } from '../question/testQuestion';
import type { TappedMark } from '../record/passMark';
import { gaitMarks } from '../record/standInGaits';
import type { GaitManner } from '../record/standInMarks';
import { seededRandom } from '../statistics/seededRandom';
import { gaitClaims } from './gaitClaims';
import { gaitReview } from './gaitReview';
import { riddenGround } from './ground';
import { reviewPass, type ReviewPass } from './reviewPass';
import { sandMap } from './sandMap';
import { visitsOf } from './sandVisits';

/** A straight line up the centre: 10 m in flat walk, 20 in running walk, 10 in canter, 10 in running walk. */
const line = (gait: TrackGait, parts: { fromM: number; toM: number; gait: TrackGait }[]): Layout =>
  ({
    ...{ name: 'line', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
    ...{ items: [], horses: [], kit: null },
    tracks: [
      {
        ...{ kind: 'figures', id: 's', name: null, gait, passes: 1 },
        figures: [
          {
            ...{ id: 'c', name: null, gait: null, parts },
            figure: {
              kind: 'straight',
              start: { at: { xM: 10, yM: 5 }, headingRad: Math.PI / 2 },
              rein: 'left',
              lengthM: 50,
            },
          },
        ],
      },
    ],
  }) as unknown as Layout;
const IN_TURN = line('running-walk', [
  { fromM: 0, toM: 10, gait: 'flat-walk' },
  { fromM: 30, toM: 40, gait: 'canter' },
]);
const GROUND = riddenGround(IN_TURN);

let passes = 0;
function pass(marks: TappedMark[], ground = GROUND, question = 'in turn', pairId = 'a'): ReviewPass {
  passes += 1;
  const record = {
    ...{ id: `p${passes}`, pairId, layoutVersionId: question, lessonId: null, stageId: null, stage: 's' },
    ...{ riddenAtMs: passes, question: testQuestion('flat'), rein: 'left', direction: 'as-drawn' },
    marks: marks.map((mark, index) => ({ id: `${passes} ${index}`, ...mark })),
  } as unknown as Parameters<typeof reviewPass>[0];
  return reviewPass(
    record,
    ground,
    { questionWords: question, key: question },
    `2026-05-${String((passes % 28) + 1).padStart(2, '0')}`,
  );
}
const paced = (fromM: number): TappedMark => ({ kind: 'gait', ridden: 'pace', fromM, asked: 'running-walk' });
const canter = (how: 'prompt' | 'late'): TappedMark => ({
  ...{ kind: 'transition', place: 2, to: 'canter', how, trotSteps: null },
});

test('how far each gait that was asked was ridden in which, over all passes', () => {
  const { gaits, slips } = gaitReview([pass([]), pass([paced(10)]), pass([paced(40)])]);
  expect(gaits).toEqual([
    expect.objectContaining({
      asked: 'flat-walk',
      passes: 3,
      slipped: 0,
      riddenM: { 'flat-walk': expect.closeTo(30, 6) },
    }),
    // 30 m of it in each of three passes; 20 m of one and 10 m of another in pace.
    expect.objectContaining({
      ...{ asked: 'running-walk', passes: 3, slipped: 2 },
      riddenM: { 'running-walk': expect.closeTo(60, 6), pace: expect.closeTo(30, 6) },
    }),
    expect.objectContaining({ asked: 'canter', riddenM: { canter: expect.closeTo(30, 6) } }),
  ]);
  expect(slips).toEqual([
    { at: { xM: expect.closeTo(10, 6), yM: expect.closeTo(15, 6) }, asked: 'running-walk', into: 'pace', times: 1 },
    { at: { xM: expect.closeTo(10, 6), yM: expect.closeTo(45, 6) }, asked: 'running-walk', into: 'pace', times: 1 },
  ]);
});

test('canter came out of the gait that was ridden, not of the one that was asked', () => {
  const { intoCanter } = gaitReview([
    pass([canter('prompt')]),
    pass([canter('late'), paced(10)]),
    pass([canter('late')]),
  ]);
  expect(intoCanter).toEqual([
    { from: 'running-walk', prompt: { of: 2, hits: 1 } },
    { from: 'pace', prompt: { of: 1, hits: 0 } },
  ]);
});

test('a head is of the gait that most of the pass was asked in', () => {
  const slow = riddenGround(line('flat-walk', []));
  const { gaits } = gaitReview([
    pass([{ kind: 'head', height: 'high' }]),
    pass([{ kind: 'head', height: 'as wanted' }], slow, 'slow'),
  ]);
  const heads = Object.fromEntries(gaits.map(({ asked, heads: own }) => [asked, own]));
  expect(heads['running-walk']).toEqual({ low: 0, 'as wanted': 0, high: 1 });
  expect(heads['flat-walk']).toEqual({ low: 0, 'as wanted': 1, high: 0 });
});

test('over poles a gait is looked at from five metres before the first to five behind the last', () => {
  const row = {
    ...{ name: 'row', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
    ...{ horses: [], kit: null },
    items: [0, 2.4].map((yM, index) => ({
      ...{ kind: 'pole', id: `p${index}`, name: null, at: { xM: 5, yM: 20 + yM }, headingRad: Math.PI / 2 },
      ...{ lengthM: 3, raised: { leftM: 0, rightM: 0 } },
    })),
    tracks: [
      {
        ...{ kind: 'items', id: 'row', name: null, gait: 'running-walk', course: null, passes: 1 },
        through: ['p0', 'p1'].map(item => ({ item, reversed: false })),
        legs: [{ track: 'direct', setting: 'poles', approach: 'trot', asked: null, circle: null }],
      },
    ],
  } as unknown as Layout;
  const { gaits, slips } = gaitReview([pass([{ kind: 'gait', ridden: 'trot', from: 2 }], riddenGround(row), 'row')]);
  expect(gaits[0]!.riddenM).toEqual({ 'running-walk': expect.closeTo(7.4, 6), trot: expect.closeTo(5, 6) });
  expect(slips).toEqual([{ at: { xM: 5, yM: 22.4 }, asked: 'running-walk', into: 'trot', times: 1 }]);
});

test('plain gaits that nobody marked are not told', () => {
  const trot = riddenGround(line('trot', []));
  expect(gaitReview([pass([], trot, 'trot')]).gaits).toEqual([]);
  expect(gaitReview([pass([{ kind: 'gait', ridden: 'canter' }], trot, 'trot')]).gaits).toHaveLength(1);
});

test('where a plain gait was marked in one pass of a day, the others of that day in it were looked at too', () => {
  const trot = riddenGround(line('trot', []));
  const slipped = pass([{ kind: 'gait', ridden: 'pace' }], trot, 'trot');
  const clean = { ...pass([], trot, 'trot'), day: slipped.day };
  const elsewhere = pass([], trot, 'trot');
  expect(elsewhere.day).not.toBe(slipped.day);
  expect(gaitReview([slipped, clean, elsewhere]).gaits).toMatchObject([{ asked: 'trot', passes: 2, slipped: 1 }]);
});

/** A line with departs out of running walk and out of trot. */
const DEPARTS = line('running-walk', [
  { fromM: 10, toM: 20, gait: 'canter' },
  { fromM: 30, toM: 40, gait: 'trot' },
  { fromM: 40, toM: 50, gait: 'canter' },
]);
const SLOW = line('flat-walk', []);

function season(manner: GaitManner, seed: number): ReviewPass[] {
  const random = seededRandom(seed);
  return Array.from({ length: 60 }, (_, ride) => {
    const layout = ride % 3 === 0 ? SLOW : DEPARTS;
    const [track] = layout.tracks;
    if (track?.kind !== 'figures') throw new Error('it is ridden on the flat');
    return pass(gaitMarks(layout, track, manner, random), riddenGround(layout), ride % 3 === 0 ? 'slow' : 'departs');
  });
}
const WORDS = { horse: 'Tansy' };
const NOWHERE = { at: { xM: 0, yM: 0 }, radiusM: 0.1, into: 'pace', chance: 0, elsewhere: 0.05 } as const;

test('what was planted is found: a head that rises with the speed, and a canter that comes out of trot', () => {
  const manner: GaitManner = {
    ...{ slip: NOWHERE, headHigh: { 'flat-walk': 0.05, 'running-walk': 0.7 } },
    promptCanter: { 'running-walk': 0.2, trot: 0.85 },
  };
  const found = [1, 2, 3, 4, 5].map(seed =>
    gaitClaims(gaitReview(season(manner, seed)), WORDS).map(({ text }) => text),
  );
  for (const texts of found) {
    expect(texts.some(text => text.startsWith('Tansy’s head rises with the speed'))).toBe(true);
    expect(texts.some(text => text.startsWith('Tansy canters more easily out of trot'))).toBe(true);
  }
});

test('where nothing is planted nothing is claimed, but for one season in twenty or so', () => {
  const even: GaitManner = {
    ...{ slip: NOWHERE, headHigh: { 'flat-walk': 0.3, 'running-walk': 0.3 } },
    promptCanter: { 'running-walk': 0.5, trot: 0.5 },
  };
  let alarms = 0;
  for (let seed = 1; seed <= 40; seed += 1)
    if (gaitClaims(gaitReview(season(even, seed)), WORDS).length > 0) alarms += 1;
  expect(alarms).toBeLessThanOrEqual(4);
});

test('a place at which a gait slips is found on the sand', () => {
  const random = seededRandom(5);
  const ridden = Array.from({ length: 80 }, () =>
    pass(random() < 0.5 ? [paced(10)] : random() < 0.1 ? [paced(40)] : []),
  );
  const out = sandMap(visitsOf(ridden)).filter(({ standsOut }) => standsOut);
  expect(out).toHaveLength(1);
  expect(Math.hypot(out[0]!.at.xM - 10, out[0]!.at.yM - 15)).toBeLessThan(5);
});
