import type { Arena } from '../arena/arena';
import type { ExerciseParams } from './exercise';
import { paramFault, paramSpecs, paramsFault, type ParamSpec } from './exerciseParams';
import { ARRIVES_ANYWHERE } from './figureLetters';
import { findRecipe, SHELF } from './shelf';

const SAND: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const HORSE = { id: 'h', name: 'Sorrel', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} } as const;
const GROUND = { arena: SAND, school: 'whole-stride', horses: [HORSE] } as const;
const usualOf = (kind: string) => findRecipe(kind)!.wishes(GROUND)[0]!;
const keysOf = (kind: string, changes: ExerciseParams = {}) =>
  paramSpecs(kind, { ...usualOf(kind), ...changes }).map(({ key }) => key);
const specOf = (kind: string, key: string, params = usualOf(kind)) =>
  paramSpecs(kind, params).find(spec => spec.key === key);

test('whatever an exercise is by itself may be asked of it', () => {
  for (const recipe of SHELF) {
    const [usual] = recipe.wishes(GROUND);
    if (!usual) continue;
    for (const spec of paramSpecs(recipe.kind, usual))
      expect([recipe.kind, spec.key, paramFault(spec, usual[spec.key]!)]).toEqual([recipe.kind, spec.key, null]);
    expect([recipe.kind, paramsFault(recipe, usual, usual)]).toEqual([recipe.kind, null]);
  }
});

test.each([
  [{ kind: 'count', key: 'k', label: 'Poles', min: 1, max: 12 }, [1, 12], [0, 13, 2.5, '3', NaN]],
  [{ kind: 'length', key: 'k', label: 'Depth', minM: 1, maxM: 30, zeroIs: null }, [1, 30, 2.5], [0, 0.99, 30.01, '3']],
  [{ kind: 'length', key: 'k', label: 'Depth', minM: 1, maxM: 30, zeroIs: 'none' }, [0, 1], [0.5, -1]],
  [{ kind: 'degrees', key: 'k', label: 'Turn', min: 5, max: 360 }, [5, 360], [4, 361]],
  [{ kind: 'share', key: 'k', label: 'Share', min: 0.85, max: 1.15 }, [0.85, 1.15], [0.8, 1.2]],
  [{ kind: 'choice', key: 'k', label: 'Way', options: ['a', 'b'] }, ['a', 'b'], ['c', 1, true]],
  [{ kind: 'flag', key: 'k', label: 'Fillers' }, [true, false], ['true', 1]],
  [
    { kind: 'lengths', key: 'k', label: 'Heights', minM: 0.1, maxM: 1.6, zeroIs: 'as all', most: 3 },
    [[], [0, 0.1, 1.6]],
    [[0.05], [1.7], [1, 1, 1, 1], 1, ['1']],
  ],
  [
    { kind: 'list', key: 'k', label: 'Raised', options: ['left', 'both'], most: 2 },
    [[], ['left', 'both']],
    [['up'], ['left', 'left', 'left'], 'left'],
  ],
] as unknown as [ParamSpec, never[], never[]][])('%j', (spec, good, bad) => {
  for (const value of good) expect([value, paramFault(spec, value)]).toEqual([value, null]);
  for (const value of bad) expect([value, paramFault(spec, value)]).toEqual([value, expect.stringMatching(/^is /)]);
});

test('the gait is asked only where an exercise is not made of it, and lengths are named by what they are there', () => {
  expect(keysOf('trot-poles')).not.toContain('gait');
  expect(specOf('fan', 'gait')).toMatchObject({ kind: 'choice', options: ['walk', 'trot', 'canter'] });
  expect(specOf('circle', 'gait')).toMatchObject({
    options: expect.arrayContaining(['canter', 'running-walk']) as unknown,
  });
  expect(specOf('leg-yield', 'gait')).not.toMatchObject({ options: expect.arrayContaining(['canter']) as unknown });
  expect(specOf('trot-poles', 'spacingM')).toMatchObject({ label: 'Spacing, pole to pole', maxM: 5 });
  expect(specOf('gaited-poles', 'poles')).toMatchObject({ max: 2 });
  expect(specOf('trot-poles', 'poles')).toMatchObject({ max: 12 });
  // What is usual tells a number in another unit apart.
  expect(specOf('trot-poles', 'spacingM')).toHaveProperty('usual');
  expect(specOf('trot-poles', 'poleM')).not.toHaveProperty('usual');
});

test('poles have no height of fences', () => {
  expect(keysOf('two-fences-on-circle')).toEqual(expect.arrayContaining(['heightM', 'heightsM']));
  expect(keysOf('two-poles-on-circle')).not.toContain('heightM');
  expect(keysOf('canter-poles-line')).not.toContain('heightsM');
});

test('a length that letters give is not asked', () => {
  expect(keysOf('leg-yield')).toEqual(expect.arrayContaining(['asideM', 'aheadM']));
  expect(keysOf('leg-yield', { from: 'D' })).not.toContain('asideM');
  expect(keysOf('leg-yield', { from: 'D', arrives: 'B or E' })).not.toContain('aheadM');
  expect(keysOf('leg-yield', { from: 'D', arrives: ARRIVES_ANYWHERE })).toContain('aheadM');
  expect(keysOf('leg-yield', { from: 'quarter line', arrives: 'B or E' })).toContain('aheadM');
});

test('what comes from outside is refused by its name: what is not there, what it is made of, and what cannot be', () => {
  const recipe = findRecipe('trot-poles')!;
  const usual = usualOf('trot-poles');
  expect(paramsFault(recipe, usual, { poles: 6 })).toBeNull();
  expect(paramsFault(recipe, usual, { loops: 6 })).toBe('loops: “A row of trot poles” has no such parameter');
  expect(paramsFault(recipe, usual, { gait: 'walk' })).toBe('gait: “A row of trot poles” is made of trot');
  expect(paramsFault(recipe, usual, { gait: 'trot' })).toBeNull();
  expect(paramsFault(recipe, usual, { poles: 13 })).toBe('poles: Poles is a whole number from 1 to 12');
});
