/** Measures what Roan reckons against independent ways to it, and writes the table of docs/truth.md. */
import { readFileSync, writeFileSync } from 'node:fs';
import { svgPathProperties } from 'svg-path-properties';
import type { Arena } from '../src/core/arena/arena';
import { layOutExercise } from '../src/core/exercises/layOutExercise';
import { SHELF } from '../src/core/exercises/shelf';
import { chainEnd, type Chain } from '../src/core/geometry/chain';
import type { Pose } from '../src/core/geometry/pose';
import type { LayoutHorse } from '../src/core/layout/layout';
import { bothEnds, coverage, wholeOnly } from '../src/core/record/testLane';
import { settingSheet } from '../src/core/setting/settingSheet';
import { apart, laidEnds, trueEnds } from '../src/core/setting/testTaping';
import { betaCdf } from '../src/core/statistics/betaDistribution';
import { seededNormal, seededRandom } from '../src/core/statistics/seededRandom';
import { countChance } from '../src/core/stride/countChance';
import { normalCdf } from '../src/core/stride/normalCdf';
import { naturalTrack } from '../src/core/track/naturalTrack';
import { fittingRadiusM, groundCost, turnShare, USUAL_LEAN_RAD } from '../src/core/track/turnCost';
import { formatLength } from '../src/core/units/formatLength';
import { parseLength } from '../src/core/units/parseLength';
import { chainPath } from '../src/files/chainPath';

type Row = { what: string; against: string; cases: number; largest: string };

const ARENA: Arena = { widthM: 40, lengthM: 70, letters: 'none' };
const random = seededRandom(20261127);
const anyPose = (): Pose => ({
  at: { xM: 3 + 34 * random(), yM: 3 + 64 * random() },
  headingRad: 2 * Math.PI * random(),
});

const chains: Chain[] = [];
while (chains.length < 2000) {
  const track = naturalTrack(anyPose(), anyPose(), ARENA, 6);
  if (track.ok) chains.push(track.chain);
}

function lengthsByLibrary(): Row {
  const largest = Math.max(
    ...chains.map(chain => {
      const d = chainPath(({ xM, yM }) => ({ x: xM, y: -yM }), chain);
      return Math.abs(new svgPathProperties(d).getTotalLength() - chain.lengthM);
    }),
  );
  return row('length of a natural track', 'svg-path-properties (general-purpose library)', chains.length, mm(largest));
}

/** Steps along arcs and straights by their curvature, knowing nothing of how the chain tells its end. */
function endsByStepping(): Row {
  const largest = Math.max(
    ...chains.slice(0, 300).map(chain => {
      let { xM, yM } = chain.start.at;
      let heading = chain.start.headingRad;
      for (const segment of chain.segments) {
        const lengthM = segment.kind === 'line' ? segment.lengthM : segment.radiusM * Math.abs(segment.sweepRad);
        const bend = segment.kind === 'line' ? 0 : Math.sign(segment.sweepRad) / segment.radiusM;
        const steps = Math.ceil(lengthM / 0.002);
        for (let step = 0; step < steps; step += 1) {
          const middle = heading + (bend * lengthM) / steps / 2;
          xM += (lengthM / steps) * Math.cos(middle);
          yM += (lengthM / steps) * Math.sin(middle);
          heading += (bend * lengthM) / steps;
        }
      }
      const end = chainEnd(chain).at;
      return Math.hypot(end.xM - xM, end.yM - yM);
    }),
  );
  return row('where a natural track ends', 'stepping along it by its curvature, 2 mm at a time', 300, mm(largest));
}

function turnsByStepping(): Row {
  const fittingM = fittingRadiusM('course-canter', USUAL_LEAN_RAD);
  const largest = Math.max(
    ...chains.slice(0, 500).map(chain => {
      const reckoned = groundCost(chain, 0, chain.lengthM, fittingM).countedM;
      let counted = 0;
      for (const segment of chain.segments) {
        const lengthM = segment.kind === 'line' ? segment.lengthM : segment.radiusM * Math.abs(segment.sweepRad);
        const share = segment.kind === 'line' ? 1 : turnShare(segment.radiusM, fittingM);
        const steps = Math.ceil(lengthM / 0.01);
        for (let step = 0; step < steps; step += 1) counted += lengthM / steps / share;
      }
      return Math.abs(counted - reckoned);
    }),
  );
  return row('the ground of a leg with what its turns cost', 'summing it centimetre by centimetre', 500, mm(largest));
}

/** Simpson's rule. */
function integral(of: (x: number) => number, from: number, to: number, steps = 4000): number {
  const h = (to - from) / steps;
  let sum = of(from) + of(to);
  for (let i = 1; i < steps; i += 1) sum += of(from + i * h) * (i % 2 === 0 ? 2 : 4);
  return (sum * h) / 3;
}

