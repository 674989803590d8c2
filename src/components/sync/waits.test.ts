import { waitWords, type Waits } from './waits';

const waits = (some: Partial<Waits>): Waits => ({
  unsent: 0,
  writing: 0,
  inPageOnly: 0,
  refused: 0,
  problem: null,
  ...some,
});

test.each([
  [waits({}), null],
  [waits({ refused: 2 }), null],
  [waits({ unsent: 3 }), 'Saving …'],
  [waits({ unsent: 3, writing: 1, problem: 'No answer.' }), 'Saving …'],
  [waits({ unsent: 3, problem: 'No answer.' }), '3 not saved yet, kept on this device. No answer.'],
  [
    waits({ unsent: 2, inPageOnly: 2, problem: 'No answer.' }),
    '2 not saved yet, and only in this page: this device’s storage does not take them. Leave the page open until they are sent. No answer.',
  ],
  [
    waits({ unsent: 3, inPageOnly: 1 }),
    '3 not saved yet, 1 of them only in this page: this device’s storage does not take them. Leave the page open until they are sent.',
  ],
])('%j', (given, words) => expect(waitWords(given)).toBe(words));
