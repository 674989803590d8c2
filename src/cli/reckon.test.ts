import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { readLayoutText } from '@/files/layoutFile';
import { reckonOutput } from './reckonOutput';
import { runCommand } from './testCommand';

const EXAMPLE = 'docs/examples/heron-to-willow.roan.json';
/** A parsed file that the test bends on purpose. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type LooseJson = any;

let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'roan-cli-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const reckon = (...files: string[]) => runCommand('reckon', ...files);

jest.setTimeout(60_000);

test('the promise: the shape and the numbers of the example, worked by hand', () => {
  const asked = ['scripts/cli.mjs', 'reckon', EXAMPLE];
  const { status, stdout, stderr } = spawnSync(process.execPath, asked, { encoding: 'utf8' });
  expect({ status, stderr }).toEqual({ status: 0, stderr: '' });
  // 33.5 − 15 = 18.5 m; less half of the oxer's 0.8 m is 18.1; 18.1 ÷ 4 = 4.525 and ÷ 5 = 3.62; over 3.66.
  expect(JSON.parse(stdout)).toEqual({
    name: 'Heron to willow',
    tracks: [
      {
        id: 'line',
        lengthM: 18.5,
        smallestRadiusM: null,
        legs: [
          {
            from: 'heron',
            to: 'willow',
            trackM: 18.5,
            groundM: 18.1,
            insideM: 18.1,
            outsideM: 18.1,
            smallestRadiusM: null,
            straightOutM: 18.1,
            straightInM: 18.1,
            readings: [
              {
                horse: 'Juniper',
                normalM: 3.66,
                call: 'easy four',
                options: [
                  { strides: 3, needM: 4.525, q: 1.236, word: 'too far' },
                  { strides: 4, needM: 3.62, q: 0.989, word: 'easy' },
                ],
              },
            ],
          },
        ],
      },
    ],
    cautions: [],
  });
});

test.each([
  { name: 'no file', files: [], line: 'Say which layout file' },
  { name: 'a file that is not there', files: ['nowhere.roan.json'], line: 'cannot be read' },
])('$name: one line, exit 2, nothing on standard output', ({ files, line }) => {
  const { status, stdout, stderr } = reckon(...files);
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(stderr.trim().split('\n')).toHaveLength(1);
  expect(stderr).toContain(line);
});

test('a bad file: one line that says where, exit 2, nothing on standard output', () => {
  const file = path.join(folder, 'bad.roan.json');
  writeFileSync(file, readFileSync(EXAMPLE, 'utf8').replace('"heightM": 0.8', '"heightM": -1'));
  const { status, stdout, stderr } = reckon(file);
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(stderr.trim().split('\n')).toHaveLength(1);
  expect(stderr).toContain('items.0.heightM');
});

/** The example with one change, reckoned. */
function changed(change: (json: LooseJson) => void) {
  const json = JSON.parse(readFileSync(EXAMPLE, 'utf8'));
  change(json);
  const read = readLayoutText(JSON.stringify(json));
  if (!read.ok) throw new Error(read.reason);
  return reckonOutput(read.layout);
}

test.each([
  ['between', (j: LooseJson) => (j.items[1].at.yM = 15.4 + 3 * 3.66 * 1.1)],
  ['off-arena', (j: LooseJson) => (j.items[3].at.xM = 20.5)],
  [
    'one-way-from-behind',
    (j: LooseJson) =>
      (j.tracks[0].through = [
        { item: 'willow', reversed: true },
        { item: 'heron', reversed: true },
      ]),
  ],
  ['no-natural-track', (j: LooseJson) => (j.items[1].at.yM = 8)],
  ['too-far', (j: LooseJson) => (j.tracks[0].legs[0].asked = 3)],
  ['too-tight', (j: LooseJson) => (j.tracks[0].legs[0].asked = 5)],
])('raises %s', (code, change) => expect(changed(change).cautions.map(caution => caution.code)).toContain(code));

test('a count that was asked and is in reach is no fault: “four asked”', () => {
  expect(changed(j => (j.tracks[0].legs[0].asked = 4))).toMatchObject({
    cautions: [],
    tracks: [{ legs: [{ readings: [{ asked: { strides: 4, word: 'easy' } }] }] }],
  });
});

/** An example of the docs, reckoned. */
function example(name: string) {
  const read = readLayoutText(readFileSync(`docs/examples/${name}.roan.json`, 'utf8'));
  if (!read.ok) throw new Error(read.reason);
  return reckonOutput(read.layout);
}

