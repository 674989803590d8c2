import { layoutCautions, reckonLayout, type Layout, type ReckonedLeg, type ReckonedTrack } from '@/core';

/** Rounded to 6 decimals here and nowhere before. */
const rounded = (value: number) => Math.round(value * 1e6) / 1e6 + 0;
const roundedOrNull = (value: number | null) => (value === null ? null : rounded(value));

/** The readings of a layout in the shape that the command line promises. */
export function reckonOutput(layout: Layout) {
  const tracks = reckonLayout(layout);
  return { name: layout.name, tracks: tracks.map(trackOutput), cautions: layoutCautions(layout, tracks) };
}

function trackOutput({ id, lengthM, smallestRadiusM, legs }: ReckonedTrack) {
  return {
    id,
    lengthM: rounded(lengthM),
    smallestRadiusM: roundedOrNull(smallestRadiusM),
    legs: legs.map(legOutput),
  };
}

function legOutput(leg: ReckonedLeg) {
  return {
    from: leg.from,
    to: leg.to,
    trackM: rounded(leg.trackM),
    groundM: rounded(leg.groundM),
    insideM: rounded(leg.insideM),
    outsideM: rounded(leg.outsideM),
    smallestRadiusM: roundedOrNull(leg.smallestRadiusM),
    straightOutM: rounded(leg.straightOutM),
    straightInM: rounded(leg.straightInM),
    readings: leg.readings.map(({ horse, normalM, call, options, asked }) => ({
      horse,
      normalM: rounded(normalM),
      call,
      options: options.map(({ strides, needM, q, word }) => ({
        strides,
        needM: rounded(needM),
        // As the promise shows it: a ratio to the thousandth is finer than any stride.
        q: Math.round(q * 1000) / 1000,
        word,
      })),
      ...(asked ? { asked: { strides: asked.strides, q: Math.round(asked.q * 1000) / 1000, word: asked.word } } : {}),
    })),
  };
}
