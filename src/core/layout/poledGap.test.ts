import { fence, line, pole } from '../cautions/testCases';
import { layOutExercise } from '../exercises/layOutExercise';
import { SHELF } from '../exercises/shelf';
import { simulatePass, USUAL_NOISE } from '../record/simulatePass';
import { saidOf } from '../setting/legChanges';
import { seededRandom } from '../statistics/seededRandom';
import { legMarks } from './legMarks';
import type { ItemTrack, LayoutHorse } from './layout';
import { distanceCaseOf, reckonLayout } from './reckonLayout';
import type { ReckonedItemTrack } from './reckonedTrack';

/** A horse of twelve feet: one stride of a grid is one and a half of 3.66 m (common practice, no source): 5.49 m. */
const GAP_M = 1.5 * 3.66;
const layout = line([fence('a', 20, 20), pole('half', 20, 20 + GAP_M / 2), fence('b', 20, 20 + GAP_M)], {
  leg: { setting: 'grid' },
});
const legs = (reckonLayout(layout)[0] as ReckonedItemTrack).legs;

test('a gap with a pole halfway keeps its one stride', () => {
  expect(legs[1]!.gap).toMatchObject({ from: 'a' });
  expect(legs[1]!.gap!.groundM).toBeCloseTo(GAP_M, 9);
  expect(legs[1]!.groundM).toBeCloseTo(GAP_M / 2, 9);
  expect(legs[1]!.readings[0]!.call).toBe('easy one');
  expect(legs[0]!.gap).toBeNull();
});

test('and its two hoof marks: where it lands, and where it takes off again', () => {
  const distance = distanceCaseOf(layout, layout.tracks[0] as ItemTrack, 1);
  expect([distance.from.id, distance.to.id]).toEqual(['a', 'b']);
  const marks = legMarks(legs[1]!, distance, legs[1]!.readings[0]!);
  expect(marks.map(({ kind }) => kind)).toEqual(['landing', 'take-off']);
  // Landing and take-off share the half stride that is left: a quarter of 3.66 m each.
  expect(marks.map(({ pose }) => pose.at.yM)).toEqual([
    expect.closeTo(20 + 0.25 * 3.66, 9),
    expect.closeTo(20 + GAP_M - 0.25 * 3.66, 9),
  ]);
  // The leg begins at the pole: the landing is before it.
  expect(marks[0]!.alongM).toBeCloseTo(0.25 * 3.66 - GAP_M / 2, 9);
});

test('the grid of the shelf reads easy in every gap', () => {
  const horse: LayoutHorse = { id: 'h', name: 'h', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} };
  const grid = SHELF.find(({ kind }) => kind === 'grid')!;
  const ground = { arena: { widthM: 30, lengthM: 70, letters: 'none' as const }, school: 'whole-stride' as const };
  const placed = layOutExercise(grid, { ...ground, horses: [horse] }, { rein: 'left' });
  const { items, tracks } = placed.exercise;
  const laid = { ...layout, ...ground, items, tracks, horses: [horse] };
  const [track] = reckonLayout(laid) as ReckonedItemTrack[];
  expect(track!.legs.some(({ gap }) => gap !== null)).toBe(true);
  for (const { gap, readings } of track!.legs) if (gap) expect(saidOf(readings[0]!)).toBe('easy one, as asked');
  // A bounce is a bounce.
  const said = track!.legs.flatMap(({ readings }) => readings.map(saidOf));
  expect(said).toContain('easy bounce, as asked');
  expect(said.join(' ')).not.toMatch(/none|\b0\b/);
});

test('the stand-in rider puts the strides of the whole gap into it', () => {
  const track = layout.tracks[0] as ItemTrack;
  const random = seededRandom(3);
  for (let ride = 0; ride < 20; ride += 1) {
    const pass = simulatePass(layout, track, layout.horses[0]!, { missing: 0, wrong: 0 }, USUAL_NOISE, random);
    // One stride and a half of ground: a stride varying by 4 % never makes none or two of it.
    expect(pass.strides[1]).toBe(1);
  }
});
