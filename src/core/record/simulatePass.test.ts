import { chainEnd } from '../geometry/chain';
import { isRidden, type RiddenItem } from '../items/item';
import { DEFAULT_LEG, type ItemTrack } from '../layout/layout';
import { reckonItemTrack } from '../layout/reckonLayout';
import { seededRandom } from '../statistics/seededRandom';
import { simulatePass, USUAL_NOISE, wayBetween, wayPose } from './simulatePass';
import { course, JUNIPER } from './testCourse';

const { layout, track } = course();
const items = new Map(layout.items.filter(isRidden).map(item => [item.id, item]));
const way = (id: string, beside: 'left' | 'right' | null = null) => ({ item: items.get(id)!, reversed: false, beside });
/** The course with a leg that is planned another way than is natural. */
const withLeg = (leg: number): ItemTrack => ({
  ...track,
  legs: track.legs.map((one, index) => (index === leg ? { ...DEFAULT_LEG, track: 'direct' as const } : one)),
});
const plannedM = (of: ItemTrack, leg: number) => reckonItemTrack(layout, of).legs[leg]!.chain.lengthM;
const lengthM = (of: ItemTrack, from: string, to: string, leg: number) =>
  wayBetween(layout, of, way(from), way(to), leg).lengthM;

describe('the way from one to the next', () => {
  // From rowan round to willow the shortest way is not the natural one.
  const direct = withLeg(2);

  test('is the planned one where it is the planned leg', () => {
    expect(plannedM(direct, 2)).not.toBeCloseTo(plannedM(track, 2), 1);
    expect(lengthM(direct, 'rowan', 'willow', 2)).toBeCloseTo(plannedM(direct, 2), 9);
  });

  test('else the natural one: another leg, another fence at either end, or none', () => {
    const naturalM = lengthM(track, 'rowan', 'willow', 2);
    expect(lengthM(direct, 'rowan', 'willow', 1)).toBeCloseTo(naturalM, 9);
    expect(lengthM(direct, 'rowan', 'willow', -1)).toBeCloseTo(naturalM, 9);
    expect(lengthM(direct, 'rowan', 'linnet', 2)).toBeCloseTo(lengthM(track, 'rowan', 'linnet', -1), 9);
    expect(lengthM(direct, 'tern', 'willow', 2)).toBeCloseTo(lengthM(track, 'tern', 'willow', -1), 9);
  });

  test('past something it goes by beside it, and is no planned leg', () => {
    const past = wayBetween(layout, direct, way('rowan'), way('willow', 'left'), 2);
    const willow = items.get('willow') as RiddenItem;
    const end = chainEnd(past).at;
    // Half its width and two and a half metres beside its middle.
    const asideM = Math.hypot(end.xM - willow.at.xM, end.yM - willow.at.yM);
    expect(asideM).toBeCloseTo((willow.kind === 'fence' ? willow.widthM : 0) / 2 + 2.5, 6);
    // It is ridden down the sand there: its left is to the east.
    expect(end.xM).toBeGreaterThan(willow.at.xM);
    expect(wayPose(way('willow', 'right')).at.xM).toBeLessThan(willow.at.xM);
  });
});

describe('a stand-in rider', () => {
  const ride = (mistakes: { missing: number; wrong: number }, seed: number) =>
    simulatePass(layout, track, JUNIPER, mistakes, USUAL_NOISE, seededRandom(seed));

  test('without mistakes rides all of it in order, later each time, with strides between', () => {
    const { ridden, strides, footfalls, points } = ride({ missing: 0, wrong: 0 }, 1);
    expect(ridden.map(({ item }) => item)).toEqual(track.through.map(({ item }) => item));
    expect(ridden.map(({ stop }) => stop)).toEqual([0, 1, 2, 3, 4, 5]);
    const times = ridden.map(({ timeS }) => timeS);
    expect([...times].sort((a, b) => a - b)).toEqual(times);
    expect(strides).toHaveLength(5);
    // Each stride lands every foot once.
    expect(footfalls).toHaveLength(4 * strides.reduce((sum, one) => sum + one, 0));
    // Five points a second.
    expect(points[1]!.timeS - points[0]!.timeS).toBeCloseTo(0.2, 9);
  });

  test('never misses the first or the last, and what it rides instead is none of the track there', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const missed = ride({ missing: 1, wrong: 0 }, seed).ridden;
      expect(missed.map(({ item }) => item)).toEqual(['alder', 'hazel']);
      const wrong = ride({ missing: 0, wrong: 1 }, seed).ridden;
      expect([wrong[0]!.item, wrong.at(-1)!.item]).toEqual(['alder', 'hazel']);
      const inner = wrong.slice(1, -1);
      expect(inner).toHaveLength(4);
      inner.forEach(({ item, stop }, index) => {
        expect(stop).toBeNull();
        const about = track.through.slice(index, index + 3).map(one => one.item);
        expect(about).not.toContain(item);
      });
    }
  });

  test('a track over one thing is refused', () =>
    expect(() =>
      simulatePass(
        layout,
        { ...track, through: track.through.slice(0, 1) },
        JUNIPER,
        { missing: 0, wrong: 0 },
        USUAL_NOISE,
        seededRandom(1),
      ),
    ).toThrow(RangeError));
});
