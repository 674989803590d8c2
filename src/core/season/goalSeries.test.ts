import { USUAL_GATE } from '../lesson/stageGate';
import { testExercise, testPasses, testStep } from '../suggest/testPairs';
import { seriesNow, seriesStages } from './goalSeries';

const grid = testExercise('grid', 5);
const stages = (ridden: Parameters<typeof seriesStages>[2], target = 3) =>
  seriesStages(grid, target, ridden, USUAL_GATE, 1000);
const earned = testPasses([2, 2], [2, 2]);
const held = testPasses([2, 1], [2, 2]);

test('a series goes up a stage a week, from what comes next to its goal', () => {
  expect(stages([])).toEqual([0, 1, 2, 3]);
  expect(stages([testStep('grid', 1, 995, earned)])).toEqual([2, 3]);
  expect(stages([testStep('grid', 3, 995, earned)])).toEqual([]);
  expect(stages([testStep('grid', 4, 995, earned)])).toEqual([]);
});

test('it waits at what was not earned: the same stage again, and a week more', () => {
  const lessons = [
    { id: 'b', stage: 2 },
    { id: 'c', stage: 3 },
  ];
  expect(seriesNow(lessons, stages([testStep('grid', 1, 995, earned)]))).toBeNull();
  expect(seriesNow(lessons, stages([testStep('grid', 1, 995, held)]))).toEqual({
    asks: [
      { id: 'b', stage: 1 },
      { id: 'c', stage: 2 },
    ],
    moreStages: [3],
    spare: [],
  });
});

test('it goes on faster where more was earned, and says which lessons are spare', () =>
  expect(
    seriesNow(
      [
        { id: 'b', stage: 2 },
        { id: 'c', stage: 3 },
      ],
      [3],
    ),
  ).toEqual({
    ...{ asks: [{ id: 'b', stage: 3 }], moreStages: [], spare: ['c'] },
  }));
