import type { Fence, Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { testFence } from '../layout/testLayout';
import { boxFaces, inItsLight } from './solid';
import { solidOf } from './solidOf';

const UP = Math.PI / 2;
/** What of an item looks so, as far as it reaches: across the sand, up it, and above it. */
function reach(item: Item, ...tones: string[]) {
  const spots = solidOf(item)
    .faces.filter(({ tone }) => tones.includes(tone))
    .flatMap(({ corners }) => corners);
  const span = (values: number[]) => [Math.min(...values), Math.max(...values)].map(v => Math.round(v * 100) / 100 + 0);
  return { x: span(spots.map(({ xM }) => xM)), y: span(spots.map(({ yM }) => yM)), z: span(spots.map(({ zM }) => zM)) };
}
const count = (item: Item, tone: string) => solidOf(item).faces.filter(one => one.tone === tone).length;
/** Five faces of a box, three of a band of a rail; a rail has seven bands, four of them of one colour. */
const [BOX, RAIL, BANDS] = [5, 4 * 3, 3 * 3];
const fence = (form: Fence['form'], changes: Partial<Fence> = {}) =>
  testFence('f', 10, 20, 0, { form, widthM: 3, heightM: 0.9, ...changes });

// A pole is 10 cm thick, a stand 1.6 m high (common practice, no source).
describe('a fence as it stands, facing up the sand', () => {
  test('a vertical: two stands beside its ends, a top rail at its height and the rails that hang under it', () => {
    const vertical = fence('vertical', { groundLineBeforeM: null });
    expect(reach(vertical, 'rail', 'band')).toMatchObject({ x: [8.5, 11.5], y: [19.95, 20.05] });
    expect(reach(vertical, 'rail', 'band').z[1]).toBeCloseTo(0.95, 2);
    expect(reach(vertical, 'stand').z).toEqual([0, 1.6]);
    expect(reach(vertical, 'stand').x[0]).toBeLessThan(8.5);
    expect(reach(vertical, 'stand').x[1]).toBeGreaterThan(11.5);
    // The rails under it hang 30 cm apart: at 0.3 and 0.6 m.
    expect([count(vertical, 'stand'), count(vertical, 'rail'), count(vertical, 'band')]).toEqual([
      ...[2 * BOX, 3 * RAIL, 3 * BANDS],
    ]);
    expect(count(fence('vertical', { heightM: 0.4, groundLineBeforeM: null }), 'rail')).toBe(RAIL);
  });

  test('one higher than its stands has higher ones', () =>
    expect(reach(fence('vertical', { heightM: 1.8 }), 'stand').z[1]).toBeCloseTo(1.9, 2));

  test('its ground line lies before it, its filler stands in it', () => {
    const lined = fence('vertical', { groundLineBeforeM: 0.3, filler: true });
    expect(reach(lined, 'rail', 'band')).toMatchObject({ y: [19.65, 20.05], z: [0, 0.95] });
    expect(reach(lined, 'filler')).toMatchObject({ x: [8.74, 11.26], y: [19.95, 20.05], z: [0, 0.54] });
  });

  test('an oxer has a front and a back rail as far apart as it is wide, and rails under the front alone', () => {
    const oxer = fence('oxer', { spreadM: 1, groundLineBeforeM: null });
    expect(reach(oxer, 'rail', 'band')).toMatchObject({ y: [19.45, 20.55] });
    expect([count(oxer, 'stand'), count(oxer, 'rail')]).toEqual([4 * BOX, 4 * RAIL]);
  });

  test('a triple bar rises from front to back', () => {
    const triple = fence('triple-bar', { spreadM: 1.2, groundLineBeforeM: null });
    const tops = solidOf(triple)
      .faces.filter(({ tone }) => tone === 'rail')
      .flatMap(({ corners }) => corners.map(({ yM, zM }) => [Math.round(yM * 10) / 10, zM] as const));
    const topAt = (yM: number) => Math.max(...tops.filter(([at]) => Math.abs(at - yM) < 0.11).map(([, zM]) => zM));
    expect([topAt(19.4), topAt(20), topAt(20.6)].map(z => Math.round(z * 100) / 100)).toEqual([0.35, 0.65, 0.95]);
  });

  test('a cross-rail is as high in the middle as it is called, twice that at its stands, and low at the other end', () => {
    const cross = fence('cross-rail', { heightM: 0.4, sideHeightM: 0.8, groundLineBeforeM: null });
    expect(reach(cross, 'rail', 'band').z).toEqual([0, 0.85]);
    expect(count(cross, 'rail')).toBe(2 * RAIL);
  });

  test('a wall is a panel as wide and as high as it is', () => {
    const wall = fence('wall', { groundLineBeforeM: null });
    expect(reach(wall, 'panel')).toEqual({ x: [8.5, 11.5], y: [19.85, 20.15], z: [0, 0.9] });
    expect(count(wall, 'rail')).toBe(0);
  });

  test.each([
    ['left', [8.5, 9.39]],
    ['right', [11.5, 10.61]],
  ] as const)('a corner runs together at its flag on the %s, and its aim stands on it', (narrowEnd, [flagM, aimM]) => {
    const corner = fence('corner', { spreadM: 0.6, corner: { narrowEnd, aimFromFlagM: 0.89 } });
    const flag = reach(corner, 'flag');
    expect((flag.x[0]! + flag.x[1]!) / 2).toBeCloseTo(aimM, 2);
    expect(flag.z).toEqual([0.9, 1.15]);
    expect(reach(corner, 'rail', 'band').y).toEqual([19.35, 20.65]);
    const narrow = solidOf(corner).faces.flatMap(({ corners, tone }) =>
      tone === 'rail' || tone === 'band' ? corners.filter(({ xM }) => Math.abs(xM - flagM) < 0.06) : [],
    );
    for (const { yM } of narrow) expect(Math.abs(yM - 20)).toBeLessThan(0.08);
  });

  test('turned, it stands turned', () =>
    expect(reach({ ...fence('vertical', { groundLineBeforeM: null }), headingRad: 0 }, 'rail', 'band')).toMatchObject({
      ...{ x: [9.95, 10.05], y: [18.5, 21.5] },
    }));
});

test('a pole lies on the sand; where an end is raised a block stands under it', () => {
  const pole = newItem('pole', 'p', { xM: 10, yM: 20 }, UP) as Extract<Item, { kind: 'pole' }>;
  const half = pole.lengthM / 2;
  expect(reach(pole, 'rail', 'band')).toEqual({ x: [10 - half, 10 + half], y: [19.95, 20.05], z: [0, 0.1] });
  expect(count(pole, 'block')).toBe(0);
  const raised = { ...pole, raised: { leftM: 0.25, rightM: 0 } };
  expect(count(raised, 'block')).toBe(BOX);
  // Facing up the sand its left end lies to the left.
  expect(reach(raised, 'block')).toEqual({ x: [9.85 - half, 10.15 - half], y: [19.75, 20.25], z: [0, 0.25] });
  expect(reach(raised, 'rail', 'band').z[1]).toBeCloseTo(0.35, 2);
});

test('cones, marks and guides have their usual size', () => {
  const at = { xM: 10, yM: 20 };
  expect(reach({ kind: 'cone', id: 'c', name: null, at }, 'cone')).toEqual({
    ...{ x: [9.89, 10.11], y: [19.89, 20.11] },
    z: [0, 0.3],
  });
  expect(reach({ kind: 'marker', id: 'm', name: null, at }, 'flag').z).toEqual([0, 2]);
  const guide: Item = { kind: 'guide', id: 'g', name: null, at, headingRad: UP, lengthM: 2 };
  expect(reach(guide, 'rail', 'band')).toEqual({ x: [9.95, 10.05], y: [19, 21], z: [0, 0.1] });
});

test('an item is reckoned once; the light falls from above, and tells sides apart', () => {
  const vertical = fence('vertical');
  expect(solidOf(vertical)).toBe(solidOf(vertical));
  const box = boxFaces({ xM: 0, yM: 0 }, 0, { deepM: 1, wideM: 1, fromM: 0, toM: 1 }, 'block').map(inItsLight);
  const [front, left, , , top] = box.map(({ light }) => Math.round(light * 1000) / 1000);
  expect(top).toBe(0.91);
  expect(top).toBeGreaterThan(Math.max(front!, left!));
  expect(front).not.toBe(left);
});
