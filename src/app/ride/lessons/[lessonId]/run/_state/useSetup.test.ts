import { changedWords } from './useSetup';

const stage = (versionId: string | null, layoutName: string | null) => ({ versionId, layoutName });

test('what was changed is named once, however many stages ride it', () => {
  const before = [stage(null, null), stage('v1', 'The bend'), stage('v1', 'The bend'), stage('w1', 'The line')];
  expect(changedWords(before, before)).toBeNull();
  expect(
    changedWords(before, [
      stage(null, null),
      stage('v2', 'The bend'),
      stage('v2', 'The bend'),
      stage('w1', 'The line'),
    ]),
  ).toBe('“The bend” was changed just now: from the next pass on it is ridden as it stands now.');
  expect(changedWords(before, [stage('v2', 'The bend'), stage('w2', 'The line')])).toContain(
    '“The bend” and “The line” were changed',
  );
});

test('a stage that was taken out changes nothing that is ridden', () => {
  expect(changedWords([stage('v1', 'The bend'), stage('w1', 'The line')], [stage('v1', 'The bend')])).toBeNull();
});