function distributions(): Row[] {
  const density = (z: number) => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  const zs = Array.from({ length: 121 }, (_, i) => -6 + i / 10);
  const normal = Math.max(...zs.map(z => Math.abs(normalCdf(z) - integral(density, -12, z))));
  const cases = Array.from({ length: 200 }, () => ({
    x: 0.05 + 0.9 * random(),
    a: 2 + 8 * random(),
    b: 2 + 8 * random(),
  }));
  const beta = Math.max(
    ...cases.map(({ x, a, b }) => {
      const kernel = (t: number) => t ** (a - 1) * (1 - t) ** (b - 1);
      return Math.abs(betaCdf(x, a, b) - integral(kernel, 0, x) / integral(kernel, 0, 1));
    }),
  );
  return [
    row('the normal distribution', 'integrating its density (Simpson)', zs.length, normal.toExponential(1)),
    row('the beta distribution', 'integrating its density (Simpson)', cases.length, beta.toExponential(1)),
  ];
}

function chances(): Row {
  const TIMES = 40_000;
  const rule = { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'bounce', keepsFixed: false } as const;
  const offs = Array.from({ length: 60 }, () => {
    const inStrides = 2 + 5 * random();
    const strides = Math.max(1, Math.round(inStrides - 1 + (random() - 0.5)));
    let hits = 0;
    for (let time = 0; time < TIMES; time += 1) {
      const stride = 1 + 0.04 * seededNormal(random);
      if (Math.max(0, Math.round(inStrides / stride - 1)) === strides) hits += 1;
    }
    return Math.abs(hits / TIMES - countChance(inStrides, strides, rule, 0.04));
  });
  return row(
    'the chance of a count',
    `riding it ${TIMES.toLocaleString('en')} times`,
    60,
    `${(100 * Math.max(...offs)).toFixed(2)} %`,
  );
}

function sheets(): Row {
  const horse: LayoutHorse = { id: 'h', name: 'h', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} };
  const arenas: Arena[] = [
    { widthM: 20, lengthM: 60, letters: '20x60' },
    { widthM: 35, lengthM: 60, letters: 'none' },
  ];
  let [cases, largest] = [0, 0];
  for (const arena of arenas)
    for (const measureBy of ['walls', 'tapes'] as const)
      for (const recipe of SHELF) {
        const { items } = layOutExercise(
          recipe,
          { arena, school: 'whole-stride', horses: [horse] },
          { rein: 'left' },
        ).exercise;
        if (items.length === 0) continue;
        const sheet = settingSheet({ arena, items }, { measureBy, from: { xM: 0, yM: 0 } });
        const { ends } = laidEnds(arena, sheet, lengthM => Math.round(lengthM * 200) / 200);
        for (const item of items)
          for (const [end, at] of trueEnds(item)) {
            cases += 1;
            largest = Math.max(largest, apart(ends.get(`${item.id}, ${end}`)!, at));
          }
      }
  return row(
    'where a piece lies that is set by its sheet',
    'taping the printed sheet, to half a centimetre',
    cases,
    mm(largest),
  );
}

function intervals(): Row[] {
  const strides = Array.from({ length: 28 }, (_, i) => 1.3 + i / 10);
  const least = (spread: number, noted: typeof wholeOnly) =>
    Math.min(
      ...[1, 2, 4, 8].flatMap(passes =>
        strides.map(strideM => coverage({ laneM: 20, strideM, passes, spread }, noted, 2000)),
      ),
    );
  const said = (share: number) => `least ${(100 * share).toFixed(1)} % held`;
  return [
    row(
      'the interval of a stride test, strides alike',
      'going through the lane 2,000 times a case',
      112,
      said(least(0, wholeOnly)),
    ),
    row(
      'the interval of a stride test, strides varying by 4 %',
      'going through the lane 2,000 times a case',
      112,
      said(least(0.04, wholeOnly)),
    ),
    row(
      'the same with parts noted at both ends',
      'going through the lane 2,000 times a case',
      112,
      said(least(0.04, bothEnds)),
    ),
  ];
}

function lengths(): Row {
  const cases = Array.from({ length: 5000 }, () => 100 * random());
  const largest = Math.max(
    ...cases.map(lengthM => {
      const read = parseLength(formatLength(lengthM, 'ft'));
      return read.ok ? Math.abs(read.lengthM - lengthM) : Infinity;
    }),
  );
  return row(
    'a length written in feet and read again',
    'the length itself; an eighth of an inch is 3.2 mm',
    cases.length,
    mm(largest),
  );
}

function row(what: string, against: string, cases: number, largest: string): Row {
  return { what, against, cases, largest };
}
const mm = (metres: number) =>
  metres < 1e-6 ? `${(metres * 1e9).toFixed(1)} nm` : `${(metres * 1000).toFixed(metres < 1e-3 ? 4 : 1)} mm`;

const rows = [
  lengthsByLibrary(),
  endsByStepping(),
  turnsByStepping(),
  ...distributions(),
  chances(),
  ...intervals(),
  sheets(),
  lengths(),
];
const FILE = 'docs/truth.md';
const table = [
  '| what | against what | cases | largest error seen |',
  '| --- | --- | ---: | ---: |',
  ...rows.map(
    ({ what, against, cases, largest }) => `| ${what} | ${against} | ${cases.toLocaleString('en')} | ${largest} |`,
  ),
].join('\n');
const text = readFileSync(FILE, 'utf8');
const [before, rest] = text.split('<!-- measured -->\n');
const after = rest?.split('<!-- end of measured -->')[1];
if (before === undefined || after === undefined) throw new Error(`${FILE} has no marks for the table`);
writeFileSync(FILE, `${before}<!-- measured -->\n\n${table}\n\n<!-- end of measured -->${after}`);
