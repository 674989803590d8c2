import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { countsAround, countsOnLeg } from '../layout/countsOnLeg';
import { resolvePlan } from '../plan/layOutPlaced';
import { placeExercise } from '../plan/placeExercise';
import { EMPTY_PLAN, type PlanHorse } from '../plan/plan';
import type { PlanGround } from '../plan/resolvePlan';
import { findRecipe } from '../exercises/shelf';
import { planCautions } from './planCautions';

const FT = 0.3048;
const horse = (id: string, feet: number): PlanHorse => ({
  ...{ id, name: id, heightM: 1.6, type: 'all-round', level: 'novice' },
  // How far a stride between fences can be changed, common practice: 15 % shorter, 12 % longer.
  strides: { 'course-canter': { shortM: feet * FT * 0.85, normalM: feet * FT, longM: feet * FT * 1.12 } },
});
const GROUND: PlanGround = {
  ...{ name: '', arena: { widthM: 35, lengthM: 60, letters: 'none' }, fall: null, kit: null },
  horses: [horse('Juniper', 12), horse('Sorrel', 11)],
};

function line(params: Record<string, number | boolean>, groupIds: string[]) {
  const recipe = findRecipe('related-line')!;
  const { plan } = placeExercise({ ...EMPTY_PLAN, groupIds }, GROUND, {
    ...{ id: 'e', recipe, rein: 'left', horseIds: null, session: null },
  });
  const asked = plan.exercises.map(one => ({ ...one, params: { ...one.params, ...params } }));
  const resolved = resolvePlan({ ...plan, exercises: asked }, GROUND);
  return { resolved, tracks: reckonLayout(resolved.layout) };
}

// The whole-stride school: n strides want n + 1 of ground. 72 ft is five of 12 ft; in four it wants 14.4 ft, in six 10.3 ft.
test('five, four and six of one line are each judged for every horse', () => {
  const { resolved, tracks } = line({ strides: 5, distanceM: 72 * FT }, ['Juniper', 'Sorrel']);
  const track = resolved.layout.tracks[0]!;
  const reckoned = tracks[0] as ReckonedItemTrack;
  if (track.kind !== 'items') throw new Error('a line is a track over items');
  expect(countsAround(5)).toEqual([4, 5, 6]);
  expect(countsAround(0)).toEqual([0, 1]);
  const read = countsOnLeg(resolved.layout, track, 0, reckoned.legs[0]!, [4, 5, 6]);
  expect(read.map(({ horse: name, counts }) => [name, ...counts.map(count => count?.word)])).toEqual([
    ['Juniper', 'too far', 'easy', 'short'],
    // 72 ft of 11 ft: five wants 12 ft, 1.09; six 10.3 ft, 0.935; four 14.4 ft.
    ['Sorrel', 'too far', 'long', 'quiet'],
  ]);
  expect(read[0]!.counts.map(count => count!.q)).toEqual([
    expect.closeTo(1.2, 6),
    expect.closeTo(1, 6),
    expect.closeTo(6 / 7, 6),
  ]);
});

test('a count that a stage asks and a horse cannot reach is a caution, with the count in its words', () => {
  const found = (params: Record<string, number | boolean>, groupIds: string[]) => {
    const { resolved, tracks } = line(params, groupIds);
    return planCautions(resolved, tracks).filter(({ code }) => code === 'stage-count');
  };
  const params = { strides: 5, distanceM: 72 * FT };
  expect(found({ ...params, fewer: true }, ['Juniper'])).toMatchObject([
    { level: 'warn', place: { part: 0 }, text: 'In four, from fence 1 to fence 2 is too far for Juniper.' },
  ]);
  expect(found({ ...params, fewer: false }, ['Juniper'])).toEqual([]);
  expect(found({ ...params, fewer: true }, ['Juniper', 'Sorrel'])).toHaveLength(2);
});

test('the line of the shelf is in reach of several horses in the counts that it asks', () => {
  const { resolved, tracks } = line({}, ['Juniper', 'Sorrel']);
  const track = resolved.layout.tracks[0]!;
  expect(track.kind === 'items' && track.legs[0]!.asked).toBeLessThanOrEqual(6);
  expect(planCautions(resolved, tracks).filter(({ level }) => level !== 'note')).toEqual([]);
});
