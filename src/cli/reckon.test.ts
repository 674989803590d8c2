import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { readLayoutText } from '@/files/layoutFile';
import { reckonOutput } from './reckonOutput';

const EXAMPLE = 'docs/examples/heron-to-willow.roan.json';
/** A parsed file that the test bends on purpose. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type LooseJson = any;

let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'roan-cli-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function reckon(...files: string[]) {
  return spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/reckon.ts', ...files], { encoding: 'utf8' });
}

jest.setTimeout(60_000);

test('the promise: the shape and the numbers of the example, worked by hand', () => {
  const { status, stdout, stderr } = reckon(EXAMPLE);
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
