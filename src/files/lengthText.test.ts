import { lengthText } from './lengthText';

const POLE = lengthText({ what: 'The pole', minM: 1, maxM: 5, bounds: '1 to 5 m long' });

test.each([
  ['1', 1],
  ['5 m', 5],
  ['350 cm', 3.5],
  // A foot is 0.3048 m exactly (international yard and pound agreement, 1959).
  ['10 ft', 3.048],
])('%s is a length within its bounds, which belong to them', (text, lengthM) => {
  expect(POLE.parse(text)).toBeCloseTo(lengthM, 9);
});

test.each(['0.99', '5.01', '20 ft'])('%s is outside, and that is said of what it is the length of', text => {
  expect(POLE.safeParse(text).error?.issues.map(({ message }) => message)).toEqual(['The pole is 1 to 5 m long.']);
});

test('what is no length is told apart from one that is too long', () => {
  const [issue] = POLE.safeParse('long').error!.issues;
  expect(issue!.message).not.toContain('1 to 5 m long');
  expect(issue!.message.length).toBeGreaterThan(5);
});
