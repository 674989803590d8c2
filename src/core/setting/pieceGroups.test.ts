import type { RiddenItem } from '../items/item';
import { newItem } from '../plan/newItem';
import { pieceGroups } from './pieceGroups';

const ARENA = { widthM: 20, lengthM: 60, letters: 'none' } as const;
const CENTRE = { xM: 10, yM: 30 };
const onSpoke = (id: string, angleRad: number, radiusM = 4) =>
  newItem(
    ...(['pole', id] as const),
    { xM: CENTRE.xM + radiusM * Math.cos(angleRad), yM: CENTRE.yM + radiusM * Math.sin(angleRad) },
    angleRad + Math.PI / 2,
  ) as RiddenItem;
const FAN = [onSpoke('a', 0.2), onSpoke('b', 0.6), onSpoke('c', 1.1)];
const idsOf = (groups: ReturnType<typeof pieceGroups>) =>
  groups.map(({ kind, members }) => [kind, members.map(({ id }) => id).join(' ')]);

test('three on the spokes of a circle are one fan, round its centre; two are none, nor are three that are not as far', () => {
  const [fan] = pieceGroups(ARENA, FAN);
  expect(idsOf([fan!])).toEqual([['arc', 'a b c']]);
  expect(fan).toMatchObject({ centre: { xM: expect.closeTo(10, 6), yM: expect.closeTo(30, 6) }, ropeReaches: true });
  expect(pieceGroups(ARENA, FAN.slice(0, 2))).toEqual([]);
  expect(pieceGroups(ARENA, [...FAN.slice(0, 2), onSpoke('c', 1.1, 4.1)])).toEqual([]);
  // Round so small a circle nobody swings a rope; round one that is longer than a tape nobody can.
  const round = (radiusM: number) =>
    pieceGroups(
      ARENA,
      [0.2, 0.6, 1.1].map((at, n) => onSpoke(`${n}`, at, radiusM)),
    );
  expect([1.4, 1.6].map(radiusM => round(radiusM).length)).toEqual([0, 1]);
});

test('a rope needs its peg on the sand and not under a piece, however that is turned', () => {
  const reaches = (headingRad: number, aheadM: number, asideM: number) => {
    const at = {
      xM: CENTRE.xM - aheadM * Math.cos(headingRad) + asideM * Math.sin(headingRad),
      yM: CENTRE.yM - aheadM * Math.sin(headingRad) - asideM * Math.cos(headingRad),
    };
    // Four metres with its stands, half a metre deep: a peg needs 0.3 m more.
    const fence = { ...newItem('vertical', 'f', at, headingRad), widthM: 3 } as RiddenItem;
    const arc = pieceGroups(ARENA, [...FAN, fence]).find(({ kind }) => kind === 'arc');
    return arc?.kind === 'arc' && arc.ropeReaches;
  };
  for (const headingRad of [0.5, 2.2]) {
    expect([0.5, 0.6].map(aheadM => reaches(headingRad, aheadM, 0.2))).toEqual([false, true]);
    expect([2.2, 2.4].map(asideM => reaches(headingRad, 0.1, asideM))).toEqual([false, true]);
  }
  const outside = { widthM: 9, lengthM: 60, letters: 'none' } as const;
  expect(pieceGroups(outside, FAN)[0]).toMatchObject({ ropeReaches: false });
});

test('three one behind the other are a line, in the order ridden, as long as a tape reaches; of one length and way', () => {
  const inLine = (id: string, aheadM: number, asideM = 0, headingRad = 0.4) =>
    newItem(
      ...(['pole', id] as const),
      {
        xM: 3 + aheadM * Math.cos(0.4) - asideM * Math.sin(0.4),
        yM: 5 + aheadM * Math.sin(0.4) + asideM * Math.cos(0.4),
      },
      headingRad,
    ) as RiddenItem;
  const [a, b, c] = [inLine('a', 1), inLine('b', 4), inLine('c', 2)];
  expect(idsOf(pieceGroups(ARENA, [a, b, c]))).toEqual([['line', 'a c b']]);
  expect(pieceGroups(ARENA, [a, b])).toEqual([]);
  const apart = [inLine('c', 2, 0.01), inLine('c', 2, 0, 0.41), { ...c, lengthM: 3.4 } as RiddenItem];
  for (const other of apart) expect(pieceGroups(ARENA, [a, b, other])).toEqual([]);
  expect(pieceGroups({ ...ARENA, widthM: 60 }, [a, b, inLine('d', 40)])).toEqual([]);
});
