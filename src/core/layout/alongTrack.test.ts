import type { Arena } from '../arena/arena';
import { distanceM } from '../geometry/pointM';
import { headingFromFacing } from '../geometry/angles';
import type { Fence } from '../items/item';
import { newItem, type ItemChoice } from '../plan/newItem';
import { applyEdits } from './layoutEdit';
import { chainsOf, poseOnTrack, slideStop, stopsAlongM } from './alongTrack';
import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse } from './layout';
import { layoutWork } from './layoutWork';
import { leadMarks, legMarks, shownCount } from './legMarks';
import { makeItSo } from './makeItSo';
import { distanceCaseOf, reckonItemTrack, reckonLayout } from './reckonLayout';
import type { ReckonedItemTrack } from './reckonedTrack';
import { riddenRow } from './riddenRow';

const FT = 0.3048;
const ARENA: Arena = { widthM: 30, lengthM: 60, letters: 'none' };

/** Common practice, no source: a horse of 12 ft strides, and one of 11. */
const horse = (name: string, normalM: number): LayoutHorse => ({
  ...{ id: name, name, heightM: 1.63, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: normalM * 0.85, normalM, longM: normalM * 1.12 } },
});
const TWELVE = horse('Twelve', 12 * FT);
const ELEVEN = horse('Eleven', 11 * FT);

const fence = (id: string, xM: number, yM: number, facingDeg: number, form: ItemChoice = 'vertical') =>
  newItem(form, id, { xM, yM }, headingFromFacing(facingDeg)) as Fence;

function layoutOf(items: Layout['items'], changes: Partial<ItemTrack> = {}, horses = [TWELVE]): Layout {
  const track: ItemTrack = {
    ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
    through: items.map(({ id }) => ({ item: id, reversed: false })),
    legs: items.slice(1).map(() => DEFAULT_LEG),
    ...changes,
  };
  return { name: 'line', arena: ARENA, fall: null, school: 'whole-stride', items, tracks: [track], horses, kit: null };
}

const reckoned = (layout: Layout) => reckonLayout(layout)[0] as ReckonedItemTrack;
const trackOf = (layout: Layout) => layout.tracks[0] as ItemTrack;
const marksOf = (layout: Layout, leg = 0) => {
  const ridden = reckoned(layout).legs[leg]!;
  return legMarks(ridden, distanceCaseOf(layout, trackOf(layout), leg), ridden.readings[0]!);
};

