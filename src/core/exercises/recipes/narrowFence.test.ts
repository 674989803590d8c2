import type { Arena } from '../../arena/arena';
import type { Fence } from '../../items/item';
import type { LayoutHorse } from '../../layout/layout';
import { layOutExercise } from '../layOutExercise';
import { findRecipe } from '../shelf';
import { stageLayout } from '../stageLayout';

const FT = 0.3048;
const FIELD: Arena = { widthM: 35, lengthM: 60, letters: 'none' };
/** A stride of 12 ft between fences (common practice, no source). */
const HORSE: LayoutHorse = {
  ...{ id: 'Juniper', name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: 10 * FT, normalM: 12 * FT, longM: 13.5 * FT } },
};
const GROUND = { arena: FIELD, school: 'whole-stride', horses: [HORSE] } as const;
const lay = (kind: string) => layOutExercise(findRecipe(kind)!, GROUND, { rein: 'left' }).exercise;
const fenceOf = (kind: string) => lay(kind).items.find((item): item is Fence => item.kind === 'fence')!;

// What follows is common practice, no source.
test('a narrow fence is for novices and comes after a single one; a corner for the advanced, after a narrow one', () => {
  const [narrow, corner] = ['narrow-fence', 'corner-fence'].map(kind => findRecipe(kind)!.guidance);
  expect([narrow!.level, corner!.level]).toEqual(['novice', 'advanced']);
  expect([narrow!.title, corner!.title].map(title => title.split(' with')[0])).toEqual(['A narrow fence', 'A corner']);
  expect(narrow!.knowFirst).toEqual([expect.stringContaining('single fence')]);
  expect(corner!.knowFirst).toEqual([expect.stringContaining('narrow fence'), expect.stringContaining('angle')]);
  expect(narrow!.cautions.join(' ')).toContain('Guides come away');
  expect(corner!.cautions.join(' ')).toContain('wider spread');
});

test('a narrow fence is ridden over its middle, a corner 0.9 m from the flag at its narrow end', () => {
  const [narrow, corner] = [fenceOf('narrow-fence'), fenceOf('corner-fence')];
  expect(narrow).toMatchObject({ form: 'narrow', widthM: 1.8, spreadM: 0, corner: null, ridden: 'one-way' });
  expect(narrow.at.xM).toBeCloseTo(FIELD.widthM / 2, 9);
  expect(corner).toMatchObject({ form: 'corner', corner: { narrowEnd: 'left', aimFromFlagM: 0.9 } });
  // Up the arena left is west: the flag stands 0.9 m west of the line, the fence's middle half its width east of that.
  expect(corner.at.xM).toBeCloseTo(FIELD.widthM / 2 - 0.9 + corner.widthM / 2, 9);
  expect(corner.spreadM).toBeGreaterThan(0);
});

test.each(['narrow-fence', 'corner-fence'])(
  '%s: gates at six, four and two strides, a mark to look at beyond',
  kind => {
    const { items, facts } = lay(kind);
    const fence = fenceOf(kind);
    // A corner is as deep where it is ridden as it is far from its flag; its spread is that of its middle.
    const deepM = fence.corner ? (fence.spreadM * 0.9) / (fence.widthM / 2) : 0;
    const frontYM = fence.at.yM - deepM / 2;
    const gates = [6, 4, 2].map(strides =>
      ['left', 'right'].map(side => items.find(({ id }) => id === `gate-${strides}-${side}`)!.at),
    );
    gates.forEach(([left, right], index) => {
      expect([left!.yM, right!.yM]).toEqual(Array(2).fill(expect.closeTo(frontYM - (6 - 2 * index) * 12 * FT, 6)));
      expect((left!.xM + right!.xM) / 2).toBeCloseTo(FIELD.widthM / 2, 9);
      expect(left!.xM).toBeLessThan(right!.xM);
    });
    // The nearer, the narrower: each is told beside its number of strides.
    const widths = gates.map(([left, right]) => right!.xM - left!.xM);
    expect([...widths].sort((a, b) => b - a)).toEqual(widths);
    for (const [index, strides] of [6, 4, 2].entries())
      expect(facts.find(({ what }) => what === `most off the line at ${strides} strides`)!.lengthM).toBeCloseTo(
        widths[index]! / 2,
        9,
      );
    const sight = items.find(({ id }) => id === 'sight-mark')!.at;
    expect([sight.xM, sight.yM]).toEqual([expect.closeTo(FIELD.widthM / 2, 9), expect.closeTo(frontYM + 8, 9)]);
  },
);

test.each(['narrow-fence', 'corner-fence'])('%s: a pole first, then between rails, then without', kind => {
  const exercise = lay(kind);
  const stages = exercise.stages.map(stage => stageLayout('', exercise, GROUND, stage).items.map(item => item.kind));
  expect(stages.map(kinds => kinds.filter(one => one === 'guide').length)).toEqual([2, 2, 0]);
  expect(stages.map(kinds => kinds.includes('fence'))).toEqual([false, true, true]);
  const rails = exercise.items.filter(item => item.kind === 'guide');
  const fence = fenceOf(kind);
  expect(rails.map(({ at }) => at.xM).sort((a, b) => a - b)).toEqual([
    expect.closeTo(fence.at.xM - fence.widthM / 2, 9),
    expect.closeTo(fence.at.xM + fence.widthM / 2, 9),
  ]);
});
