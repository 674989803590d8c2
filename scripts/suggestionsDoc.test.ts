import { readFileSync } from 'node:fs';
import { shelfFacts } from '../src/core/goals/shelfFacts';
import { simulateSeason } from '../src/core/suggest/simulateSeason';
import { TERMS } from '../src/core/suggest/terms';
import simulated from '../src/app/ride/next/how/simulated.json';

test('the numbers that the page shows are of the rule as it is', () => {
  expect(simulateSeason(shelfFacts(), 1, 'suggestions')).toEqual(simulated.first.followed);
  expect(simulateSeason(shelfFacts(), 1, 'programme')).toEqual(simulated.first.fixed);
  expect(simulated.yards).toMatchObject({ of: 500, broken: 0 });
  expect(simulated.even.called / simulated.even.seasons).toBeLessThan(0.05);
});

test('docs/suggestions.md tells the same rule', () => {
  const page = readFileSync('docs/suggestions.md', 'utf8').replace(/\s+/g, ' ');
  for (const words of Object.values(TERMS)) expect(page).toContain(words);
  expect(page).toContain(`${simulated.yards.suggested} suggestions were made`);
});
