import { seededRandom } from '../statistics/seededRandom';
import { simulatePass, USUAL_NOISE } from './simulatePass';
import { standInMarks, USUAL_MANNER, type StandInManner } from './standInMarks';
import { standInRide, USUAL_MISTAKES } from './standInRide';
import { DEFAULT_LEG } from '../layout/layout';
import { readDistance } from '../stride/readDistance';
import { distanceCaseOf, reckonItemTrack } from '../layout/reckonLayout';
import { layoutStride, settingAt } from '../layout/layoutStrides';
import { course, JUNIPER } from './testCourse';
import type { Rein } from '../track/rein';

const { layout, track } = course();

/** How often something was marked in many rides. */
function share(manner: Partial<StandInManner>, rein: Rein, is: (place: number) => boolean = () => true) {
  const random = seededRandom(11);
  let [wrong, all] = [0, 0];
  for (let ride = 0; ride < 200; ride += 1) {
    const pass = simulatePass(layout, track, JUNIPER, { missing: 0, wrong: 0 }, USUAL_NOISE, random);
    const marks = standInMarks(layout, track, JUNIPER, pass, rein, { ...USUAL_MANNER, ...manner }, random);
    all += track.through.filter((_, index) => is(index + 1)).length;
    wrong += marks.filter(
      mark => mark.kind === 'fence' && is(mark.place) && ['down', 'refusal'].includes(mark.outcome),
    ).length;
  }
  return wrong / all;
}

test('mishaps come as often as they should, more often on the worse rein and at a bad place', () => {
  expect(share({ mishap: 0.1 }, 'left')).toBeCloseTo(0.1, 1);
  expect(share({ mishap: 0.1, worseRein: { rein: 'left', times: 2 } }, 'left')).toBeCloseTo(0.2, 1);
  expect(share({ mishap: 0.1, worseRein: { rein: 'right', times: 2 } }, 'left')).toBeCloseTo(0.1, 1);
  const heron = layout.items.find(({ id }) => id === 'heron')!;
  const bad = { mishap: 0.02, badPlace: { at: heron.at, radiusM: 3, chance: 0.5 } };
  expect(share(bad, 'left', place => place === 2)).toBeGreaterThan(0.4);
  expect(share(bad, 'left', place => place !== 2)).toBeLessThan(0.05);
});

test('strides are those that were ridden, leg by leg; what was run out of is marked so', () => {
  const random = seededRandom(2);
  for (let ride = 0; ride < 30; ride += 1) {
    const pass = simulatePass(layout, track, JUNIPER, { missing: 0.1, wrong: 0 }, USUAL_NOISE, random);
    const marks = standInMarks(layout, track, JUNIPER, pass, 'right', USUAL_MANNER, random);
    const runOut = marks.flatMap(mark =>
      mark.kind === 'fence' && mark.outcome.startsWith('run-out') ? [mark.place] : [],
    );
    const missed = track.through.flatMap(({ item }, i) =>
      pass.ridden.some(stop => stop.item === item) ? [] : [i + 1],
    );
    expect(runOut).toEqual(missed);
    const counted = marks.flatMap(mark => (mark.kind === 'strides' ? [mark] : []));
    if (missed.length === 0) expect(counted.map(({ count }) => count)).toEqual(pass.strides);
    for (const { place } of counted) expect(missed).not.toContain(place);
    const quality = marks.filter(({ kind }) => kind === 'quality');
    expect(quality).toHaveLength(1);
  }
});

test('ridden the other way, places keep the numbers of the plan', () => {
  const items = layout.items.map(item => (item.kind === 'fence' ? { ...item, ridden: 'both-ways' as const } : item));
  const both = { ...layout, items };
  const wish = {
    rein: 'left',
    direction: 'other-way',
    manner: USUAL_MANNER,
    mistakes: { missing: 0, wrong: 0 },
  } as const;
  const { marks, recording } = standInRide(both, JUNIPER, wish, seededRandom(9));
  const counted = marks.flatMap(mark => (mark.kind === 'strides' ? [mark] : []));
  expect(counted.map(({ place }) => place)).toEqual([5, 4, 3, 2, 1]);
  expect(counted.map(({ count }) => count)).toEqual(recording!.strides);
});

test('on the flat it marks figures, and there is nothing to record', () => {
  const flat = { ...layout, items: [], tracks: [] };
  const wish = { rein: 'left', direction: 'as-drawn', manner: USUAL_MANNER, mistakes: USUAL_MISTAKES } as const;
  const { marks, recording } = standInRide(flat, JUNIPER, wish, seededRandom(1));
  expect(recording).toBeNull();
  expect(marks.map(({ kind }) => kind)).toEqual(['quality']);
});

test('a fence that is ridden twice counts each time for itself, and the last leg is ridden like any other', () => {
  // Up the line, round, and up it again: the first time must not stand for the second.
  const order = ['alder', 'heron', 'rowan', 'willow', 'linnet', 'alder', 'heron'];
  const again = {
    ...track,
    through: order.map(item => ({ item, reversed: false })),
    legs: order.slice(1).map(() => DEFAULT_LEG),
  };
  const twice = { ...layout, tracks: [again] };
  const even = reckonItemTrack(twice, again).legs.map((leg, index) => {
    const stride = layoutStride(JUNIPER, again.gait, settingAt(again.gait, again.legs[index]!))!;
    return readDistance(leg.groundM, distanceCaseOf(twice, again, index), stride).evenCount;
  });
  const wish = { rein: null, direction: 'as-drawn', manner: USUAL_MANNER, mistakes: { missing: 0, wrong: 0 } } as const;
  const random = seededRandom(5);
  const counts = order.slice(1).map((): number[] => []);
  for (let ride = 0; ride < 60; ride += 1)
    for (const mark of standInRide(twice, JUNIPER, wish, random).marks)
      if (mark.kind === 'strides') counts[mark.place - 1]!.push(mark.count);
  counts.forEach((ridden, leg) => {
    expect(ridden).toHaveLength(60);
    const mean = ridden.reduce((sum, count) => sum + count, 0) / ridden.length;
    expect(Math.abs(mean - even[leg]!)).toBeLessThan(0.6);
  });
});
