import { findRecipe } from '../exercises/shelf';
import { USUAL_HORSE } from '../plan/resolvePlan';
import { sketchedPlan } from './catalogue';
import { questionsOver } from './ownLayouts';
import { easierAsk, sideBySide } from './sideBySide';

const ground = {
  ...{ name: '', arena: { widthM: 20, lengthM: 60, letters: '20x60' as const }, fall: null, kit: null },
  horses: [USUAL_HORSE],
};
function laid(kind: string) {
  const resolved = sketchedPlan(findRecipe(kind)!, ground, [USUAL_HORSE.id])!;
  const stages = questionsOver(resolved, kind, '').map((asked, stage) => ({
    stage,
    eachRein: 3,
    name: `${stage}`,
    ...asked,
  }));
  return { stages, layout: resolved.layout };
}
const next = (...stages: number[]) => stages.map(stage => ({ stage }));

test('counts and fences as poles are asked of one pair beside the other', () => {
  const { stages, layout } = laid('canter-poles-line');
  const [both] = sideBySide({ stages: stages.slice(0, 2), layout, next: next(1, 0), pairIds: ['far', 'near'] });
  expect(both).toMatchObject({ stage: 1, ofPairs: { near: { asked: stages[0]!.today.asked } } });
  expect(both!.ofPairs.far).toBeUndefined();
});

test('what wants other fences out is ridden one stage after the other', () => {
  const { stages, layout } = laid('grid');
  expect(easierAsk(stages[2]!.today, stages[1]!.today)).toBeNull();
  const asked = sideBySide({ stages: stages.slice(1, 3), layout, next: next(2, 1), pairIds: ['far', 'near'] });
  expect(asked.map(({ stage, ofPairs }) => [stage, ofPairs])).toEqual([
    [1, {}],
    [2, {}],
  ]);
});

test('the way in is ridden by all, by itself', () => {
  const { stages, layout } = laid('canter-poles-line');
  const asked = sideBySide({ stages: stages.slice(0, 2), layout, next: next(1, 1), pairIds: ['a', 'b'] });
  expect(asked.map(({ stage, ofPairs }) => [stage, ofPairs])).toEqual([
    [0, {}],
    [1, {}],
  ]);
  expect(asked.every(({ minutes }) => minutes >= 3)).toBe(true);
});
