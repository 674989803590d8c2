import { readFileSync } from 'node:fs';

const EVERY_MS = 100;
/** What was put off while the machine was taken away is still to be done for so long after it. */
const CATCHING_UP_MS = 500;
/** The place of “stolen” among the ticks of a line of /proc/stat: proc(5). */
const STOLEN = 7;

type Sample = { atMs: number; stolen: number; all: number };

/**
 * Watches how much of its processors this machine is not given: one that is a guest of another stands still, with all that it runs,
 * while its host is busy with others (“steal” of proc(5)). Of Linux; elsewhere nothing is known, and nothing counts as stolen.
 */
export function watchStolen() {
  const samples: Sample[] = [];
  const look = () => {
    const ticks = ticksOf();
    if (ticks) samples.push({ atMs: performance.now(), ...ticks });
  };
  look();
  const watch = setInterval(look, EVERY_MS);
  return {
    end: () => clearInterval(watch),
    /** What share of the processors was not given from a little before a time until another, as `performance.now` tells them. */
    share: (fromMs: number, toMs: number): number => {
      const first = samples.findLast(({ atMs }) => atMs <= fromMs - CATCHING_UP_MS) ?? samples[0];
      const last = samples.find(({ atMs }) => atMs >= toMs) ?? samples.at(-1);
      return first && last && last.all > first.all ? (last.stolen - first.stolen) / (last.all - first.all) : 0;
    },
  };
}

function ticksOf(): Omit<Sample, 'atMs'> | null {
  try {
    const ticks = readFileSync('/proc/stat', 'utf8').split('\n', 1)[0]!.trim().split(/\s+/).slice(1).map(Number);
    // The last two are of guests, and in the first two already.
    return { stolen: ticks[STOLEN] ?? 0, all: ticks.slice(0, STOLEN + 1).reduce((sum, one) => sum + one, 0) };
  } catch {
    return null;
  }
}
