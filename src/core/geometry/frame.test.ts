import fc from 'fast-check';
import { mirroredPlace, mirroredPose, placeMoved, pointInFrame, poseInFrame } from './frame';
import { distanceM } from './pointM';

const metres = fc.integer({ min: -40_000, max: 40_000 }).map(mm => mm / 1000);
const point = fc.record({ xM: metres, yM: metres });
const pose = fc.record({ at: point, headingRad: fc.integer({ min: 0, max: 628 }).map(c => c / 100) });

test('a frame turned to face up the arena: ahead is up, left is towards the left wall', () => {
  const place = { at: { xM: 10, yM: 5 }, headingRad: Math.PI / 2 };
  expect(pointInFrame(place, { xM: 3, yM: 0 })).toEqual({ xM: expect.closeTo(10, 12), yM: expect.closeTo(8, 12) });
  expect(pointInFrame(place, { xM: 0, yM: 2 })).toEqual({ xM: expect.closeTo(8, 12), yM: expect.closeTo(5, 12) });
});

test('distances and turns are the same in a frame and on the sand', () => {
  fc.assert(
    fc.property(pose, pose, pose, (place, a, b) => {
      const [onSandA, onSandB] = [poseInFrame(place, a), poseInFrame(place, b)];
      expect(distanceM(onSandA.at, onSandB.at)).toBeCloseTo(distanceM(a.at, b.at), 9);
      expect(onSandB.headingRad - onSandA.headingRad).toBeCloseTo(b.headingRad - a.headingRad, 9);
    }),
  );
});

test('a mirrored frame in a mirrored place is the mirror image on the sand', () => {
  const widthM = 20;
  fc.assert(
    fc.property(pose, pose, (place, local) => {
      const onSand = poseInFrame(place, local);
      const image = poseInFrame(mirroredPlace(widthM, place), mirroredPose(local));
      expect(image.at.xM).toBeCloseTo(widthM - onSand.at.xM, 9);
      expect(image.at.yM).toBeCloseTo(onSand.at.yM, 9);
      expect(Math.cos(image.headingRad)).toBeCloseTo(-Math.cos(onSand.headingRad), 9);
      expect(Math.sin(image.headingRad)).toBeCloseTo(Math.sin(onSand.headingRad), 9);
    }),
  );
});

test('what is moved takes its frame along, rigidly', () => {
  // A frame at (2, 1) facing along x; something of it at (4, 1) is brought to (10, 10), turned by a quarter to the left.
  const place = placeMoved(
    { at: { xM: 2, yM: 1 }, headingRad: 0 },
    { at: { xM: 4, yM: 1 }, headingRad: 0 },
    { at: { xM: 10, yM: 10 }, headingRad: Math.PI / 2 },
  );
  expect(place.at.xM).toBeCloseTo(10, 9);
  expect(place.at.yM).toBeCloseTo(8, 9);
  expect(place.headingRad).toBeCloseTo(Math.PI / 2, 9);
});
