import type { Arena } from '../../arena/arena';
import { isRidden } from '../../items/item';
import type { LayoutHorse } from '../../layout/layout';
import type { ExerciseParams } from '../exercise';
import { layOutExercise } from '../layOutExercise';
import { findRecipe } from '../shelf';

const FIELD: Arena = { widthM: 20, lengthM: 60, letters: 'none' };
const stride = (normalM: number) => ({ shortM: normalM * 0.75, normalM, longM: normalM * 1.12 });
const HORSE: LayoutHorse = {
  ...{ id: 'h', name: 'Sorrel', heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: { 'walk-poles': stride(0.8), 'trot-poles': stride(1.3), 'canter-poles': stride(3) },
};
const GROUND = { arena: FIELD, school: 'whole-stride', horses: [HORSE] } as const;
const lay = (gait: string, changes: ExerciseParams = {}) => {
  const recipe = findRecipe(`${gait}-poles`)!;
  const params = { ...recipe.wishes(GROUND)[0]!, ...changes };
  const { exercise } = layOutExercise(recipe, GROUND, { rein: 'left', params });
  const poles = exercise.items.filter(isRidden);
  const ys = poles.map(({ at }) => Math.round(at.yM * 1000) / 1000);
  return { exercise, poles, gaps: ys.slice(1).map((yM, index) => Math.round((yM - ys[index]!) * 1000) / 1000), ys };
};

// One step from pole to pole (common practice, no source); canter poles a stride and the one over the pole.
test.each([
  ['walk', 0.8],
  ['trot', 1.3],
  ['canter', 3],
])('%s poles lie a step apart, the row in the middle of the quarter line', (gait, gapM) => {
  const { gaps, ys, poles, exercise } = lay(gait);
  expect(gaps).toEqual([gapM, gapM, gapM]);
  expect((ys[0]! + ys.at(-1)!) / 2).toBeCloseTo(30, 3);
  expect(poles.map(({ at }) => at.xM)).toEqual(Array(4).fill(expect.closeTo(15, 9)));
  expect(exercise.facts[0]!.lengthM).toBeCloseTo(gapM, 9);
  expect(exercise.tracks[0]).toMatchObject({ gait, through: [{}, {}, {}, {}] });
});

// Raised poles shorten the step a little: about 5 cm closer (common practice, no source).
test('where half the poles and more are raised they lie 5 cm closer; ends go up as they are asked', () => {
  expect(lay('trot', { raised: ['left', 'none', 'right', 'none'] as never }).gaps).toEqual([1.25, 1.25, 1.25]);
  expect(lay('trot', { raised: ['both', 'none', 'none', 'none'] as never }).gaps).toEqual([1.3, 1.3, 1.3]);
  const raised = lay('trot', { raised: ['left', 'right', 'both', 'none'] as never, blockM: 0.2 }).poles.map(pole =>
    pole.kind === 'pole' ? pole.raised : null,
  );
  expect(raised).toEqual([
    { leftM: 0.2, rightM: 0 },
    { leftM: 0, rightM: 0.2 },
    { leftM: 0.2, rightM: 0.2 },
    { leftM: 0, rightM: 0 },
  ]);
});

test('a spacing by hand and one pole more are taken', () => {
  expect(lay('trot', { spacingM: 1.4, poles: 3 }).gaps).toEqual([1.4, 1.4]);
  const recipe = findRecipe('trot-poles')!;
  const params = recipe.wishes(GROUND)[0]!;
  expect(recipe.oneMore!(params)).toMatchObject({ poles: 5 });
  expect(recipe.typed!(params, 0, 1.36)).toMatchObject({ spacingM: 1.36, poles: 4 });
  expect(
    findRecipe('canter-poles')!
      .wishes(GROUND)
      .map(({ poles }) => poles),
  ).toEqual([4, 3, 2]);
  expect(recipe.wishes(GROUND).map(({ poles }) => poles)).toEqual([4, 3]);
});

test('walk poles are for the green, canter poles for the novice; gaited horses are thought of where it is not canter', () => {
  const guidance = (gait: string) => findRecipe(`${gait}-poles`)!.guidance;
  expect(['walk', 'trot', 'canter'].map(gait => guidance(gait).level)).toEqual(['green', 'green', 'novice']);
  expect(['walk', 'trot', 'canter'].map(gait => guidance(gait).cautions.length)).toEqual([2, 2, 1]);
  expect(['walk', 'trot', 'canter'].map(gait => lay(gait).exercise.stages[0]!.seat)).toEqual([
    'rising',
    'rising',
    'half-seat',
  ]);
});
