import { newItem } from '../plan/newItem';
import { DEFAULT_LEG, type Layout } from '../layout/layout';
import type { PassMark, TappedMark } from '../record/passMark';
import { questionKey } from '../question/questionKey';
import { testQuestion } from '../question/testQuestion';
import type { PassRecord } from '../record/passRecord';
import type { RideDirection } from '../record/rideDirection';
import { seededNormal, seededRandom } from '../statistics/seededRandom';
import type { Rein } from '../track/rein';
import { askedClaims, faultClaims, qualityClaims, reinClaims, strideClaims, type ClaimWords } from './claims';
import { askedReview, legReviews } from './countReview';
import { faultCounts, riddenDays, riddenWeeks } from './faultReview';
import { riddenGround, type RiddenGround } from './ground';
import { reinReview } from './reinReview';
import { reviewPass, type ReviewPass } from './reviewPass';
import { strideReviews } from './strideReview';

/** Two fences up the middle: 18.1 m of ground and more, by where the second stands. */
function line(lengthM: number, asked: number | null): Layout {
  const fence = (id: string, yM: number) => newItem('vertical', id, { xM: 10, yM }, Math.PI / 2);
  return {
    ...{ name: 'line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
    items: [fence('heron', 15), fence('willow', 15 + lengthM)],
    tracks: [
      {
        ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: ['heron', 'willow'].map(item => ({ item, reversed: false })),
        legs: [{ ...DEFAULT_LEG, asked }],
      },
    ],
    ...{ horses: [], kit: null },
  };
}

const LINES = { free18: line(18.1, null), free22: line(21.9, null), five: line(18.1, 5) };
const GROUNDS = {
  free18: riddenGround(LINES.free18),
  free22: riddenGround(LINES.free22),
  five: riddenGround(LINES.five),
};

let id = 0;
function pass(ground: keyof typeof GROUNDS, day: string, rein: Rein, ...marks: TappedMark[]): ReviewPass {
  return ridden(GROUNDS[ground], ground, day, rein, 'as-drawn', ...marks);
}

function ridden(
  ground: RiddenGround,
  layoutVersionId: string,
  day: string,
  rein: Rein,
  direction: RideDirection,
  ...marks: TappedMark[]
): ReviewPass {
  id += 1;
  const record: PassRecord = {
    ...{ id: `p${id}`, pairId: 'pair', layoutVersionId, lessonId: null, direction, stage: 's', rein },
    ...{ stageId: null, question: testQuestion('line', { asked: ground.asked }) },
    riddenAtMs: Date.parse(`${day}T10:00:00Z`) + id,
    marks: marks.map((mark, order) => ({ id: `${id}-${order}`, ...mark }) as PassMark),
  };
  const asked = LINES[layoutVersionId as keyof typeof LINES];
  return reviewPass(record, ground, { questionWords: 'line', key: asked ? questionKey(asked) : 'row' }, day);
}

const WORDS: ClaimWords = {
  horse: 'Juniper',
  format: lengthM => `${lengthM.toFixed(2)} m`,
  formatChange: changeM => `${changeM < 0 ? '−' : '+'}${Math.abs(changeM * 100).toFixed(0)} cm`,
  entryName: entry => entry,
  dayName: day => day,
};
const strides = (count: number): TappedMark => ({ kind: 'strides', place: 1, count });
const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' };
const days = (count: number) =>
  Array.from({ length: count }, (_, index) => `2026-0${3 + Math.floor(index / 4)}-0${1 + (index % 4) * 2}`);

describe('strides', () => {
  /** A season of a horse whose stride goes from one length to another. */
  function season(fromM: number, toM: number): ReviewPass[] {
    const random = seededRandom(12);
    return days(20).flatMap((day, index) =>
      Array.from({ length: 8 }, (_, ride) => {
        const ground = ride % 2 === 0 ? 'free18' : 'free22';
        const strideM = (fromM + ((toM - fromM) * index) / 19) * (1 + 0.04 * seededNormal(random));
        const count = Math.round(GROUNDS[ground].legs[0]!.groundM / strideM - 1);
        return pass(ground, day, ride % 4 < 2 ? 'left' : 'right', strides(count));
      }),
    );
  }

  test('a stride other than the profile’s, and its growth over the season, with what they rest on', () => {
    const reviews = strideReviews(season(3.45, 3.75), () => 3.3);
    expect(reviews).toHaveLength(1);
    const claims = strideClaims(reviews, () => 3.3, WORDS);
    expect(claims.map(({ text }) => text)).toEqual([
      expect.stringContaining('looks longer than the profile has it'),
      expect.stringContaining('has grown over the season'),
    ]);
    // It is held against the latest month: four days of eight legs.
    expect(claims[0]!.because).toContain('32 legs ridden without a count being asked, on 4 days');
    expect(reviews[0]!.byMonth).toHaveLength(5);
  });

  test('no claim where the profile is right and nothing changes', () => {
    const reviews = strideReviews(season(3.6, 3.6), () => 3.6);
    expect(strideClaims(reviews, () => 3.6, WORDS)).toEqual([]);
  });

  test('a horse that a test found to vary more is learned with that: the same counts leave more open', () => {
    const passes = season(3.6, 3.6);
    const width = (spread?: number) => {
      const [review] = strideReviews(
        passes,
        () => 3.6,
        () => spread,
      );
      return review!.learned.highM - review!.learned.lowM;
    };
    expect(width()).toBeCloseTo(width(0.04), 12);
    expect(width(0.1)).toBeGreaterThan(width(0.04));
  });

  test('a step over poles is the same whichever way the row is ridden, though gaps keep their numbers', () => {
    const poles = [0, 1, 2, 3].map(index =>
      newItem('pole', `p${index}`, { xM: 10, yM: 10 + index * 1.4 }, Math.PI / 2),
    );
    const row: Layout = {
      ...line(5, null),
      items: poles,
      tracks: [
        {
          ...{ kind: 'items', id: 'row', name: null, gait: 'trot', course: null, passes: 1 },
          through: poles.map(({ id: item }) => ({ item, reversed: false })),
          legs: [1, 2, 3].map(() => ({ ...DEFAULT_LEG, setting: 'poles' as const })),
        },
      ],
    };
    // The foot gains 5 % of the gap from gap to gap: a step of 1.47 m.
    const onRow = (day: string, direction: RideDirection) => {
      const otherWay = direction === 'other-way';
      const falls = [0.4, 0.45, 0.5].map((fraction, index): TappedMark => ({
        kind: 'footfall',
        place: otherWay ? 3 - index : index + 1,
        fraction,
      }));
      return ridden(riddenGround(row), 'row', day, 'left', direction, ...falls);
    };
    const [review] = strideReviews(
      days(9).map((day, index) => onRow(day, (['as-drawn', 'other-way', 'mirrored'] as const)[index % 3]!)),
      () => 1.4,
    );
    expect(review).toMatchObject({ entry: 'trot-poles', from: 'footfalls' });
    expect(review!.learned.strideM).toBeCloseTo(1.47, 6);
  });

  test('counts that were asked teach nothing, nor do three passes', () => {
    const asked = days(8).map(day => pass('five', day, 'left', strides(5)));
    expect(strideReviews(asked, () => 3.6)).toEqual([]);
    const few = ['2026-05-01', '2026-05-02'].map(day => pass('free18', day, 'left', strides(4)));
    expect(
      strideClaims(
        strideReviews(few, () => 2.5),
        () => 2.5,
        WORDS,
      ),
    ).toEqual([]);
  });
});

describe('left and right', () => {
  /** Passes on each rein of which so many are clean, before and after the middle of the season. */
  const half = (first: number, rein: Rein, clean: number, of: number) =>
    Array.from({ length: of }, (_, index) =>
      pass('free18', days(12)[first + (index % 6)]!, rein, ...(index < clean ? [] : [DOWN])),
    );

  test('one rein worse is said, with the counts', () => {
    const passes = [...half(0, 'left', 10, 40), ...half(0, 'right', 34, 40)];
    const claims = reinClaims(passes, WORDS);
    expect(claims[0]!.text).toBe(
      'Juniper goes clean more often on the right rein: 25 % on the left, 85 % on the right.',
    );
    expect(claims[0]!.because).toContain('10 of 40 on the left and 34 of 40 on the right');
  });

  test('a rein that has caught up', () => {
    const passes = [
      ...half(0, 'left', 6, 30),
      ...half(0, 'right', 25, 30),
      ...half(6, 'left', 26, 30),
      ...half(6, 'right', 26, 30),
    ];
    expect(reinClaims(passes, WORDS)[0]!.text).toContain('left rein has caught up with the right one: 87 %');
  });

  test('nothing from a few passes, nor from none', () => {
    expect(reinClaims([...half(0, 'left', 0, 3), ...half(0, 'right', 3, 3)], WORDS)).toEqual([]);
    expect(reinClaims([], WORDS)).toEqual([]);
  });

  test('false alarms stay rare over many seasons without a difference', () => {
    const random = seededRandom(21);
    let alarms = 0;
    for (let round = 0; round < 150; round += 1) {
      const passes = (['left', 'right'] as const).flatMap(rein =>
        Array.from({ length: 40 }, (_, index) =>
          pass('free18', days(12)[index % 12]!, rein, ...(random() < 0.3 ? [DOWN] : []), {
            kind: 'lead',
            place: 2,
            lead: random() < 0.8 ? rein : 'cross-canter',
          }),
        ),
      );
      if (reinClaims(passes, WORDS).length > 0) alarms += 1;
    }
    expect(alarms / 150).toBeLessThan(0.08);
  });

  test('every measure counts what was marked', () => {
    const both = (rein: Rein, ...marks: TappedMark[]) => pass('five', '2026-05-01', rein, ...marks);
    const { measures, quality } = reinReview([
      both('left', DOWN, { kind: 'lead', place: 1, lead: 'left' }, { kind: 'quality', value: 2 }),
      both('left', { kind: 'void' }),
      both('right', strides(5), { kind: 'lead', place: 1, lead: 'left' }, { kind: 'quality', value: 4 }),
      both('left', strides(4)),
      both('right', { kind: 'fence', place: 1, outcome: 'refusal' }),
    ]);
    const of = (measure: string) => measures.find(one => one.measure === measure)!;
    expect(of('clean passes')).toMatchObject({ left: { of: 2, hits: 0 }, right: { of: 2, hits: 1 }, excess: -0.5 });
    expect(of('landed on the lead of the rein')).toMatchObject({ left: { of: 1, hits: 1 }, right: { of: 1, hits: 0 } });
    // What was refused was come to, what lies behind it was not.
    expect(of('fences left standing')).toMatchObject({ left: { of: 4, hits: 3 }, right: { of: 3, hits: 2 } });
    expect(of('asked counts ridden')).toMatchObject({ left: { of: 1, hits: 0 }, right: { of: 1, hits: 1 } });
    expect(quality).toBeNull();
  });

  test('a rein on which the harder question was ridden more is not the worse one', () => {
    // Each question goes alike on both reins: one clean half the time, the other nine times in ten.
    const passes = (ground: 'free18' | 'five', rein: Rein, clean: number, of: number) =>
      Array.from({ length: of }, (_, index) =>
        pass(ground, days(10)[index % 10]!, rein, ...(index < clean ? [] : [DOWN]), {
          kind: 'quality',
          value: (ground === 'five' ? 2 : 4) + (index % 2),
        }),
      );
    const all = [
      ...passes('five', 'left', 30, 60),
      ...passes('free18', 'left', 9, 10),
      ...passes('five', 'right', 5, 10),
      ...passes('free18', 'right', 54, 60),
    ];
    expect(reinClaims(all, WORDS)).toEqual([]);
    expect(reinReview(all).quality!.difference).toBeCloseTo(0, 9);
  });
});

test('asked against ridden: five in a four is an added stride', () => {
  const passes = days(12).map((day, index) => pass('five', day, 'left', strides(index < 11 ? 5 : 4)));
  const review = askedReview(passes, () => 3.62);
  expect(review).toEqual({ adding: { of: 12, hits: 11 }, leavingOut: { of: 0, hits: 0 }, nearest: { of: 0, hits: 0 } });
  expect(askedClaims(review, WORDS)[0]!.text).toBe('Juniper can add a stride when asked: 11 of 12.');
  expect(askedClaims({ ...review, adding: { of: 3, hits: 3 } }, WORDS)).toEqual([]);
  const [leg] = legReviews(passes, () => 3.62);
  // 18.1 m is five strides of ground of 3.62 m: four strides.
  expect(leg).toMatchObject({ from: 'fence 1', to: 'fence 2', predicted: expect.closeTo(4, 6) });
  expect(leg!.counts).toEqual([
    { count: 4, times: 1 },
    { count: 5, times: 11 },
  ]);
});

test('what goes wrong most, only where it stands out', () => {
  const passes = days(20).map((day, index) =>
    pass(
      'free18',
      day,
      index % 2 ? 'left' : 'right',
      DOWN,
      ...(index < 4 ? [{ kind: 'fault', place: null, fault: 'rush' } as const] : []),
    ),
  );
  const faults = faultCounts(passes);
  expect(faults).toEqual([
    { what: 'down', left: 10, right: 10, without: 0 },
    { what: 'rush', left: 2, right: 2, without: 0 },
  ]);
  expect(faultClaims(faults, 20, WORDS)[0]!.text).toBe(
    'What goes wrong most often for Juniper is down: 20 times in 20 passes.',
  );
  expect(
    faultClaims(
      [
        { what: 'down', left: 5, right: 5, without: 0 },
        { what: 'rush', left: 5, right: 4, without: 0 },
      ],
      40,
      WORDS,
    ),
  ).toEqual([]);
});

test('better from the first third of the days to the last', () => {
  const passes = days(12).flatMap((day, index) =>
    [3, 4].map(value => pass('free18', day, 'left', { kind: 'quality', value: index < 4 ? value - 1 : value })),
  );
  expect(qualityClaims(passes, WORDS)[0]!.text).toContain('have got better: by 1.0 of a mark');
  expect(qualityClaims(passes.slice(0, 6), WORDS)).toEqual([]);
});

test('day by day', () => {
  const ridden = riddenDays([
    pass('free18', '2026-05-02', 'left', DOWN, { kind: 'quality', value: 2 }),
    pass('free18', '2026-05-01', 'left'),
    pass('free18', '2026-05-02', 'right', { kind: 'quality', value: 4 }),
    pass('free18', '2026-05-02', 'right', { kind: 'void' }),
  ]);
  expect(ridden).toMatchObject([
    { day: '2026-05-01', passes: 1, clean: 1, quality: null, lowEfforts: 2 },
    { day: '2026-05-02', passes: 2, clean: 1, quality: 3, lowEfforts: 4 },
  ]);
  expect(riddenWeeks(ridden, () => '2026-04-27')).toEqual([
    { monday: '2026-04-27', lowEfforts: 6, highEfforts: 0, jumpingDays: 2, passes: 3 },
  ]);
});

test('a stride that got shorter is told so, by how much and without a sign', () => {
  const drift = { change: -0.12, low: -0.2, high: -0.04, p: 0.004, points: 5 };
  const [review] = strideReviews(
    days(8).flatMap(day =>
      (['free18', 'free22'] as const).map(ground => pass(ground, day, 'left', strides(ground === 'free18' ? 4 : 5))),
    ),
    () => 3.66,
  );
  const grown = (changed: Partial<typeof drift>) =>
    strideClaims([{ ...review!, drift: { ...drift, ...changed } }], () => null, WORDS).map(({ text }) => text);
  expect(grown({})).toEqual(['Juniper’s course-canter has got shorter over the season by about 12 cm.']);
  expect(grown({ change: 0.12, low: 0.04, high: 0.2 })).toEqual([
    'Juniper’s course-canter has grown over the season by about 12 cm.',
  ]);
  expect(grown({ p: 0.3 })).toEqual([]);
});
