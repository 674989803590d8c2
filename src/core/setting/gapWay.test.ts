import type { Arena } from '../arena/arena';
import type { Fence } from '../items/item';
import { newItem } from '../plan/newItem';
import { gapWay } from './gapWay';

const SAND: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const WIDE: Arena = { widthM: 80, lengthM: 120, letters: 'none' };
const rad = (degrees: number) => (degrees * Math.PI) / 180;

const fence = (id: string, xM: number, yM: number, degrees: number, changes: Partial<Fence> = {}): Fence => ({
  ...(newItem('vertical', id, { xM, yM }, rad(degrees)) as Fence),
  widthM: 3,
  ...changes,
});
/** One so far on in the line of another, metres; its own width and heading unless it is said. */
const onFrom = (before: Fence, alongM: number, changes: Partial<Fence> = {}): Fence => ({
  ...before,
  id: 'next',
  at: {
    xM: before.at.xM + alongM * Math.cos(before.headingRad),
    yM: before.at.yM + alongM * Math.sin(before.headingRad),
  },
  ...changes,
});
const measures = (way: ReturnType<typeof gapWay>) =>
  Object.fromEntries((way?.measures ?? []).map(({ id, lengthM }) => [id, lengthM]));

describe('in a line at an angle to the walls', () => {
  const first = fence('first', 8, 20, 70);

  test('the gap is measured from end to like end, and each end in from the long side that it is nearer to', () => {
    const next = onFrom(first, 9);
    const way = gapWay(SAND, next, first)!;
    const { 'next|gap': gapM, ...inM } = measures(way);
    expect(gapM).toBeCloseTo(9, 9);
    // The ends lie 1.5 m to either side of its middle, square to its heading.
    const ends = [1, -1].map(side => next.at.xM - side * 1.5 * Math.sin(next.headingRad));
    const nearest = Math.max(...ends) <= 10 ? ends : ends.map(xM => 20 - xM);
    expect([inM['next|in left'], inM['next|in right']]).toEqual(nearest.map(xM => expect.closeTo(xM, 9)));
    expect(way.points.map(({ placing }) => placing)).toMatchObject([
      { how: 'swing', from: { item: 'first', end: 'left' }, other: { item: 'first', end: 'right' } },
      { how: 'swing', from: { item: 'first', end: 'right' }, other: { item: 'first', end: 'left' } },
    ]);
  });

  test('of two long sides it is the one that its farther end is nearer to', () => {
    // Its ends lie 7.8 and 10.6 m from the left side, 9.4 and 12.2 m from the right one.
    const middle = fence('first', 9.2 - 9 * Math.cos(rad(70)), 20, 70);
    const way = gapWay(SAND, onFrom(middle, 9), middle)!;
    expect(way.points.map(({ placing }) => placing.how === 'swing' && placing.wall)).toEqual(['left', 'left']);
  });

  test('in a field with an outline it is only from a wall that stands beside it', () => {
    // Wide for its first 20 m, then ten metres wide in its middle: no long side stands beside that.
    const field: Arena = {
      ...{ widthM: 20, lengthM: 60, letters: 'none' },
      outline: [
        { xM: 0, yM: 0 },
        { xM: 20, yM: 0 },
        { xM: 20, yM: 20 },
        { xM: 15, yM: 20 },
        { xM: 15, yM: 60 },
        { xM: 5, yM: 60 },
        { xM: 5, yM: 20 },
        { xM: 0, yM: 20 },
      ],
    };
    const wide = fence('first', 5, 6, 70);
    const walls = gapWay(field, onFrom(wide, 6), wide)?.points.map(
      ({ placing }) => placing.how === 'swing' && placing.wall,
    );
    expect(walls).toEqual(['left', 'left']);
    const narrow = fence('first', 9, 40, 70);
    expect(gapWay(field, onFrom(narrow, 6), narrow)).toBeNull();
  });

  test('it goes on towards the end of the wall that lies ahead', () => {
    const towards = (way: ReturnType<typeof gapWay>) =>
      way?.points.map(({ placing }) => (placing.how === 'swing' ? placing.towards : null));
    const [ahead, behind] = [gapWay(SAND, onFrom(first, 9), first), gapWay(SAND, onFrom(first, -9), first)];
    expect(towards(ahead)).not.toEqual(towards(behind));
    expect(measures(behind)['next|gap']).toBeCloseTo(9, 9);
  });

  test('behind a spread the gap begins at its back rail, before it it ends at its front', () => {
    const spread = { ...first, form: 'oxer' as const, spreadM: 1.2 };
    const after = gapWay(SAND, { ...onFrom(first, 9), form: 'vertical', spreadM: 0 }, spread)!;
    // The front of an oxer lies half its spread before its middle: nine metres from middle to middle are 9.6 from front to front.
    expect(measures(after)['next|gap']).toBeCloseTo(9 + 0.6 - 1.2, 9);
    const before = gapWay(SAND, onFrom(first, -9), spread)!;
    expect(measures(before)['next|gap']).toBeCloseTo(9 - 0.6, 9);
    const corner = { ...spread, form: 'corner' as const };
    expect(measures(gapWay(SAND, onFrom(first, 9), corner))['next|gap']).toBeCloseTo(9, 9);
  });

  test('across the arena it is in from the short sides', () => {
    const across = fence('first', 6, 10, 20);
    const way = gapWay(SAND, onFrom(across, 6), across)!;
    expect(way.points.map(({ placing }) => placing.how === 'swing' && placing.wall)).toEqual(['near', 'near']);
    const along = gapWay(SAND, onFrom(first, 9), first)!;
    expect(along.points.map(({ placing }) => placing.how === 'swing' && placing.wall)).toEqual(['right', 'right']);
  });

  test.each([
    ['turned otherwise', onFrom(first, 9, { headingRad: first.headingRad + 0.01 })],
    ['ridden the other way', onFrom(first, 9, { headingRad: first.headingRad + Math.PI })],
    ['of another width', onFrom(first, 9, { widthM: 3.5 })],
    ['beside the line', onFrom(first, 9, { at: { xM: first.at.xM + 4, yM: first.at.yM + 8 } })],
    ['farther than a tape', onFrom(first, 31)],
    ['on the same place', onFrom(first, 0)],
    ['partly outside the wall', fence('next', 0.5, 20, 70)],
  ])('there is no gap to one that stands %s', (_, next) => {
    const before = next.id === 'next' && next.at.xM < 1 ? onFrom(next, -9, { id: 'first' }) : first;
    expect(gapWay(SAND, next, before)).toBeNull();
  });

  test('nor where every wall along it is farther than a tape', () => {
    const middle = fence('first', 40, 40, 70);
    expect(gapWay(WIDE, onFrom(middle, 9), middle)).toBeNull();
    const nearer = fence('first', 20, 40, 70);
    expect(gapWay(WIDE, onFrom(nearer, 9), nearer)).not.toBeNull();
  });
});

