import { seededRandom } from '../statistics/seededRandom';
import { recordedPass } from './recordedPass';
import { reversedTrack } from './reversedTrack';
import { simulatePass, USUAL_NOISE } from './simulatePass';
import type { FootLanding } from './simulateRide';
import { course, JUNIPER } from './testCourse';

const NO_MISTAKES = { missing: 0, wrong: 0 };
const { layout, track } = course();
const ride = (seed: number, mistakes = NO_MISTAKES) =>
  simulatePass(layout, track, JUNIPER, mistakes, USUAL_NOISE, seededRandom(seed));

const withoutPlaces = (footfalls: readonly FootLanding[]) => footfalls.map(one => ({ ...one, xM: null, yM: null }));

test.each([
  ['places', (footfalls: readonly FootLanding[]) => footfalls, 1],
  // A receiver that is off along the track may take a neighbouring pause for the jump, seldom.
  ['times only', withoutPlaces, 0.97],
])('strides are counted from the feet between one jump and the next: %s', (_, seen, share) => {
  let [right, all] = [0, 0];
  for (let seed = 1; seed <= 12; seed += 1) {
    const { points, footfalls, strides } = ride(seed);
    const read = recordedPass(layout, track, 'as-drawn', { points, footfalls: seen(footfalls) }, USUAL_NOISE, 400);
    all += strides.length;
    right += read.strides.filter(({ place, count }) => strides[place - 1] === count).length;
  }
  expect(right / all).toBeGreaterThanOrEqual(share);
});

test('without footfalls there are no strides: places never say how many', () => {
  const { points } = ride(3);
  const read = recordedPass(layout, track, 'as-drawn', { points, footfalls: [] }, USUAL_NOISE, 400);
  expect(read.strides).toEqual([]);
  expect(read.match.ridden).toHaveLength(6);
  expect(read.marks.map(({ kind }) => kind)).toEqual(['track']);
});

test('feet decide, not time: with every third landing lost in one leg, that leg has fewer strides', () => {
  const { points, footfalls, ridden, strides } = ride(4);
  const [fromS, toS] = [ridden[0]!.timeS, ridden[1]!.timeS];
  const lost = (landing: FootLanding) => landing.foot === 'LF' && landing.timeS > fromS && landing.timeS < toS;
  const [first] = footfalls.filter(lost);
  const kept = footfalls.filter(({ foot }) => foot === 'LF').filter(landing => landing !== first);
  const read = recordedPass(layout, track, 'as-drawn', { points, footfalls: kept }, USUAL_NOISE, 400);
  expect(read.strides[0]).toEqual({ place: 1, count: strides[0]! - 1 });
});

test('what was run out of is missing, and its legs have no strides', () => {
  for (let seed = 1; seed < 60; seed += 1) {
    const { points, footfalls, ridden } = ride(seed, { missing: 0.15, wrong: 0 });
    const left = track.through.filter(({ item }) => !ridden.some(stop => stop.item === item));
    if (left.length !== 1) continue;
    const read = recordedPass(layout, track, 'as-drawn', { points, footfalls }, USUAL_NOISE, 400);
    expect(read.match.missed).toEqual([left[0]!.item]);
    const place = track.through.indexOf(left[0]!) + 1;
    expect(read.strides.map(one => one.place)).not.toContain(place);
    expect(read.strides.map(one => one.place)).not.toContain(place - 1);
    return;
  }
  throw new Error('no seed rode past exactly one');
});

test('ridden the other way, legs keep the numbers of the plan', () => {
  const items = layout.items.map(item => (item.kind === 'fence' ? { ...item, ridden: 'both-ways' as const } : item));
  const both = { ...layout, items };
  const pass = simulatePass(both, reversedTrack(track), JUNIPER, NO_MISTAKES, USUAL_NOISE, seededRandom(5));
  const read = recordedPass(both, track, 'other-way', pass, USUAL_NOISE, 400);
  expect(read.match.ridden.map(({ item }) => item)).toEqual(track.through.map(({ item }) => item).reverse());
  const told = Object.fromEntries(read.strides.map(({ place, count }) => [place, count]));
  const planned = [...pass.strides].reverse();
  const agree = planned.filter((count, leg) => told[leg + 1] === count);
  expect(agree).toHaveLength(planned.length);
});

test('the path that is kept begins and ends where the recording does', () => {
  const { points } = ride(7);
  const { path } = recordedPass(layout, track, 'as-drawn', { points, footfalls: [] }, USUAL_NOISE, 50);
  expect(path).toHaveLength(50);
  expect([path[0], path[49]]).toEqual([points[0]!.at, points[points.length - 1]!.at]);
});
