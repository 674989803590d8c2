import type { Arena } from '../../arena/arena';
import type { LayoutHorse } from '../../layout/layout';
import { layOutExercise } from '../layOutExercise';
import { isForRider, SHELF } from '../shelf';
import { riderWork } from './riderWork';

const ARENAS: Arena[] = [
  { widthM: 20, lengthM: 40, letters: '20x40' },
  { widthM: 35, lengthM: 60, letters: 'none' },
];
const horse = (heightM: number): LayoutHorse => ({
  ...{ id: 'h', name: 'Juniper', heightM, type: 'all-round', level: 'green', strides: {} },
});

test('the rider’s own work stands on the shelf: minutes, one thing to think of, and four things to tap', () => {
  expect(SHELF.filter(isForRider)).toEqual(riderWork);
  for (const { guidance } of riderWork) {
    const { stop } = guidance.repetitions;
    expect(stop.when === 'minutes' && stop.minutes >= 3 && stop.minutes <= 10).toBe(true);
    expect(new Set(guidance.riderMarks).size).toBe(4);
    // On a key of the smallest phone.
    for (const mark of guidance.riderMarks!) expect(mark.length).toBeLessThanOrEqual(24);
  }
});

test('it needs no pole and no fence, in any arena, and raises nothing', () => {
  for (const recipe of riderWork)
    for (const arena of ARENAS)
      for (const heightM of [1.2, 1.7]) {
        const laid = layOutExercise(
          recipe,
          { arena, school: 'whole-stride', horses: [horse(heightM)] },
          { rein: 'left' },
        );
        expect(laid.exercise.items).toEqual([]);
        expect([recipe.kind, laid.cautions.filter(({ level }) => level !== 'note')]).toEqual([recipe.kind, []]);
        for (const { focus } of laid.exercise.stages)
          expect([recipe.kind, focus]).toEqual([recipe.kind, expect.stringMatching(/\w/)]);
      }
});

test('two-point and half-seat are asked in each gait, and one exercise needs no figure', () => {
  const gaitsOf = (kind: string) => {
    const recipe = riderWork.find(one => one.kind === kind)!;
    const ground = { arena: ARENAS[0]!, school: 'whole-stride' as const, horses: [horse(1.6)] };
    return layOutExercise(recipe, ground, { rein: 'left' }).exercise.stages.map(({ gait }) => gait);
  };
  expect(gaitsOf('rider-two-point')).toEqual(['walk', 'trot', 'canter']);
  expect(gaitsOf('rider-half-seat')).toEqual(['walk', 'trot', 'canter']);
  expect(gaitsOf('rider-at-halt')).toEqual([null]);
});