describe('hoof marks', () => {
  test('60 ft is four strides of 12: landing 6 ft behind the fence, take-off 6 ft before the next (common practice, no source)', () => {
    const line = layoutOf([fence('a', 15, 10, 0), fence('b', 15, 10 + 60 * FT, 0)]);
    const marks = marksOf(line);
    expect(marks.map(({ kind }) => kind)).toEqual(['landing', 'stride', 'stride', 'stride', 'take-off']);
    expect(marks.map(({ alongM }) => alongM / FT)).toEqual([6, 18, 30, 42, 54].map(ft => expect.closeTo(ft, 9)));
    expect(marks[0]!.pose.at).toEqual({ xM: expect.closeTo(15, 9), yM: expect.closeTo(10 + 6 * FT, 9) });
  });

  test('from the back of an oxer, not from its middle', () => {
    const oxer = { ...fence('a', 15, 10, 0, 'oxer'), spreadM: 0.8 };
    const line = layoutOf([oxer, fence('b', 15, 10.4 + 60 * FT, 0)]);
    expect(marksOf(line)[0]!.alongM).toBeCloseTo(0.4 + 6 * FT, 9);
  });

  test('the two-metre school keeps landing and take-off and stretches what lies between (common practice, no source)', () => {
    const metric = horse('Metric', 3.5);
    // Fences of 1 m: 2 m to land and 2 m to take off at a stride of 3.5 m, so four strides are 18 m.
    const high = (id: string, yM: number) => ({ ...fence(id, 15, yM, 0), heightM: 1 });
    const at = (groundM: number) => ({
      ...layoutOf([high('a', 10), high('b', 10 + groundM)], {}, [metric]),
      school: 'two-metre' as const,
    });
    expect(marksOf(at(18)).map(({ alongM }) => alongM)).toEqual([2, 5.5, 9, 12.5, 16].map(m => expect.closeTo(m, 9)));
    const longer = marksOf(at(18.8)).map(({ alongM }) => alongM);
    expect(longer[0]).toBeCloseTo(2, 9);
    expect(longer[4]).toBeCloseTo(16.8, 9);
    expect(longer[1]! - longer[0]!).toBeCloseTo(3.7, 9);
  });

  test('an asked count is shown, even where another lies nearer', () => {
    const line = layoutOf([fence('a', 15, 10, 0), fence('b', 15, 10 + 60 * FT, 0)], {
      legs: [{ ...DEFAULT_LEG, asked: 5 }],
    });
    expect(shownCount(reckoned(line).legs[0]!.readings[0]!)).toBe(5);
    expect(marksOf(line)).toHaveLength(6);
  });

  test('over trot poles a step from pole to pole falls midway', () => {
    const poles = [0, 1.37, 2.74].map((yM, i) => newItem('pole', `p${i}`, { xM: 5, yM: 10 + yM }, Math.PI / 2));
    const row = layoutOf(poles, {
      gait: 'trot',
      legs: poles.slice(1).map(() => ({ ...DEFAULT_LEG, setting: 'poles' })),
    });
    const [mark, ...others] = marksOf(row);
    expect(others).toEqual([]);
    expect(mark!.alongM).toBeCloseTo(0.685, 9);
  });

  test('a turn is cantered on its own lead, and a bit of steering says nothing', () => {
    const turn = (headingDeg: number) => {
      const line = layoutOf([fence('a', 15, 10, 0), fence('b', 12, 32, headingDeg)]);
      return leadMarks(reckoned(line).legs[0]!.chain).map(({ lead }) => lead);
    };
    expect(turn(270)).toContain('left');
    expect(turn(358)).toEqual([]);
  });
});

describe('along a track', () => {
  const bend = layoutOf([fence('a', 8, 10, 0), fence('b', 14, 28, 40), fence('c', 24, 40, 40)]);

  test('its stops add up to its length, and each lies where its fence stands', () => {
    const track = reckoned(bend);
    const stops = stopsAlongM(track);
    expect(stops[2]).toBeCloseTo(track.lengthM, 9);
    stops.forEach((alongM, index) =>
      expect(distanceM(poseOnTrack(track, alongM)!.at, bend.items[index]!.at)).toBeLessThan(1e-9),
    );
    expect(chainsOf(track)).toHaveLength(2);
    expect(poseOnTrack(reckonLayout(layoutOf([bend.items[0]!]))[0]!, 3)).toBeNull();
  });

  test('a post slid forwards moves its fence along the track and turns it with it', () => {
    const track = reckoned(bend);
    const edits = slideStop(bend, trackOf(bend), track, 1, 2);
    const moved = applyEdits(bend, edits).items[1]!;
    const there = poseOnTrack(track, stopsAlongM(track)[1]! + 2)!;
    expect(distanceM(moved.at, there.at)).toBeLessThan(1e-9);
    expect('headingRad' in moved && Math.sin(moved.headingRad - there.headingRad)).toBeCloseTo(0, 9);
    expect(
      distanceM(applyEdits(bend, slideStop(bend, trackOf(bend), track, 1, 0)).items[1]!.at, bend.items[1]!.at),
    ).toBeLessThan(1e-9);
  });

  test('at the ends of the track it goes straight on', () => {
    const line = layoutOf([fence('a', 15, 10, 0), fence('b', 15, 30, 0)]);
    const slid = (index: number, byM: number) =>
      applyEdits(line, slideStop(line, trackOf(line), reckoned(line), index, byM)).items[index]!.at.yM;
    expect(slid(1, 3)).toBeCloseTo(33, 9);
    expect(slid(0, -3)).toBeCloseTo(7, 9);
  });
});

