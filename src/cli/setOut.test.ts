import { runCommand } from './testCommand';

const EXAMPLE = 'docs/examples/heron-to-willow.roan.json';
jest.setTimeout(60_000);

test('the promise: the example set out, worked by hand', () => {
  const { status, stdout, stderr } = runCommand('set-out', EXAMPLE);
  expect({ status, stderr }).toEqual({ status: 0, stderr: '' });
  const sheet = JSON.parse(stdout);
  expect(sheet.name).toBe('Heron to willow');
  const heron = sheet.pieces.find(({ item }: { item: string }) => item === 'heron');
  // 3.5 m wide in the middle of 20 m: its ends are 8.25 and 11.75 m in; 15 m up lies 3 m short of V at 18 m.
  expect(heron.points).toEqual([
    { end: 'left', xM: 8.25, yM: 15 },
    { end: 'right', xM: 11.75, yM: 15 },
  ]);
  expect(heron.facingDeg).toBe(0);
  expect(heron.measures.map(({ words, tape, follows }: Record<string, unknown>) => [words, tape, follows])).toEqual([
    ['Both ends: along the E long side, from V towards K', '3.00 m', false],
    ['Left end: square in from the E long side', '8.25 m', false],
    ['Right end: square in from the E long side', '11.75 m', true],
  ]);
  const willow = sheet.pieces.find(({ item }: { item: string }) => item === 'willow');
  // The front of an oxer of 0.8 m about 33.5 m is at 33.1 m: 18.1 m on from a vertical at 15 m.
  expect(willow.measures[0]).toMatchObject({
    words: 'On from 1, along the E long side towards the H corner',
    lengthM: 18.1,
  });
  expect(willow.notes.join(' ')).toContain('the back rail stands 0.80 m behind');
  expect(willow.notes.join(' ')).toContain('only that way');
  expect(sheet.halfSteps).toBeNull();
  expect(sheet.worstErrorM).toBeLessThan(0.01);
});

test('in somebody’s steps, and what rounding them does', () => {
  const { stdout } = runCommand('set-out', EXAMPLE, '--step-cm', '85', '--unit', 'ft');
  const sheet = JSON.parse(stdout);
  const heron = sheet.pieces.find(({ item }: { item: string }) => item === 'heron');
  // 3 m is 3½ steps of 85 cm and 2.5 cm, an inch.
  expect(heron.measures[0]).toMatchObject({ tape: '9 ft 10⅛ in', steps: '3½ steps and 1 in' });
  expect(sheet.halfSteps.stepM).toBe(0.85);
  for (const count of Object.values(sheet.halfSteps.steps as Record<string, number>)) expect((count * 2) % 1).toBe(0);
});

test.each([
  [['set-out'], 'Say which layout file'],
  [['set-out', 'nowhere.roan.json'], 'nowhere.roan.json: this file cannot be read.'],
  [['set-out', EXAMPLE, '--unit', 'chains'], 'say m, ft or yd'],
  [['set-out', EXAMPLE, '--step-cm', 'long'], 'a step is 30 to 150 cm'],
  [['set-out', EXAMPLE, '--measure-by', 'eye'], 'say line, walls or tapes'],
  [['set-out', EXAMPLE, '--wish'], 'wish'],
])('%j is refused in one line', (args, words) => {
  const { status, stdout, stderr } = runCommand(...(args as [string, ...string[]]));
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(stderr).toContain(words);
  expect(stderr.trim().split('\n')).toHaveLength(1);
});

test('the example drawn', () => {
  const { status, stdout } = runCommand('draw', EXAMPLE);
  expect(status).toBe(0);
  expect(stdout).toMatch(/^<svg [^>]*viewBox=/);
  // The front rail of heron, 60 − 15 = 45 m down the paper.
  expect(stdout).toContain('M8.25 45L11.75 45');
});
