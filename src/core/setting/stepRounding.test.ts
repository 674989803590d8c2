import { distanceM } from '../geometry/pointM';
import { DEFAULT_LEG, type ItemTrack, type Layout } from '../layout/layout';
import { seededRandom } from '../statistics/seededRandom';
import { itemsAsMeasured, editsToStand } from './asMeasured';
import { applyEdits } from '../layout/layoutEdit';
import { changedLegs } from './legChanges';
import { placingTolerance } from './placingTolerance';
import { settingSheet } from './settingSheet';
import { stepRounding } from './stepRounding';
import { testHorse, verticalsInLine } from './testLine';

const FROM = { xM: 10, yM: 0 };
const sheetOf = (layout: Layout) => settingSheet(layout, { measureBy: 'walls', from: FROM });

/** Every choice of the half step below or above each measure. */
function everyRounding(lengths: number[], stepM: number): number[][] {
  return lengths.reduce<number[][]>(
    (all, lengthM) => {
      const below = Math.floor((lengthM / stepM) * 2 + 1e-9) / 2;
      const exact = Math.abs(below * stepM - lengthM) < 1e-9;
      return all.flatMap(chosen =>
        exact
          ? [[...chosen, below]]
          : [
              [...chosen, below],
              [...chosen, below + 0.5],
            ],
      );
    },
    [[]],
  );
}

function wordsChanged(layout: Layout, steps: Map<string, number>, stepM: number): number {
  const lengths = new Map([...steps].map(([id, count]) => [id, count * stepM]));
  const items = itemsAsMeasured(layout, sheetOf(layout), lengths);
  return changedLegs(layout, items).reduce(
    (sum, { horses }) => sum + horses.filter(({ changed }) => changed).length,
    0,
  );
}

test('no rounding of all the measures changes fewer words (every one tried)', () => {
  const random = seededRandom(21);
  for (let round = 0; round < 6; round += 1) {
    const first = 8 + random() * 3;
    const layout = verticalsInLine(
      [first, first + 10.9 + random(), first + 29 + random()],
      [testHorse('Juniper', 3.66), testHorse('Bramble', 3.2 + random() * 0.3)],
    );
    const stepM = 0.72 + random() * 0.2;
    const free = sheetOf(layout).measures.filter(({ follows }) => !follows);
    expect(free.length).toBeLessThanOrEqual(10);
    const rounding = stepRounding(layout, sheetOf(layout), stepM);
    expect(rounding.isBest).toBe(true);
    const tried = everyRounding(
      free.map(({ lengthM }) => lengthM),
      stepM,
    ).map(steps => wordsChanged(layout, new Map(free.map(({ id }, i) => [id, steps[i]!])), stepM));
    expect(tried.length).toBeGreaterThan(4);
    expect(rounding.changedWords).toBe(Math.min(...tried));
    for (const { id, lengthM } of free)
      expect(Math.abs(rounding.steps.get(id)! * stepM - lengthM)).toBeLessThanOrEqual(stepM / 2 + 1e-9);
  }
});

test('where counts are asked, no rounding changes fewer of the words that are said of them (every one tried)', () => {
  const random = seededRandom(1127);
  for (let round = 0; round < 12; round += 1) {
    const first = 8 + random() * 3;
    const plain = verticalsInLine(
      [first, first + 14 + 2 * random(), first + 33 + 2 * random()],
      [
        testHorse('Juniper', 3.66),
        testHorse('Bramble', 3.2 + random() * 0.3),
        testHorse('Bramble', 2.9 + random() * 0.3),
      ],
    );
    const asked = [3 + Math.floor(random() * 2), 4 + Math.floor(random() * 2)];
    const layout: Layout = {
      ...plain,
      horses: plain.horses.map((one, index) => ({ ...one, id: `h${index}` })),
      tracks: plain.tracks.map(track => ({
        ...(track as ItemTrack),
        legs: asked.map(count => ({ ...DEFAULT_LEG, asked: count })),
      })),
    };
    const stepM = 0.72 + random() * 0.2;
    const free = sheetOf(layout).measures.filter(({ follows }) => !follows);
    const tried = everyRounding(
      free.map(({ lengthM }) => lengthM),
      stepM,
    ).map(steps => wordsChanged(layout, new Map(free.map(({ id }, i) => [id, steps[i]!])), stepM));
    expect(stepRounding(layout, sheetOf(layout), stepM).changedWords).toBe(Math.min(...tried));
  }
});

