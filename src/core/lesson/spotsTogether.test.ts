import type { PassMark } from '../record/passMark';
import { spotsTogether } from './spotsTogether';

const spot = (xM: number, yM: number): PassMark => ({ id: `${xM} ${yM}`, kind: 'spot', at: { xM, yM } });
const pass = (id: string, pairId: string, ...marks: PassMark[]) => ({ id, pairId, marks });

test('three spots within a few steps are a place; two, or three far apart, are none', () => {
  const near = [pass('1', 'a', spot(19, 30)), pass('2', 'a', spot(18, 31)), pass('3', 'b', spot(19.5, 29))];
  expect(spotsTogether(near.slice(0, 2))).toEqual([]);
  expect(spotsTogether(near)).toEqual([
    // The mean of 19, 18 and 19.5, and of 30, 31 and 29.
    { at: { xM: expect.closeTo(18.8333, 3), yM: expect.closeTo(30, 9) }, passes: 3, pairs: 2 },
  ]);
  expect(spotsTogether([near[0]!, pass('2', 'a', spot(2, 3)), pass('3', 'a', spot(10, 55))])).toEqual([]);
});

test('several taps in one pass are one time; a slip in sideways work says nothing of the ground', () => {
  const thrice = [spot(5, 5), { ...spot(5, 5.5), id: 'x' }, { ...spot(5.5, 5), id: 'y' }];
  expect(spotsTogether([pass('1', 'a', ...thrice)])).toEqual([]);
  const slip = (id: string): PassMark => ({
    ...{ id, kind: 'slip', place: 1, from: 'left leg' },
    at: { xM: 5, yM: 6 },
  });
  expect(spotsTogether([pass('1', 'a', slip('r')), pass('2', 'b', slip('s')), pass('3', 'c', slip('t'))])).toEqual([]);
  // A pass that was given up tells nothing.
  const near = [pass('1', 'a', spot(5, 5)), pass('2', 'b', spot(5, 6)), pass('3', 'c', spot(6, 5))];
  expect(spotsTogether(near)).toMatchObject([{ passes: 3, pairs: 3 }]);
  expect(spotsTogether([...near.slice(0, 2), pass('3', 'c', spot(6, 5), { id: 'v', kind: 'void' })])).toEqual([]);
});
