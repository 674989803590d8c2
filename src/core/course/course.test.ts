import type { Fence } from '../items/item';
import type { Layout } from '../layout/layout';
import { DEFAULT_LEG } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { bestDirections } from './bestDirections';
import { reinsRidden } from './changesOfRein';
import { courseTime } from './courseTime';

const fence = (id: string, xM: number, yM: number, degrees: number, changes: Partial<Fence> = {}): Fence => ({
  ...{ kind: 'fence', id, name: null, form: 'vertical', at: { xM, yM }, headingRad: (degrees * Math.PI) / 180 },
  ...{ widthM: 3.5, heightM: 0.8, spreadM: 0, ridden: 'both-ways', filler: false },
  ...{ groundLineBeforeM: null, sideHeightM: null, corner: null },
  ...changes,
});

// FEI Jumping Rules (from memory): length ÷ speed, rounded up to whole seconds; the limit is twice the time allowed.
test.each([
  // 420 m at 350 m/min is 72 s exactly.
  { lengthM: 420, speed: 350, allowedS: 72, limitS: 144 },
  // 421 m is 72.17 s.
  { lengthM: 421, speed: 350, allowedS: 73, limitS: 146 },
  // 500 m at 375 m/min is 80 s; at 325, 92.3 s.
  { lengthM: 500, speed: 375, allowedS: 80, limitS: 160 },
  { lengthM: 500, speed: 325, allowedS: 93, limitS: 186 },
  { lengthM: 0, speed: 350, allowedS: 0, limitS: 0 },
])('$lengthM m at $speed m a minute: $allowedS s allowed, $limitS s limit', ({ lengthM, speed, allowedS, limitS }) =>
  expect(courseTime(lengthM, speed)).toEqual({ allowedS, limitS }),
);

test('impossible speeds and lengths are refused', () => {
  for (const [lengthM, speed] of [
    [-1, 350],
    [Number.NaN, 350],
    [100, 0],
    [100, Infinity],
  ] as const)
    expect(() => courseTime(lengthM, speed)).toThrow(RangeError);
});

/** Up the right side over two fences in line, a half circle to the left, down the left side over a double. */
const FENCES = [
  fence('alder', 30, 15, 90),
  fence('birch', 30, 33.3, 90),
  fence('cedar', 10, 40, 270),
  fence('damson', 10, 32.7, 270),
];

function course(order: string[], changes: Partial<Layout> = {}): Layout {
  return {
    ...{ name: 'course', arena: { widthM: 40, lengthM: 70, letters: 'none' }, fall: null, school: 'whole-stride' },
    items: FENCES,
    horses: [],
    kit: null,
    tracks: [
      {
        ...{ kind: 'items', id: 'course', name: null, gait: 'course-canter', passes: 1 },
        through: order.map(item => ({ item, reversed: false })),
        legs: order.slice(1).map(() => DEFAULT_LEG),
        course: { speedMPerMin: 350, startM: 12, finishM: 10 },
      },
    ],
    ...changes,
  };
}

test('a course in numbers, worked by hand', () => {
  const [track] = reckonLayout(course(['alder', 'birch', 'cedar', 'damson']));
  if (track?.kind !== 'items' || !track.course) throw new Error('a course');
  // 18.3 m straight; 6.7 m straight and half a circle of 20 m across; 7.3 m; 12 m in and 10 m out.
  const lengthM = 12 + 18.3 + (6.7 + 10 * Math.PI) + 7.3 + 10;
  expect(track.course.lengthM).toBeCloseTo(lengthM, 6);
  // 85.7 m at 350 m/min: 14.7 s.
  expect(track.course).toMatchObject({ allowedS: 15, limitS: 30, efforts: 4, changesOfRein: 0 });
  expect(track.course.related).toEqual([
    { from: 'alder', to: 'birch', groundM: expect.closeTo(18.3, 9), kind: 'related line' },
    { from: 'cedar', to: 'damson', groundM: expect.closeTo(7.3, 9), kind: 'combination' },
  ]);
});

test('a bending line is related too, and a corner is not', () => {
  const layout = course(['alder', 'elm', 'cedar'], { items: [...FENCES, fence('elm', 26, 32, 110)] });
  const [track] = reckonLayout(layout);
  if (track?.kind !== 'items') throw new Error('a course');
  expect(track.course?.related.map(({ from, to, kind }) => `${from} ${to} ${kind}`)).toEqual([
    'alder elm bending line',
  ]);
});

test('a rein counts once the turn comes to 30°: a wiggle changes nothing, an S does', () => {
  const start = { at: { xM: 0, yM: 0 }, headingRad: 0 };
  const arc = (degrees: number) => ({ kind: 'arc' as const, start, radiusM: 10, sweepRad: (degrees * Math.PI) / 180 });
  expect(reinsRidden([arc(90), arc(-20), arc(90)])).toEqual(['left']);
  expect(reinsRidden([arc(90), arc(-20), arc(-20), arc(90)])).toEqual(['left', 'right', 'left']);
  expect(reinsRidden([])).toEqual([]);
});

test('directions left open are chosen for the shortest course, and one-way fences keep theirs', () => {
  const arena = { widthM: 40, lengthM: 70, letters: 'none' as const };
  const open = (item: Fence) => ({ item, reversed: null });
  // Up over alder and round to its twin 20 m beside it: half a circle comes down over it, which was built facing up.
  const up = fence('twin', 10, 15, 90);
  expect(bestDirections([{ item: FENCES[0]!, reversed: false }, open(up)], arena, 6)).toEqual([false, true]);
  const oneWay = { ...up, ridden: 'one-way' as const };
  expect(bestDirections([{ item: FENCES[0]!, reversed: false }, open(oneWay)], arena, 6)).toEqual([false, false]);
  expect(bestDirections([], arena, 6)).toEqual([]);
});
