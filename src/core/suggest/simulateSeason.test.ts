import { shelfFacts } from '../goals/shelfFacts';
import { simulateSeason } from './simulateSeason';

const SEEDS = [1, 2];

// The page docs/suggestions.md has the same of many more seeds.
test('pairs that follow the suggestions keep the limits, and get farther than by a fixed programme', () => {
  const mean = (by: 'suggestions' | 'programme') => {
    const all = SEEDS.map(seed => simulateSeason(shelfFacts(), seed, by));
    const of = (key: 'reinLeft' | 'goalsReached' | 'overLimit' | 'learnt') =>
      all.reduce((sum, one) => sum + one[key], 0) / all.length;
    return { rein: of('reinLeft'), goals: of('goalsReached'), over: of('overLimit'), learnt: of('learnt') };
  };
  const [followed, fixed] = [mean('suggestions'), mean('programme')];
  expect(followed.over).toBe(0);
  expect(fixed.over).toBeGreaterThan(0);
  expect(followed.goals).toBeGreaterThan(fixed.goals);
  expect(followed.rein).toBeLessThan(fixed.rein);
  expect(followed.learnt).toBeGreaterThan(fixed.learnt);
});
