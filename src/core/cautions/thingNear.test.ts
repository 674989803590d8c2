import type { Arena } from '../arena/arena';
import { poseAt } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import { itemsOutside } from '../items/itemsOutside';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import type { FigureTrack } from '../layout/layout';
import { testFence, testLayout } from '../layout/testLayout';
import { layoutCautions } from './layoutCautions';

const pillarAt = (xM: number, yM: number, radiusM = 0.3): Arena => ({
  ...{ widthM: 30, lengthM: 60, letters: 'none' as const },
  standing: [{ kind: 'pillar', name: null, at: { xM, yM }, radiusM }],
});
const cautionsOn = (arena: Arena, items = [testFence('a', 10, 14, 0), testFence('b', 10, 34, 0)]) => {
  const layout = testLayout(items, { arena });
  return layoutCautions(layout, reckonLayout(layout)).filter(({ code }) => code === 'thing-near');
};

it.each([
  // The line runs at 10 m: 1.1 m beside a pillar whose edge is 1.1 m away, and 0.5 m beside a nearer one.
  [11.4, 24, 'warn', 'The line from fence 1 to fence 2 passes 1.1 m from the pillar; 1.2 m is usual.'],
  [10.8, 24, 'stop', 'The line from fence 1 to fence 2 passes 0.50 m from the pillar; 1.2 m is usual.'],
])('a pillar %p m across and %p m up is a %p', (xM, yM, level, text) => {
  expect(cautionsOn(pillarAt(xM, yM))).toEqual([expect.objectContaining({ level, text })]);
});

it('says nothing of a pillar with room round it, and stops a fence that lands at one', () => {
  expect(cautionsOn(pillarAt(11.6, 24))).toEqual([]);
  expect(cautionsOn(pillarAt(10, 36.5))[0]).toMatchObject({ level: 'stop', text: 'Fence 2 lands at the pillar.' });
  expect(cautionsOn(pillarAt(10, 40))).toEqual([]);
});

it('a fence that a pillar stands in does not lie on the sand', () => {
  const fence = testFence('a', 10, 20, 0);
  expect(itemsOutside(pillarAt(11, 20), [fence])).toEqual([fence]);
  expect(itemsOutside(pillarAt(12.6, 20), [fence])).toEqual([]);
});

it('a natural track goes round a pillar where it can', () => {
  const items = [testFence('a', 8, 20, 0), testFence('b', 22, 20, 180)];
  const chainOn = (arena: Arena) => {
    const { legs } = reckonLayout(testLayout(items, { arena }))[0] as ReckonedItemTrack;
    return legs[0]!;
  };
  const free = chainOn({ widthM: 30, lengthM: 60, letters: 'none' });
  // The pillar is put on the turn that is ridden without one.
  const { at } = poseAt(free.chain, free.chain.lengthM / 2);
  const pillared = pillarAt(at.xM, at.yM);
  const round = chainOn(pillared);
  expect(round.instead).toBeNull();
  expect(isChainInside(pillared, round.chain)).toBe(true);
  expect(isChainInside(pillared, free.chain)).toBe(false);
});

describe('a circle of 20 m about the middle', () => {
  const circleOn = (arena: Arena) => {
    const start = { at: { xM: 25, yM: 30 }, headingRad: Math.PI / 2 };
    const figure = { kind: 'circle' as const, start, rein: 'left' as const, diameterM: 20, rounds: 1 };
    const track: FigureTrack = {
      ...{ kind: 'figures', id: 'flat', name: null, gait: 'trot', passes: 1 },
      figures: [{ id: 'circle', name: null, figure, gait: null, parts: [] }],
    };
    const flat = { ...testLayout([], { arena }), tracks: [track] };
    return layoutCautions(flat, reckonLayout(flat)).filter(({ code }) => code === 'thing-near' || code === 'off-arena');
  };

  it('is stopped by a pillar on it, and says nothing of one in its middle', () => {
    expect(circleOn(pillarAt(25, 30.1))).toEqual([expect.objectContaining({ code: 'thing-near', level: 'stop' })]);
    expect(circleOn(pillarAt(15, 30))).toEqual([]);
  });

  it('leaves a sand whose corner it crosses', () => {
    const cut = [
      [0, 0],
      [30, 0],
      [30, 26],
      [20, 36],
      [20, 60],
      [0, 60],
    ].map(([xM, yM]) => ({ xM: xM!, yM: yM! }));
    const box: Arena = { widthM: 30, lengthM: 60, letters: 'none' };
    expect(circleOn(box)).toEqual([]);
    expect(circleOn({ ...box, outline: cut })).toEqual([expect.objectContaining({ code: 'off-arena', level: 'stop' })]);
  });
});
