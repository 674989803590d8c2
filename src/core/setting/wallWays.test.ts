import type { Arena } from '../arena/arena';
import type { Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { arenaMarks, markedWall } from './marks';
import { pegWay, wallWays } from './wallWays';
import { pullWays } from './pullWays';
import { isGoodPull } from './placing';

const UP = Math.PI / 2;
const SAND: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const FIELD: Arena = { widthM: 70, lengthM: 90, letters: 'none' };
const pole = (xM: number, yM: number, headingRad = UP): Item => newItem('pole', 'p', { xM, yM }, headingRad);
const nearest = (item: Item, arena = SAND) => {
  const [way] = wallWays(arena, item);
  const [placing] = way!.points.map(point => point.placing);
  if (placing?.how !== 'wall') throw new Error('from a wall');
  const measures = Object.fromEntries(way!.measures.map(({ id, lengthM }) => [id, Math.round(lengthM * 1000) / 1000]));
  return { wall: placing.wall, from: placing.from, towards: placing.towards, measures, way: way! };
};

// 20 × 60 m: on the right F, P, B, R and M at 6, 18, 30, 42 and 54 m (FEI Dressage Rules, plan of the arena, from memory).
test('from the nearer long side, along from the letter that leaves the shortest tape, and in', () => {
  // A pole of 3 m across the sand: its ends lie 3.5 and 6.5 m from the right side.
  const found = nearest(pole(15, 20));
  expect(found).toMatchObject({ wall: 'right', from: { letter: 'P' }, towards: { letter: 'B' } });
  expect(found.measures).toEqual({ 'p|along': 2, 'p|in left': 6.5, 'p|in right': 3.5 });
  expect(nearest(pole(5, 20)).wall).toBe('left');
  // Nearer to the letter ahead it is measured back from that.
  expect(nearest(pole(15, 28))).toMatchObject({
    from: { letter: 'B' },
    towards: { letter: 'P' },
    measures: { 'p|along': 2 },
  });
  expect(nearest(pole(15, 18)).measures['p|along']).toBe(0);
});

test('a short side is taken only where it is nearer by half', () => {
  expect(nearest(pole(10, 4)).wall).toBe('near');
  expect(nearest(pole(10, 56)).wall).toBe('far');
  // Its farther end is 6 m from the right side: three metres from a short one count as six.
  expect(nearest(pole(15.5, 2.9)).wall).toBe('near');
  expect(nearest(pole(15.5, 3.1)).wall).toBe('right');
});

test('a piece that lies level shares what is the same, and its far end follows from its near end', () => {
  const along = nearest(pole(15, 20, 0)).way.measures;
  // Along the wall: in alike, along each end.
  expect(along.map(({ id }) => id)).toEqual(['p|along left', 'p|along right', 'p|in']);
  const [near, far] = along;
  expect(far!.follows).toMatchObject({ from: near!.id, times: 1 });
  expect(Math.abs(far!.follows!.addM)).toBeCloseTo(3, 9);
  const askew = nearest(pole(15, 20, UP + 0.3)).way.measures;
  expect(askew).toHaveLength(4);
  expect(askew.some(({ follows }) => follows)).toBe(false);
});

test('what lies over no wall has no way from one', () => expect(wallWays(SAND, pole(-3, -3))).toEqual([]));

test('a peg is set from the wall that is nearest to it', () => {
  const [point] = pegWay(SAND, '1', { xM: 4, yM: 25 }).points;
  expect(point!.placing).toMatchObject({
    how: 'wall',
    wall: 'left',
    from: { letter: 'E' },
    along: 'peg 1|along',
    inwards: 'peg 1|in',
  });
  expect(pegWay(SAND, '1', { xM: 4, yM: 25 }).measures.map(({ lengthM }) => lengthM)).toEqual([5, 4]);
  expect(pegWay(SAND, '1', { xM: 10, yM: 3 }).points[0]!.placing).toMatchObject({ wall: 'near' });
});

describe('a sand that is longer than a tape (30 m; common practice, no source)', () => {
  test('has marks on its walls every 25 m, in order, each from the one before', () => {
    expect(markedWall(FIELD, 'left').map(({ alongM }) => alongM)).toEqual([0, 25, 50, 75, 90]);
    expect(markedWall(FIELD, 'near').map(({ alongM }) => alongM)).toEqual([0, 25, 50, 70]);
    expect(markedWall(SAND, 'left')).toHaveLength(7);
    const onLeft = arenaMarks(FIELD).filter(({ peg }) => /^L\d+$/.test(peg));
    expect(onLeft.map(({ peg, at }) => [peg, at.xM, at.yM])).toEqual([
      ['L25', 0, 25],
      ['L50', 0, 50],
      ['L75', 0, 75],
    ]);
    expect(onLeft.map(({ way }) => way.measures.map(({ lengthM }) => lengthM))).toEqual([
      [25, 0],
      [25, 0],
      [25, 0],
    ]);
    expect(arenaMarks(SAND)).toEqual([]);
  });

  test('and out on it, where it is so wide, in rows between marks on both sides', () => {
    const inner = arenaMarks(FIELD).filter(({ peg }) => peg.includes('/'));
    expect(inner.map(({ peg, at }) => [peg, at.xM, at.yM])).toEqual(
      ['L25', 'L50', 'L75'].flatMap(row => [25, 50].map(xM => [`${row}/${xM}`, xM, Number(row.slice(1))])),
    );
    // The first square from the wall, the next on the tape from it to the mark opposite.
    const [first, second] = inner.map(({ way }) => way.points[0]!.placing);
    expect(first).toMatchObject({ how: 'wall', wall: 'left', from: { peg: 'L25' } });
    expect(second).toMatchObject({ how: 'line', from: { peg: 'L25/25' }, to: { peg: 'R25' }, off: null });
    expect(inner[1]!.way.measures.map(({ lengthM }) => lengthM)).toEqual([25]);
    // 52 m are twice as far in as is checked: none is needed.
    expect(arenaMarks({ ...FIELD, widthM: 52 }).filter(({ peg }) => peg.includes('/'))).toEqual([]);
  });

  test('what lies far along a wall is measured from a mark', () => {
    // 45 m along and 60 from the far end: from the mark at 50 m, back.
    expect(nearest(pole(8, 45), FIELD)).toMatchObject({
      from: { kind: 'peg', peg: 'L50' },
      measures: { 'p|along': 5 },
    });
    expect(nearest(pole(8, 20), FIELD)).toMatchObject({ from: { kind: 'corner' }, measures: { 'p|along': 20 } });
  });
});

test('two tapes meet squarely where they can, none is longer than 30 m, and those that meet well come first', () => {
  const ways = pullWays(SAND, pole(10, 20));
  expect(ways.length).toBeGreaterThan(3);
  for (const { measures } of ways) for (const { lengthM } of measures) expect(lengthM).toBeLessThanOrEqual(30);
  const good = ways.map(({ points }) =>
    points.every(({ placing }) => placing.how === 'pulls' && isGoodPull(placing.angleRad)),
  );
  expect(good).toEqual([...good].sort((a, b) => Number(b) - Number(a)));
  expect(good[0]).toBe(true);
  // What is measured is how far the ends lie from where the tapes are held: 3-4-5 from the corner and along the wall.
  const [way] = pullWays(SAND, { kind: 'cone', id: 'c', name: null, at: { xM: 3, yM: 4 } }, [
    { point: { kind: 'corner', short: 'near', long: 'left' }, at: { xM: 0, yM: 0 } },
    { point: { kind: 'peg', peg: 'x' }, at: { xM: 6, yM: 0 } },
  ]);
  expect(way!.measures.map(({ lengthM }) => lengthM)).toEqual([5, 5]);
});
