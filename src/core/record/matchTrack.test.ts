import { newItem } from '../plan/newItem';
import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse } from '../layout/layout';
import { seededRandom } from '../statistics/seededRandom';
import { matchTrack } from './matchTrack';
import { simulatePass, USUAL_NOISE } from './simulatePass';

const JUNIPER: LayoutHorse = { name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} };
const NO_MISTAKES = { missing: 0, wrong: 0 };

/** Eight fences on a field: two lines up and down, a diagonal each way, a fence at the end. */
function course(): { layout: Layout; track: ItemTrack } {
  const up = Math.PI / 2;
  const places: [string, number, number, number][] = [
    ['alder', 8, 20, up],
    ['heron', 8, 38, up],
    ['rowan', 20, 52, 0],
    ['willow', 30, 40, -up],
    ['linnet', 30, 22, -up],
    ['hazel', 20, 30, up + 0.9],
    ['plover', 14, 10, 0],
    ['tern', 24, 34, up - 0.5],
  ];
  const items = places.map(([id, xM, yM, headingRad]) => ({
    ...newItem('vertical', id, { xM, yM }, headingRad),
    ridden: 'one-way' as const,
  }));
  const order = ['alder', 'heron', 'rowan', 'willow', 'linnet', 'hazel'];
  const track: ItemTrack = {
    ...{ kind: 'items', id: 'course', gait: 'course-canter', course: null, passes: 1 },
    through: order.map(item => ({ item, reversed: false })),
    legs: order.slice(1).map(() => DEFAULT_LEG),
  };
  const layout = {
    ...{ name: 'course', arena: { widthM: 40, lengthM: 65, letters: 'none' }, fall: null, school: 'whole-stride' },
    ...{ items, tracks: [track], horses: [JUNIPER], kit: null },
  } as Layout;
  return { layout, track };
}

const order = (ridden: readonly { item: string }[]) => ridden.map(({ item }) => item);
const legs = (ridden: readonly { item: string }[]) =>
  order(ridden)
    .slice(1)
    .map((to, i) => `${order(ridden)[i]}>${to}`);

test('the same seed rides the same way', () => {
  const { layout, track } = course();
  const ride = () => simulatePass(layout, track, JUNIPER, { missing: 0.1, wrong: 0.1 }, USUAL_NOISE, seededRandom(4));
  expect(ride()).toEqual(ride());
});

test('without noise the whole track is found, each thing when it was crossed', () => {
  const { layout, track } = course();
  const pass = simulatePass(layout, track, JUNIPER, NO_MISTAKES, { ...USUAL_NOISE, sdM: 0 }, seededRandom(1));
  const match = matchTrack(layout, track, pass.points, USUAL_NOISE);
  expect(order(match.ridden)).toEqual(['alder', 'heron', 'rowan', 'willow', 'linnet', 'hazel']);
  match.ridden.forEach(({ timeS }, i) => expect(Math.abs(timeS - pass.ridden[i]!.timeS)).toBeLessThan(0.3));
  expect(match).toMatchObject({ missed: [], extra: [] });
});

test('strides between two fences are those of the footfalls', () => {
  const { layout, track } = course();
  const pass = simulatePass(layout, track, JUNIPER, NO_MISTAKES, USUAL_NOISE, seededRandom(8));
  pass.strides.forEach((count, leg) => {
    const [from, to] = [pass.ridden[leg]!.timeS, pass.ridden[leg + 1]!.timeS];
    expect(pass.footfalls.filter(({ foot, timeS }) => foot === 'LF' && timeS > from && timeS < to)).toHaveLength(count);
  });
});

test('with 1.5 m of noise that stays for 10 s, 5 times a second, 99 legs in 100 are found, in order', () => {
  const { layout, track } = course();
  const random = seededRandom(99);
  let [right, all, mistakes] = [0, 0, 0];
  for (let ride = 0; ride < 150; ride += 1) {
    const pass = simulatePass(layout, track, JUNIPER, { missing: 0.02, wrong: 0.01 }, USUAL_NOISE, random);
    const match = matchTrack(layout, track, pass.points, USUAL_NOISE);
    const [truth, found] = [legs(pass.ridden), legs(match.ridden)];
    if (order(pass.ridden).join() !== order(track.through).join()) mistakes += 1;
    all += truth.length;
    // A leg counts as found where the matched legs have it in the same order.
    let at = 0;
    for (const leg of truth) {
      const there = found.indexOf(leg, at);
      if (there < 0) continue;
      right += 1;
      at = there + 1;
    }
  }
  expect(mistakes).toBeGreaterThan(10);
  expect(right / all).toBeGreaterThanOrEqual(0.99);
});
