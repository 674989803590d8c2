import type { Layout } from '../layout/layout';
import { countedGroundM, reckonLayout } from '../layout/reckonLayout';
import type { ReckonedTrack } from '../layout/reckonedTrack';
import type { HorseReading } from '../layout/reckonedLeg';
import { readCount } from '../stride/readDistance';
import { distanceCaseOf } from '../layout/reckonLayout';
import { layoutStride, settingAt } from '../layout/layoutStrides';
import { itemsAsMeasured } from './asMeasured';
import { changedLegs, saidOf, type LegChange } from './legChanges';
import type { Measure } from './measure';
import type { MeasureId } from './placing';
import type { SettingSheet } from './settingSheet';

export type StepRounding = {
  /** Half steps for each measure that stands by itself: as steps, 0, 0.5, 1, … */
  steps: Map<MeasureId, number>;
  /** What this rounding does to the legs, those that change by a centimetre or more. */
  changes: LegChange[];
  /** How many of those words change for a horse. */
  changedWords: number;
  /** Whether every other rounding was tried, so that there is none better. */
  isBest: boolean;
};

/** So many measures are tried in every combination. */
const MOST_IN_FULL = 10;
/** A sheet with more measures is improved one and two at a time, as long as that is not too many layouts to reckon. */
const MOST_LAYOUTS = 1200;

/**
 * The half steps for each measure of a sheet that hurt the horses least, reckoned together: walked without the remainders,
 * the layout is another one, and each horse reads it anew. Each measure goes to the half step below or above it.
 * A word that changes for a horse weighs more than any change of stride; then the squares of the changes in needed stride
 * count; then how far the pieces move.
 * @param stepM - metres of one step, finite, > 0
 * @throws {RangeError} a step that is not
 */
export function stepRounding(layout: Layout, sheet: SettingSheet, stepM: number): StepRounding {
  if (!(stepM > 0 && stepM < Infinity)) throw new RangeError(`stepRounding: stepM ${stepM}`);
  const free = sheet.measures.filter(({ follows }) => follows === null);
  const choices = free.map(measure => halfStepsAround(measure, stepM));
  const hurt = hurtOf(layout, sheet, free, stepM);
  const nearest = choices.map(([low, high], i) => {
    const exact = free[i]!.lengthM / stepM;
    return high === undefined || exact - low! < high - exact ? low! : high;
  });
  const inFull = choices.filter(({ length }) => length > 1).length <= MOST_IN_FULL;
  const best = inFull ? bestOfAll(choices, hurt) : improved(nearest, choices, hurt);
  const lengths = new Map(free.map(({ id }, i) => [id, best[i]! * stepM]));
  const changes = changedLegs(layout, itemsAsMeasured(layout, sheet, lengths));
  return {
    steps: new Map(free.map(({ id }, i) => [id, best[i]!])),
    changes,
    changedWords: changes.reduce((sum, { horses }) => sum + horses.filter(({ changed }) => changed).length, 0),
    isBest: inFull,
  };
}

/** The half steps below and above a measure; one alone where it is a whole number of them. */
function halfStepsAround({ lengthM }: Measure, stepM: number): number[] {
  const halves = (lengthM / stepM) * 2;
  const nearest = Math.round(halves);
  if (Math.abs(halves - nearest) < 1e-6) return [nearest / 2];
  return [Math.floor(halves) / 2, Math.ceil(halves) / 2];
}

type Hurt = (steps: readonly number[]) => number;

/** How much a rounding hurts; the first part counts changed words. */
function hurtOf(layout: Layout, sheet: SettingSheet, free: readonly Measure[], stepM: number): Hurt {
  const planned = reckonLayout(layout);
  return steps => {
    const lengths = new Map(free.map(({ id }, i) => [id, steps[i]! * stepM]));
    const items = itemsAsMeasured(layout, sheet, lengths);
    const moved = items.reduce((sum, { at }, i) => {
      const was = layout.items[i]!.at;
      return sum + (at.xM - was.xM) ** 2 + (at.yM - was.yM) ** 2;
    }, 0);
    const rode = reckonSafely({ ...layout, items });
    return (rode ? strideHurt(layout, planned, rode) : UNRIDEABLE) + Math.min(1, moved / (1 + items.length)) * 1e-6;
  };
}