test('a course: what was 350 m a minute over the ridden track, in seconds', () => {
  const [track] = example('spring-course').tracks;
  if (!track || !('course' in track) || !track.course) throw new Error('a course');
  const { lengthM, timeAllowedS, timeLimitS, efforts } = track.course;
  expect(efforts).toBe(5);
  // The round less the 22 m before and behind it is what the legs come to.
  expect(lengthM).toBeCloseTo(22 + track.legs.reduce((sum, leg) => sum + leg.trackM, 0), 4);
  expect(timeAllowedS).toBe(Math.ceil((lengthM / 350) * 60));
  expect(timeLimitS).toBe(2 * timeAllowedS);
});

test('a session: no legs, but metres, minutes, reins, and where the strides fall', () => {
  const [track] = example('flat-session').tracks;
  if (!track || !('session' in track) || !track.session) throw new Error('a session');
  const { session, strides, lengthM } = track;
  const add = (values: Record<string, number>) => Object.values(values).reduce((sum, value) => sum + value, 0);
  expect(track.legs).toEqual([]);
  expect(add(session.metresByGait)).toBeCloseTo(lengthM, 4);
  expect(add(session.metresByRein)).toBeCloseTo(lengthM, 4);
  expect(strides[0]).toMatchObject({ horse: 'Juniper', count: strides[0]!.alongM.length });
  expect(strides[0]!.alongM.every((atM, index, all) => atM <= lengthM && (index === 0 || atM > all[index - 1]!))).toBe(
    true,
  );
});

test('a figure that cannot be ridden leaves the session empty, and a caution says why', () => {
  const { tracks, cautions } = changed(j => {
    const figure = { kind: 'shallow-loop', start: 'F', rein: 'left', lengthM: 10, depthM: 9 };
    j.tracks = [{ id: 'flat', gait: 'trot', figure }];
  });
  expect(tracks).toEqual([{ id: 'flat', lengthM: 0, smallestRadiusM: null, legs: [], session: null, strides: [] }]);
  expect(cautions).toMatchObject([{ code: 'no-natural-track', level: 'stop' }]);
});

test('several files: a line of JSON each, in their order; one that cannot be read, and nothing is printed', () => {
  const other = path.join(folder, 'other.roan.json');
  writeFileSync(other, JSON.stringify({ ...JSON.parse(readFileSync(EXAMPLE, 'utf8')), name: 'Other' }));
  for (const command of ['reckon', 'set-out', 'draw']) {
    const run = (...files: string[]) => runCommand(command, ...files);
    const { status, stdout } = run(EXAMPLE, other);
    expect(status).toBe(0);
    const lines = stdout.trimEnd().split('\n');
    expect(lines.map(line => (JSON.parse(line) as { name: string }).name)).toEqual(['Heron to willow', 'Other']);
    const broken = run(EXAMPLE, path.join(folder, 'nowhere.roan.json'));
    expect(broken.status).toBe(2);
    expect(broken.stdout).toBe('');
    expect(broken.stderr).toMatch(/nowhere\.roan\.json: this file cannot be read\./);
  }
});

test('a turn that costs says so, and one that cannot be ridden has no count', () => {
  const layout = JSON.parse(readFileSync(EXAMPLE, 'utf8')) as LooseJson;
  // A quarter turn of 7 m: 350 m/min and a lean of 20° fit 9.53 m, √(7 ÷ 9.53) = 0.857.
  const turned = (radiusM: number) => ({
    ...layout,
    arena: { widthM: 60, lengthM: 60 },
    items: [
      { ...layout.items[0], at: { xM: 20, yM: 20 }, facingDeg: 0 },
      { ...layout.items[0], id: 'willow', at: { xM: 20 + radiusM, yM: 20 + radiusM }, facingDeg: 90 },
    ],
  });
  const legOf = (json: unknown) => {
    const file = path.join(folder, 'turn.roan.json');
    writeFileSync(file, JSON.stringify(json));
    return (JSON.parse(reckon(file).stdout) as LooseJson).tracks[0].legs[0];
  };
  const costs = legOf(turned(7));
  expect(costs.turnShare).toBeCloseTo(0.857, 3);
  expect(costs.countedM).toBeCloseTo((3.5 * Math.PI) / 0.857, 1);
  const cannot = legOf(turned(3)).readings[0];
  expect(cannot).toMatchObject({ call: 'cannot be ridden at this gait', options: [], cannot: { radiusM: 3 } });
  expect(legOf({ ...turned(7), leanDeg: null }).turnShare).toBeUndefined();
});
