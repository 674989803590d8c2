import type { Cone } from '../items/item';
import { roomBeside } from './roomAround';
import { fence, line } from './testCases';

// The sand is 40 m wide and 70 m long; an oxer of 1 m up the arena with its middle 30 m from the near wall.
const OXER = fence('oxer', 15, 30, { form: 'oxer', spreadM: 1 });
const CONE: Cone = { kind: 'cone', id: 'cone', name: null, at: { xM: 5, yM: 5 } };
const LAYOUT = line([OXER, CONE]);

test.each([
  ['ahead, from its back rail to the far wall', false, 1, 39.5, Math.PI / 2],
  ['behind, from its front rail to the near wall', false, -1, 29.5, Math.PI / 2],
  ['ahead as it is ridden back', true, 1, 29.5, -Math.PI / 2],
  ['behind as it is ridden back', true, -1, 39.5, -Math.PI / 2],
] as const)('the room %s', (_, reversed, ahead, roomM, headingRad) => {
  const room = roomBeside(LAYOUT, { item: 'oxer', reversed }, ahead)!;
  expect(room).toEqual({ item: 'oxer', roomM: expect.closeTo(roomM, 9), headingRad: expect.any(Number) });
  expect([Math.cos(room.headingRad), Math.sin(room.headingRad)]).toEqual([
    expect.closeTo(Math.cos(headingRad), 9),
    expect.closeTo(Math.sin(headingRad), 9),
  ]);
});

test('off the axes the room behind is behind, not aside', () => {
  // Facing right along y = 30: 24.5 m ahead to the right wall, 14.5 m behind to the left one.
  const layout = line([{ ...OXER, headingRad: 0 }]);
  const room = (ahead: 1 | -1) => roomBeside(layout, { item: 'oxer', reversed: false }, ahead)!.roomM;
  expect([room(1), room(-1)]).toEqual([expect.closeTo(24.5, 9), expect.closeTo(14.5, 9)]);
});

test('with its back to the wall it has none, and what is not ridden over has none to tell', () => {
  const layout = line([{ ...OXER, at: { xM: 15, yM: 69.8 } }, CONE]);
  expect(roomBeside(layout, { item: 'oxer', reversed: false }, 1)!.roomM).toBe(0);
  expect(roomBeside(layout, { item: 'cone', reversed: false }, 1)).toBeNull();
  expect(roomBeside(layout, { item: 'gone', reversed: false }, 1)).toBeNull();
});
