import { seededRandom } from '../statistics/seededRandom';
import { matchTrack } from './matchTrack';
import { simulatePass, USUAL_NOISE } from './simulatePass';
import { course, JUNIPER } from './testCourse';

const NO_MISTAKES = { missing: 0, wrong: 0 };

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
