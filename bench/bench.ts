/**
 * npm run bench: medians of the reckoning, with a general-purpose peer in the same run. Machines differ and are shared,
 * so what counts are the ratios, and how far each median is from its target.
 */
import {
  chainOf,
  measureLeg,
  profileStride,
  readDistance,
  threeTracks,
  type Chain,
  type DistanceCase,
  type Fence,
  type LegGround,
  type RiddenEnd,
} from '@/core';
import builtFirst from '../e2e/support/builtFirst.mjs';
import { median } from '../scripts/quality/sourceSizes';
import { svgPathProperties } from 'svg-path-properties';
import { benchDrag } from './dragBench';
import { benchFit } from './fitBench';
import { keepMeasured } from './measured';
import { benchRestore } from './restoreBench';
import { benchScripts } from './scriptBench';
import { benchSeason } from './seasonBench';
import { benchSheets } from './sheetBench';
import { benchSlowPhone } from './slowPhoneBench';
import { benchSuggest } from './suggestBench';
import { benchTaps } from './tapBench';

const FENCES = 15;
const HORSES = 12;
const GROUND: LegGround = { arena: { widthM: 40, lengthM: 70, letters: 'none' }, smallestRadiusM: 6, strideM: 3.85 };

/** A course that winds up and down the arena, changing the rein. */
function course(movedM: number): RiddenEnd[] {
  return Array.from({ length: FENCES }, (_, index) => {
    const up = Math.floor(index / 3) % 2 === 0;
    const row = index % 3;
    const at = { xM: 6 + Math.floor(index / 3) * 7, yM: 15 + (up ? row : 2 - row) * 19 + (index === 7 ? movedM : 0) };
    const fence: Fence = {
      ...{
        kind: 'fence',
        id: `f${index}`,
        name: null,
        form: 'vertical',
        at,
        headingRad: up ? Math.PI / 2 : -Math.PI / 2,
      },
      ...{ widthM: 3.5, heightM: 0.9, spreadM: 0, ridden: 'both-ways', filler: false },
      ...{ groundLineBeforeM: null, sideHeightM: null, corner: null },
    };
    return { item: fence, reversed: false };
  });
}

const strides = Array.from({ length: HORSES }, (_, index) =>
  profileStride({ heightM: 1.2 + index * 0.05, type: 'all-round', strides: {} }, 'course-canter')!,
);

function reckonCourse(fences: RiddenEnd[]): number {
  let calls = 0;
  for (let index = 0; index + 1 < fences.length; index += 1) {
    const [from, to] = [fences[index]!, fences[index + 1]!];
    const distance: DistanceCase = {
      ...{ school: 'whole-stride', setting: 'course', approach: 'canter' },
      ...{ from: from.item, to: to.item },
    };
    const { natural, direct, wide } = threeTracks(from, to, GROUND);
    for (const chain of [natural.chain, direct, ...(wide.ok ? [wide.chain] : [])]) {
      const { groundM } = measureLeg(from.item, to.item, chain);
      for (const stride of strides) calls += readDistance(groundM, distance, stride).call.length;
    }
  }
  return calls;
}

/** The median time of a task, microseconds, after a warm-up. */
function medianUs(task: (round: number) => unknown, rounds: number, perRound: number): number {
  for (let round = 0; round < rounds / 4; round += 1) task(round);
  const times = Array.from({ length: rounds }, (_, round) => {
    const start = performance.now();
    for (let i = 0; i < perRound; i += 1) task(round * perRound + i);
    return ((performance.now() - start) * 1000) / perRound;
  });
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!;
}

function report(name: string, value: string, target: string, met: boolean): void {
  console.log(`${met ? 'met   ' : 'MISSED'}  ${name}: ${value} (target ${target})`);
}

const courseUs = medianUs(round => reckonCourse(course((round % 40) * 0.05)), 200, 1);
report(
  're-reckon 15 fences, 12 horses, three tracks a leg',
  `${(courseUs / 1000).toFixed(2)} ms`,
  '4 ms',
  courseUs <= 4000,
);

const fences = course(0.3);
const legUs = medianUs(
  round => threeTracks(fences[round % (FENCES - 1)]!, fences[(round % (FENCES - 1)) + 1]!, GROUND),
  200,
  56,
);
report("one leg's three tracks", `${legUs.toFixed(1)} µs`, '50 µs', legUs <= 50);

/** Arcs and lines as one rides them, and the same as an SVG path that a general library parses once and measures. */
const start = { at: { xM: 5, yM: 5 }, headingRad: 0 };
const bend = (radiusM: number): Chain =>
  chainOf(start, [
    { kind: 'turn', radiusM, sweepRad: 1.5 },
    { kind: 'straight', lengthM: 7 },
    { kind: 'turn', radiusM, sweepRad: -1.2 },
  ]);
const svgOf = ({ segments }: Chain): string =>
  segments
    .map((segment, index) => {
      const next = segments[index + 1]?.start.at ?? { xM: 20, yM: 20 };
      const move = index === 0 ? `M ${segment.start.at.xM} ${segment.start.at.yM} ` : '';
      if (segment.kind === 'line') return `${move}L ${next.xM} ${next.yM}`;
      return `${move}A ${segment.radiusM} ${segment.radiusM} 0 0 ${segment.sweepRad > 0 ? 1 : 0} ${next.xM} ${next.yM}`;
    })
    .join(' ');