const UNRIDEABLE = 1e6;

/** A rounding may put two pieces on each other, so that nothing can be ridden there. */
function reckonSafely(layout: Layout): ReckonedTrack[] | null {
  try {
    return reckonLayout(layout);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

function strideHurt(layout: Layout, planned: readonly ReckonedTrack[], rode: readonly ReckonedTrack[]): number {
  let hurt = 0;
  for (const [index, track] of layout.tracks.entries()) {
    const [before, after] = [planned[index], rode[index]];
    if (track.kind !== 'items' || before?.kind !== 'items' || after?.kind !== 'items') continue;
    before.legs.forEach((leg, at) => {
      const distance = distanceCaseOf(layout, track, at);
      leg.readings.forEach((reading, horse) => {
        const now = after.legs[at]!;
        const strides = shownStrides(reading);
        if (!now.readings[horse]) return;
        // The words that are said: of the asked count where one is asked.
        hurt += saidOf(now.readings[horse]) === saidOf(reading) ? 0 : 1;
        if (strides === null) return;
        const rider = layout.horses.find(({ id }) => id === reading.horseId)!;
        const stride = layoutStride(rider, track.gait, settingAt(track.gait, track.legs[at]!));
        const [was, is] = [countedGroundM(leg), countedGroundM(now)].map(countedM =>
          stride ? readCount(countedM, strides, distance, stride) : null,
        );
        if (!was || !is) return;
        hurt += (is.q - was.q) ** 2 * 1e-3;
      });
    });
  }
  return hurt;
}

/** The count that a leg is meant in: the asked one, or the one nearest to the horse's own stride. */
function shownStrides({ asked, options }: HorseReading): number | null {
  if (asked) return asked.strides;
  const [first, ...more] = options;
  return first
    ? more.reduce((best, next) => (Math.abs(next.q - 1) < Math.abs(best.q - 1) ? next : best), first).strides
    : null;
}

function bestOfAll(choices: readonly (readonly number[])[], hurt: Hurt): number[] {
  let best: { steps: number[]; hurts: number } | null = null;
  const steps: number[] = [];
  const choose = (index: number) => {
    if (index < choices.length) {
      for (const choice of choices[index]!) {
        steps[index] = choice;
        choose(index + 1);
      }
      return;
    }
    const hurts = hurt(steps);
    if (!best || hurts < best.hurts) best = { steps: [...steps], hurts };
  };
  choose(0);
  return best!.steps;
}

/** From the nearest half steps, one measure and then two at a time, as long as that hurts less. */
function improved(nearest: readonly number[], choices: readonly (readonly number[])[], hurt: Hurt): number[] {
  const steps = [...nearest];
  let hurts = hurt(steps);
  let tried = 0;
  const tryFlip = (...indices: number[]): boolean => {
    tried += 1;
    const before = indices.map(index => steps[index]!);
    for (const index of indices)
      steps[index] = choices[index]!.find(choice => choice !== steps[index]) ?? steps[index]!;
    const now = hurt(steps);
    if (now < hurts - 1e-12) {
      hurts = now;
      return true;
    }
    indices.forEach((index, i) => (steps[index] = before[i]!));
    return false;
  };
  for (let better = true; better && tried < MOST_LAYOUTS;) {
    better = false;
    for (let a = 0; a < steps.length; a += 1) better = tryFlip(a) || better;
    for (let a = 0; a < steps.length && tried < MOST_LAYOUTS; a += 1)
      for (let b = a + 1; b < steps.length && tried < MOST_LAYOUTS; b += 1) better = tryFlip(a, b) || better;
  }
  return steps;
}
