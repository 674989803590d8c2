import type { TrackGait } from '../layout/trackGait';
import { gaitStretches, type RiddenStretch } from './gaitStretches';
import type { PassMark } from './passMark';

/** Flat walk for 20 m, running walk for 30, flat walk for 20. */
const ASKED = [
  { gait: 'flat-walk', fromM: 0, toM: 20 },
  { gait: 'running-walk', fromM: 20, toM: 50 },
  { gait: 'flat-walk', fromM: 50, toM: 70 },
] as const;
const said = (ridden: TrackGait, at: { from?: number; fromM?: number } = {}): PassMark => ({
  ...{ id: `${ridden} ${at.from} ${at.fromM}`, kind: 'gait', ridden },
  ...at,
});
const told = (stretches: RiddenStretch[]) =>
  stretches.map(({ asked, ridden, fromM, toM }) => `${fromM}–${toM} ${asked}: ${ridden}`);
const sumM = (stretches: RiddenStretch[]) => stretches.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0);

test('what nobody marked was ridden as it was asked', () => {
  expect(told(gaitStretches(ASKED, [], []))).toEqual([
    '0–20 flat-walk: flat-walk',
    '20–50 running-walk: running-walk',
    '50–70 flat-walk: flat-walk',
  ]);
});

test('a gait holds until the next mark, or until another gait is asked', () => {
  expect(told(gaitStretches(ASKED, [], [said('running-walk', { fromM: 32 }), said('pace', { fromM: 22 })]))).toEqual([
    '0–20 flat-walk: flat-walk',
    '20–22 running-walk: running-walk',
    '22–32 running-walk: pace',
    '32–50 running-walk: running-walk',
    '50–70 flat-walk: flat-walk',
  ]);
});

test('a gait of the whole gives way to what is said of a place', () => {
  expect(told(gaitStretches(ASKED, [], [said('trot'), said('running-walk', { fromM: 20 })]))).toEqual([
    '0–20 flat-walk: trot',
    '20–50 running-walk: running-walk',
    '50–70 flat-walk: trot',
  ]);
});

test('over poles a gait is said from a pole on', () => {
  const row = [{ gait: 'running-walk', fromM: 0, toM: 4.8 }] as const;
  expect(told(gaitStretches(row, [0, 2.4, 4.8], [said('trot', { from: 2 })]))).toEqual([
    '0–2.4 running-walk: running-walk',
    '2.4–4.8 running-walk: trot',
  ]);
  // Behind the last one there is nothing left to ride.
  expect(sumM(gaitStretches(row, [0, 2.4, 4.8], [said('trot', { from: 3 })]))).toBeCloseTo(4.8, 9);
});

test('whatever is marked, the stretches are as long as the track', () => {
  const gaits = ['trot', 'pace', 'running-walk', 'flat-walk'] as const;
  let seed = 7;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  for (let round = 0; round < 200; round += 1) {
    const marks = Array.from({ length: Math.floor(random() * 6) }, () => {
      const at = random();
      return said(gaits[Math.floor(random() * 4)]!, at < 0.2 ? {} : { fromM: at * 80 });
    });
    const stretches = gaitStretches(ASKED, [], marks);
    expect(sumM(stretches)).toBeCloseTo(70, 9);
    for (const [index, { fromM }] of stretches.entries()) expect(fromM).toBe(stretches[index - 1]?.toM ?? 0);
  }
});

test('nothing was asked: nothing was ridden', () => {
  expect(gaitStretches([], [], [said('pace')])).toEqual([]);
});