const paths = Array.from({ length: 50 }, (_, index) => svgOf(bend(6 + index * 0.1)));
const ownUs = medianUs(round => bend(6 + (round % 50) * 0.1).lengthM, 200, 50);
const peerUs = medianUs(round => new svgPathProperties(paths[round % 50]!).getTotalLength(), 200, 50);
const ratio = peerUs / ownUs;
report('a closed-form length against svg-path-properties', `${ratio.toFixed(0)} times faster`, '20 times', ratio >= 20);

/** The JavaScript that pages ask for first, as it is sent. */
async function reportScripts(): Promise<void> {
  const pages = await benchScripts();
  for (const { page, kB, aimKB } of pages)
    report(`first JavaScript of ${page}`, `${kB.toFixed(0)} kB as sent`, `${aimKB} kB`, kB <= aimKB);
  const rows = pages.map(({ page, kB, behindKB, aimKB }) => [page, kB.toFixed(0), aimKB, behindKB.toFixed(0)]);
  keepMeasured(
    'scripts',
    ['page', 'kB', 'aim', 'behind it, kB'],
    rows,
    'Behind it: what the head of a page asks for besides, after the rest, and comes alive by itself. What a page asks for once it is alive is not counted.',
  );
}

async function reportSlowPhone(): Promise<void> {
  const { first, next } = await benchSlowPhone();
  const seconds = (ms: number) => (ms / 1000).toFixed(2);
  const row = (what: string, of: number[], aimS: number | null) => {
    const ms = median(of);
    report(
      `a pad on a slow phone: a tap ${what}`,
      `${seconds(ms)} s`,
      `${aimS ?? '–'} s`,
      aimS === null || ms <= 1000 * aimS,
    );
    return [what, seconds(ms), of.map(seconds).join(', '), aimS ?? ''];
  };
  keepMeasured(
    'slowPhone',
    ['a pad, until a tap is', 'median, s', 'each, s', 'aim, s'],
    [
      { visit: 'first visit', of: first, aimS: 2 },
      { visit: 'next visit', of: next, aimS: 1 },
    ].flatMap(({ visit, of, aimS }) => [
      row(
        `possible, ${visit}`,
        of.map(({ keyMs }) => keyMs),
        null,
      ),
      row(
        `seen to be heard, ${visit}`,
        of.map(({ heardMs }) => heardMs),
        aimS,
      ),
      row(
        `counted, ${visit}`,
        of.map(({ countedMs }) => countedMs),
        null,
      ),
    ]),
    'Processor four times slower, 1.6 Mbit/s, 150 ms; tapped as soon as there is a key. Heard: the key shows it, and it is kept until the page is alive.',
  );
}

async function reportDrag(): Promise<void> {
  const drag = await benchDrag();
  report(
    'a drag with 60 items and 12 horses: work in a frame, 95th percentile',
    `${drag.workMs.toFixed(1)} ms (median ${drag.workMedianMs.toFixed(1)} ms, ${drag.frames} frames)`,
    '8 ms',
    drag.workMs <= 8,
  );
  report(
    'the same: the painter beside the page, 95th percentile',
    `${drag.painterMs.toFixed(1)} ms (median ${drag.painterMedianMs.toFixed(1)} ms)`,
    'a frame of 16.7 ms',
    drag.painterMs <= 16.7,
  );
  report('the same: from frame to frame', `${drag.intervalMs.toFixed(1)} ms`, '20 ms', drag.intervalMs <= 20);
}

const { fitMs, composeMs, eyeMs } = benchFit();
report('fit 12 fences for 6 horses', `${fitMs.toFixed(0)} ms`, '1 s', fitMs <= 1000);
report('three courses of eight for 3 horses', `${(composeMs / 1000).toFixed(2)} s`, '5 s', composeMs <= 5000);
report('a picture from the saddle, 12 fences, before it is painted', `${eyeMs.toFixed(2)} ms`, '8 ms', eyeMs <= 8);

const { eachMs, made } = benchSuggest();
report(`one suggestion each for 12 pairs (${made} made)`, `${eachMs.toFixed(0)} ms`, '1 s', eachMs <= 1000);

const MOST_SHEET_MS: Record<number, number> = { 50: 1000, 500: 1000, 2000: 5000 };

async function reportSheets(): Promise<void> {
  for (const { pieces, sheetMs, paperMs } of await benchSheets()) {
    const aimMs = MOST_SHEET_MS[pieces]!;
    report(`a setting sheet of ${pieces} pieces`, `${sheetMs.toFixed(0)} ms`, `${aimMs} ms`, sheetMs <= aimMs);
    report(`its paper`, `${paperMs.toFixed(0)} ms more`, 'beside the taps', true);
  }
}

/** Needs the built application (npm run build) and Chromium. */
void reportSheets()
  .then(() => benchSeason(report))
  .then(builtFirst)
  .then(async forget => {
    await reportScripts();
    await reportSlowPhone();
    await reportDrag();
    await benchTaps(report);
    await benchRestore(report);
    forget();
  });
