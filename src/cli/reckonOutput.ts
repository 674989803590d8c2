import {
  layoutCautions,
  reckonLayout,
  sessionStrides,
  type CourseMeasure,
  type HorseStrides,
  type Layout,
  type ReckonedFigureTrack,
  type ReckonedItemTrack,
  type ReckonedLeg,
  type ReckonedTrack,
  type SessionMeasure,
} from '@/core';

/** Rounded to 6 decimals here and nowhere before. */
const rounded = (value: number) => Math.round(value * 1e6) / 1e6 + 0;
const roundedOrNull = (value: number | null) => (value === null ? null : rounded(value));

/** The readings of a layout in the shape that the command line promises. */
export function reckonOutput(layout: Layout) {
  const tracks = reckonLayout(layout);
  const cautions = layoutCautions(layout, tracks).map(({ code, level, items, text, mend }) => ({
    code,
    level,
    items,
    text,
    mend,
  }));
  return { name: layout.name, tracks: tracks.map(track => trackOutput(layout, track)), cautions };
}

function trackOutput(layout: Layout, track: ReckonedTrack) {
  return track.kind === 'items' ? itemTrackOutput(track) : figureTrackOutput(layout, track);
}

function itemTrackOutput({ id, lengthM, smallestRadiusM, legs, course }: ReckonedItemTrack) {
  return {
    id,
    lengthM: rounded(lengthM),
    smallestRadiusM: roundedOrNull(smallestRadiusM),
    legs: legs.map(legOutput),
    ...(course ? { course: courseOutput(course) } : {}),
  };
}

function courseOutput({ lengthM, allowedS, limitS, efforts, changesOfRein, related }: CourseMeasure) {
  return {
    lengthM: rounded(lengthM),
    timeAllowedS: allowedS,
    timeLimitS: limitS,
    efforts,
    changesOfRein,
    related: related.map(({ from, to, groundM, kind }) => ({ from, to, groundM: rounded(groundM), kind })),
  };
}

/** A session of figures has no legs: what it has is under "session", null where it cannot be ridden. */
function figureTrackOutput(layout: Layout, { id, lengthM, smallestRadiusM, session, measure }: ReckonedFigureTrack) {
  return {
    id,
    lengthM: rounded(lengthM),
    smallestRadiusM: roundedOrNull(smallestRadiusM),
    legs: [],
    session: measure && sessionOutput(measure),
    strides: session.ok ? sessionStrides(layout, session.pieces).map(stridesOutput) : [],
  };
}

/** How many strides a horse takes, and how far along each falls. */
function stridesOutput({ horse, marks }: HorseStrides) {
  return { horse, count: marks.length, alongM: marks.map(({ alongM }) => rounded(alongM)) };
}

function sessionOutput(measure: SessionMeasure) {
  return JSON.parse(
    JSON.stringify(measure, (_, value: unknown) => (typeof value === 'number' ? rounded(value) : value)),
  ) as SessionMeasure;
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
    // Where a turn costs: the shortest share of the stride that is left, and the ground as it counts for strides.
    ...(leg.cost.turnShare < 1 ? { turnShare: rounded(leg.cost.turnShare), countedM: rounded(leg.cost.countedM) } : {}),
    readings: leg.readings.map(({ horse, normalM, call, options, asked, cannot, ownLine }) => ({
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
      ...(cannot ? { cannot: { radiusM: rounded(cannot.radiusM), leastRadiusM: rounded(cannot.leastM) } } : {}),
      ...(ownLine ? { ownLine: { radiusM: rounded(ownLine.radiusM), groundM: rounded(ownLine.groundM) } } : {}),
      ...(asked ? { asked: { strides: asked.strides, q: Math.round(asked.q * 1000) / 1000, word: asked.word } } : {}),
    })),
  };
}