describe('in a line along the walls', () => {
  const first = fence('first', 6, 20, 90);

  test('the gap runs along the nearer wall, and both ends are so far in', () => {
    const way = gapWay(SAND, onFrom(first, 9), first)!;
    expect(measures(way)).toEqual({
      'next|gap': expect.closeTo(9, 9),
      'next|in left': expect.closeTo(4.5, 9),
      'next|in right': expect.closeTo(7.5, 9),
    });
    expect(way.points.map(({ placing }) => placing.how === 'wall' && placing.wall)).toEqual(['left', 'left']);
  });

  test('from the back rail of a spread, and only where there is something between', () => {
    const spread = { ...first, form: 'oxer' as const, spreadM: 1.2 };
    const vertical = { ...onFrom(first, 9), form: 'vertical' as const, spreadM: 0 };
    expect(measures(gapWay(SAND, vertical, spread))['next|gap']).toBeCloseTo(9 + 0.6 - 1.2, 9);
    expect(gapWay(SAND, { ...vertical, at: { xM: 6, yM: 20.5 } }, spread)).toBeNull();
  });

  test('there is none to one that stands aside, or square to it', () => {
    expect(gapWay(SAND, onFrom(first, 9, { at: { xM: 6.5, yM: 29 } }), first)).toBeNull();
    expect(gapWay(SAND, onFrom(first, 9), fence('first', 6, 20, 0))).toBeNull();
  });
});
