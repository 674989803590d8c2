import { USUAL_RULES } from '@/core';
import { readYardRules, YardRulesOnPaper } from './yardRules';

test('the usual rules are good ones, and come back as they were stored', () => {
  expect(YardRulesOnPaper.parse(USUAL_RULES)).toEqual(USUAL_RULES);
  expect(readYardRules(JSON.parse(JSON.stringify(USUAL_RULES)))).toEqual(USUAL_RULES);
});

test('the rules of an older Roan, which knew neither western words nor a yard’s own work for the rider, are read', () => {
  const { gaitWords: _, riderWork: __, ...older } = USUAL_RULES;
  expect(readYardRules({ ...older, faults: ['rush'] })).toEqual({ ...USUAL_RULES, faults: ['rush'] });
});

test('nothing stored, or something that is no rules, is the usual ones', () => {
  for (const stored of [undefined, null, 7, {}, { ...USUAL_RULES, gate: { cleanEachRein: 0, bothReins: true } }])
    expect(readYardRules(stored)).toEqual(USUAL_RULES);
});

const WORK = { name: 'Seat', focus: '', seat: null, minutes: 5, marks: ['sat down'] };

test.each([
  [{ gate: { cleanEachRein: 11, bothReins: true } }, 'gate.cleanEachRein', 'At most 10'],
  [{ limits: { ...USUAL_RULES.limits, jumpingDays: 8 } }, 'limits.jumpingDays', 'At most 7'],
  [{ limits: { ...USUAL_RULES.limits, lowEfforts: 2.5 } }, 'limits.lowEfforts', 'whole number'],
  [{ faults: ['rush', 'Rush'] }, 'faults', 'twice'],
  [{ faults: ['  '] }, 'faults.0', 'needs a word'],
  [{ gaitWords: 'latin' }, 'gaitWords', 'nvalid'],
  [{ riderWork: [{ ...WORK, marks: [] }] }, 'riderWork.0.marks', 'watched in the rider'],
  [{ riderWork: [{ ...WORK, minutes: 0 }] }, 'riderWork.0.minutes', 'At least one minute'],
  [{ riderWork: Array.from({ length: 31 }, () => WORK) }, 'riderWork', 'At most 30'],
  [{ riderMarks: Array.from({ length: 21 }, (_, i) => `w${i}`) }, 'riderMarks', 'At most 20'],
])('%j: said where', (changes, path, words) => {
  const read = YardRulesOnPaper.safeParse({ ...USUAL_RULES, ...changes });
  expect(read.success).toBe(false);
  const issue = read.error!.issues[0]!;
  expect(issue.path.join('.')).toBe(path);
  expect(issue.message).toContain(words);
});