describe('made so', () => {
  test('the second fence moves so that five strides of 12 ft are 72 ft', () => {
    const line = layoutOf([fence('a', 15, 10, 0), fence('b', 15, 30, 0)]);
    const made = makeItSo(line, trackOf(line), 0, 5, [TWELVE]);
    if (!made.ok) throw new Error(made.reason);
    const after = applyEdits(line, made.edits);
    expect(reckonItemTrack(after, trackOf(after)).legs[0]!.groundM / FT).toBeCloseTo(72, 5);
    expect(trackOf(after).legs[0]!.asked).toBe(5);
    expect(reckonItemTrack(after, trackOf(after)).legs[0]!.readings[0]!.asked).toMatchObject({
      strides: 5,
      word: 'easy',
    });
  });

  test('what follows goes along, so that the distance behind it stays', () => {
    const line = layoutOf([fence('a', 15, 10, 0), fence('b', 15, 26, 0), fence('c', 15, 38, 0)]);
    const made = makeItSo(line, trackOf(line), 0, 3, [TWELVE]);
    if (!made.ok) throw new Error(made.reason);
    const [first, second] = reckonItemTrack(applyEdits(line, made.edits), trackOf(line)).legs;
    expect(first!.groundM / FT).toBeCloseTo(48, 5);
    expect(second!.groundM).toBeCloseTo(12, 9);
  });

  test('for a group it lies between what each of them wants', () => {
    const line = layoutOf([fence('a', 15, 10, 0), fence('b', 15, 30, 0)], {}, [TWELVE, ELEVEN]);
    const made = makeItSo(line, trackOf(line), 0, 5, [TWELVE, ELEVEN]);
    if (!made.ok) throw new Error(made.reason);
    expect(made.groundM / FT).toBeGreaterThan(66);
    expect(made.groundM / FT).toBeLessThan(72);
  });

  test('where the sand ends it says so, and asks no impossible thing', () => {
    const line = layoutOf([fence('a', 15, 40, 0), fence('b', 15, 55, 0)]);
    expect(makeItSo(line, trackOf(line), 0, 9, [TWELVE])).toEqual({
      ok: false,
      reason: expect.stringContaining('no room'),
    });
    expect(() => makeItSo(line, trackOf(line), 0, 4, [])).toThrow(RangeError);
  });
});

test('the work of a ride: metres, minutes at the gait, efforts and changes of rein', () => {
  const line = layoutOf([fence('a', 15, 10, 0), fence('b', 15, 30, 0)]);
  // Common practice, no source: 350 m a minute on a course.
  expect(layoutWork(line, reckonLayout(line))).toEqual([
    expect.objectContaining({ lengthM: 20, minutes: expect.closeTo(20 / 350, 12), efforts: 2, changesOfRein: 0 }),
  ]);
  const timed = layoutOf(line.items, { course: { speedMPerMin: 300, startM: 10, finishM: 10 }, passes: 3 });
  expect(layoutWork(timed, reckonLayout(timed))[0]).toMatchObject({
    lengthM: 40,
    passes: 3,
    minutes: expect.closeTo(40 / 300, 12),
  });
});

test('a row is known by its even gaps, and fences are no row', () => {
  const poles = (...gaps: number[]) =>
    gaps.map((yM, i) => newItem(i === 1 ? 'raised pole' : 'pole', `p${i}`, { xM: 5, yM: 10 + yM }, Math.PI / 2));
  expect(riddenRow(layoutOf(poles(0, 1.37, 2.74), { gait: 'trot' }))).toEqual({
    ...{ track: 'line', gait: 'trot', items: 3, raised: true },
    spacingM: expect.closeTo(1.37, 9),
  });
  expect(riddenRow(layoutOf(poles(0, 1.3, 2.74), { gait: 'trot' }))!.spacingM).toBeNull();
  expect(riddenRow(layoutOf([fence('a', 15, 10, 0), fence('b', 15, 30, 0)]))).toMatchObject({
    items: 2,
    spacingM: null,
  });
  expect(riddenRow({ ...layoutOf([]), tracks: [] })).toBeNull();
});
