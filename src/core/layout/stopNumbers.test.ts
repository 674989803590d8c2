import { newItem } from '../plan/newItem';
import { DEFAULT_LEG, type ItemTrack, type Layout, type PlannedLeg } from './layout';
import { isRiddenAnywhere } from './isRiddenAnywhere';
import { isShortestWay } from './isShortestWay';
import { reckonItemTrack } from './reckonLayout';
import { riddenRow } from './riddenRow';
import { shiftItems } from './shiftItems';
import { minutesOnSmallCircles } from './smallCircles';
import { stopNumbers } from './stopNumbers';
import { testFence, testLayout } from './testLayout';

const pole = (id: string, xM: number, yM: number) => newItem('pole', id, { xM, yM }, Math.PI / 2);
const legs = (...settings: PlannedLeg['setting'][]): PlannedLeg[] =>
  settings.map(setting => ({ ...DEFAULT_LEG, setting }));
const trackOf = (layout: Layout) => layout.tracks[0] as ItemTrack;

describe('numbers of a course', () => {
  const [p, a, b, q] = [pole('p', 10, 10), testFence('a', 10, 13, 0), testFence('b', 10, 30, 0), pole('q', 10, 40)];
  const numbers = (items: Layout['items'], of: PlannedLeg[]) =>
    stopNumbers(trackOf(testLayout(items, { legs: of })), items);

  test('a pole that is set with its fence has none, one that stands in the course has its own', () => {
    expect(numbers([p, a, b, q], legs('grid', 'course', 'course'))).toEqual([null, 1, 2, 3]);
    expect(numbers([p, a, b, q], legs('grid', 'course', 'grid'))).toEqual([null, 1, 2, null]);
    expect(numbers([p, a, b, q], legs('course', 'course', 'poles'))).toEqual([1, 2, 3, null]);
  });
  test('fences of a grid keep theirs, and so do poles where there is no fence', () => {
    expect(numbers([a, b], legs('grid'))).toEqual([1, 2]);
    expect(numbers([p, q], legs('poles'))).toEqual([1, 2]);
  });
});

test('minutes on small circles are those of circles of 10 m and less, by their rein', () => {
  const round = (rein: 'left' | 'right', radiusM: number, yM: number) => {
    const layout = testLayout([pole('p', 20, yM)], {
      arena: { widthM: 40, lengthM: 60, letters: 'none' },
      track: {
        ...{ gait: 'trot', through: ['p', 'p'].map(item => ({ item, reversed: false })) },
        legs: [{ ...DEFAULT_LEG, circle: { rein, radiusM } }],
      },
    });
    const track = trackOf(layout);
    const reckoned = { ...reckonItemTrack(layout, track), kind: 'items' as const };
    return (diameterM?: number) => minutesOnSmallCircles(track, reckoned as never, diameterM);
  };
  // Once round 10 m at 220 m a minute (common practice, no source).
  const minutes = (Math.PI * 10) / 220;
  expect(round('left', 5, 30)()).toEqual({ left: expect.closeTo(minutes, 4), right: 0 });
  expect(round('right', 5, 30)()).toEqual({ left: 0, right: expect.closeTo(minutes, 4) });
  expect(round('left', 5.1, 30)()).toEqual({ left: 0, right: 0 });
  expect(round('left', 5.1, 30)(12).left).toBeGreaterThan(minutes);
});

test('a leg that cannot be rounder is told; a straight one, a direct one and a circle are not', () => {
  const isShortest = (items: Layout['items'], leg: Partial<PlannedLeg> = {}) => {
    const layout = testLayout(items, { legs: [leg], arena: { widthM: 20, lengthM: 40, letters: 'none' } });
    return isShortestWay(layout, trackOf(layout), 0, reckonItemTrack(layout, trackOf(layout)).legs[0]!);
  };
  const straight = [testFence('a', 10, 10, 0), testFence('b', 10, 30, 0)];
  const turning = [testFence('a', 4, 10, 0), testFence('b', 16, 26, 90)];
  expect(isShortest(straight)).toBe(false);
  expect(isShortest(turning, { track: 'direct' })).toBe(false);
  // Three metres from the far wall there is room for one way round only: the tightest.
  const atWall = [testFence('a', 7, 34, 0), testFence('b', 13, 34, 180)];
  expect([isShortest(turning), isShortest(atWall)]).toEqual([false, true]);
});

test('a row is poles alone with gaps alike, to three centimetres', () => {
  const row = (...ys: number[]) =>
    riddenRow(
      testLayout(
        ys.map((yM, index) => pole(`p${index}`, 10, yM)),
        { track: { gait: 'trot' } },
      ),
    );
  expect(row(10, 11.3, 12.6)).toMatchObject({
    gait: 'trot',
    items: 3,
    spacingM: expect.closeTo(1.3, 6) as number,
    raised: false,
  });
  expect(row(10, 11.3, 12.62)!.spacingM).toBeCloseTo(1.3, 6);
  expect(row(10, 11.3, 12.64)!.spacingM).toBeNull();
  expect(row(10)).toMatchObject({ items: 1, spacingM: null });
  expect(riddenRow(testLayout([testFence('a', 10, 10, 0), testFence('b', 10, 30, 0)]))!.spacingM).toBeNull();
  const raised = { ...pole('p', 10, 10), raised: { leftM: 0, rightM: 0.2 } } as Layout['items'][number];
  expect(riddenRow(testLayout([raised]))!.raised).toBe(true);
  expect(riddenRow({ ...testLayout([]), tracks: [] })).toBeNull();
});

test('what is moved together is moved alike, and what is not there is left out', () => {
  const layout = testLayout([pole('p', 10, 10), pole('q', 12, 20)]);
  expect(shiftItems(layout, ['q', 'gone', 'p'], { xM: -1, yM: 2 })).toEqual([
    { kind: 'move-item', item: 'q', to: { xM: 11, yM: 22 } },
    { kind: 'move-item', item: 'p', to: { xM: 9, yM: 12 } },
  ]);
  expect([isRiddenAnywhere(layout, 'p'), isRiddenAnywhere(layout, 'gone')]).toEqual([true, false]);
});
