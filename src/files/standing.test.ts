import { newItem, type LayoutEdit } from '@/core';
import { standingEdits, StandingOnPaper, writeStanding } from './standing';

const TYPED = { measures: [], legs: [] } as never;
const fence = newItem('vertical', 'ash', { xM: 5, yM: 15 }, Math.PI / 2);
const cone = newItem('cone', 'cone', { xM: 3, yM: 3 }, 0);
const other = newItem('oxer', 'birch', { xM: 5, yM: 33 }, Math.PI / 2);
const moved = (item: string): LayoutEdit => ({ kind: 'move-item', item, to: { xM: 0, yM: 0 } });

test('what does not stand as planned is kept, where it stands and as it faces; what does is not', () => {
  const kept = writeStanding(TYPED, [moved('ash'), moved('cone')], [fence, other, cone]);
  // Towards C is 0 degrees on paper; a cone faces nowhere or as it was put.
  expect(kept.pieces.map(({ id }) => id)).toEqual(['ash', 'cone']);
  expect(kept.pieces[0]).toEqual({ id: 'ash', at: { xM: 5, yM: 15 }, facingDeg: 0 });
  expect(writeStanding(TYPED, [], [fence, other, cone]).pieces).toEqual([]);
});

test('read back it says the same', () => {
  const turned = { ...fence, headingRad: Math.PI / 3 } as typeof fence;
  const kept = writeStanding(TYPED, [moved('ash')], [turned]);
  const edits = standingEdits(kept);
  expect(edits).toEqual([
    { kind: 'move-item', item: 'ash', to: { xM: 5, yM: 15 } },
    { kind: 'turn-item', item: 'ash', headingRad: expect.closeTo(Math.PI / 3, 9) },
  ]);
  expect(standingEdits({ ...kept, pieces: [{ id: 'x', at: { xM: 1, yM: 2 }, facingDeg: null }] })).toHaveLength(1);
});

test('a facing is from 0 up to 360 degrees, a place is somewhere', () => {
  const piece = (facingDeg: number) => ({
    ...{ format: 'roan-standing', version: 1, typed: { measures: {}, legs: [] } },
    pieces: [{ id: 'x', at: { xM: 1, yM: 2 }, facingDeg }],
  });
  const wrong = (facingDeg: number) =>
    StandingOnPaper.safeParse(piece(facingDeg)).error?.issues.some(({ path }) => path.includes('facingDeg')) ?? false;
  expect([-1, 0, 359.9, 360].map(wrong)).toEqual([true, false, false, true]);
});