test('on a long sheet it is never worse than each measure to its nearest half step', () => {
  const layout = verticalsInLine(
    [5, 9, 13, 17, 21, 25, 29, 33, 41, 45, 49, 53],
    [testHorse('Juniper', 3.66), testHorse('Fen', 2.9)],
  );
  // Each fence by itself, so that there are more than ten measures.
  const turned = { ...layout, items: layout.items.map((item, i) => ({ ...item, headingRad: Math.PI / 2 + i * 0.01 })) };
  const sheet = sheetOf(turned as Layout);
  const free = sheet.measures.filter(({ follows }) => !follows);
  expect(free.length).toBeGreaterThan(10);
  const stepM = 0.83;
  const rounding = stepRounding(turned as Layout, sheet, stepM);
  expect(rounding.isBest).toBe(false);
  const nearest = new Map(free.map(({ id, lengthM }) => [id, Math.round((lengthM / stepM) * 2) / 2]));
  expect(rounding.changedWords).toBeLessThanOrEqual(wordsChanged(turned as Layout, nearest, stepM));
});

test('a step that cannot be is refused', () => {
  const layout = verticalsInLine([10, 28.3], [testHorse('Juniper', 3.66)]);
  expect(() => stepRounding(layout, sheetOf(layout), 0)).toThrow(RangeError);
  expect(() => stepRounding(layout, sheetOf(layout), NaN)).toThrow(RangeError);
});

describe('as set', () => {
  // Whole-stride school, worked by hand: 18.3 m is five strides of ground at 3.66 m, so an easy four.
  const layout = verticalsInLine([10, 28.3], [testHorse('Juniper', 3.66)]);
  const sheet = sheetOf(layout);
  const along = sheet.pieces[1]!.points[0]!.placing;

  test('by the printed measures everything stands as planned', () => {
    const standing = itemsAsMeasured(layout, sheet, new Map());
    standing.forEach((item, i) => expect(distanceM(item.at, layout.items[i]!.at)).toBeLessThan(1e-9));
    expect(editsToStand(layout, standing)).toEqual([]);
    expect(changedLegs(layout, standing)).toEqual([]);
  });

  test('one measure 60 cm long moves its fence and its word', () => {
    if (along.how !== 'wall') throw new Error('a fence by itself is set from a wall');
    const measure = sheet.measures.find(({ id }) => id === along.along)!;
    const item = sheet.pieces[1]!.item;
    const standing = itemsAsMeasured(layout, sheet, new Map([[measure.id, measure.lengthM + 0.6]]));
    const edits = editsToStand(layout, standing);
    expect(edits).toHaveLength(1);
    expect(edits[0]).toMatchObject({ kind: 'move-item', item: item.id });
    const [change] = changedLegs(layout, standing);
    expect(Math.abs(change!.longerM)).toBeCloseTo(0.6, 9);
    // 18.9 m: four at 18.9 / 5 / 3.66 = 1.033, five at 18.9 / 6 / 3.66 = 0.861; 17.7 m: four at 0.967, five at 0.806.
    const after = change!.longerM > 0 ? 'forward four or short five' : 'quiet four';
    expect(change!.horses).toEqual([{ horse: 'Juniper', before: 'easy four', after, changed: true }]);
    expect(changedLegs(layout, applyEdits(layout, edits).items)[0]!.longerM).toBeCloseTo(change!.longerM, 9);
  });
});

test('a piece may be off until the first word changes (worked by hand)', () => {
  // Easy ends at q = 1.03 and at 0.97: 5 × 3.66 × 0.03 = 0.549 m either way.
  const [first, second] = placingTolerance(verticalsInLine([10, 28.3], [testHorse('Juniper', 3.66)]));
  for (const found of [first, second]) {
    expect(found!.offM).toBeGreaterThanOrEqual(0.549);
    expect(found!.offM).toBeLessThan(0.551);
    expect(found).toMatchObject({ horse: 'Juniper', from: 'f1', to: 'f2', before: 'easy four' });
  }
  // A way that is found late is no less touchy: 6 mm to one side of a limit, a good way from the other. 1.03 × 5 × 3.55 =
  // 18.2825 is 17.5 mm under 18.3, so that it is forward by as much; easy again for going nearer is no harm.
  const nearLimit = verticalsInLine(
    [10, 28.3],
    [testHorse('Juniper', 3.5515), testHorse('Bramble', (18.3 - 0.006) / 5 / 0.97)],
  );
  const [near] = placingTolerance(nearLimit);
  expect(near!.offM).toBeCloseTo(0.006, 3);
  expect(near).toMatchObject({ horse: 'Bramble', before: 'easy four', after: 'quiet four' });
  // A horse whose word is just about to change makes it touchier: 18.3 / 5 / 3.56 = 1.028.
  const [touchiest] = placingTolerance(
    verticalsInLine([10, 28.3], [testHorse('Juniper', 3.66), testHorse('Bramble', 3.56)]),
  );
  expect(touchiest).toMatchObject({ horse: 'Bramble', before: 'easy four', after: 'forward four or short five' });
  expect(touchiest!.offM).toBeCloseTo(5 * 3.56 * 1.03 - 18.3, 2);
});
