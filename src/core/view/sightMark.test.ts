import { sightMarkAt } from './sightMark';

const ARENA = { widthM: 20, lengthM: 60, letters: 'none' as const };
const DEG = Math.PI / 180;

it.each([
  ['straight up the sand: 0.3 m inside the far wall', 10, 30, 90, { xM: 10, yM: 59.7 }],
  ['to the right wall', 8, 30, 0, { xM: 19.7, yM: 30 }],
  // 10 m to the right wall at 45°: 14.142 m along, less 0.3 m, each side by cos 45°.
  ['at 45° to the right wall', 10, 20, 45, { xM: 19.788, yM: 29.788 }],
  ['too near before a wall: none', 10, 57, 90, null],
])('%s', (_, xM, yM, headingDeg, at) => {
  const mark = sightMarkAt(ARENA, { at: { xM, yM }, headingRad: headingDeg * DEG });
  if (at === null) expect(mark).toBeNull();
  else {
    expect(mark!.xM).toBeCloseTo(at.xM, 3);
    expect(mark!.yM).toBeCloseTo(at.yM, 3);
  }
});
