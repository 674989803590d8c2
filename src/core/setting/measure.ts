import type { MeasureId } from './placing';

/**
 * One length on a setting sheet, metres. One that follows from another (the far end of a piece whose length is known) is
 * read as a check, and is not walked or rounded by itself.
 */
export type Measure = {
  id: MeasureId;
  lengthM: number;
  follows: { from: MeasureId; times: number; addM: number } | null;
};

/** How finely a sheet is printed and a tape is read: half a centimetre, or an eighth of an inch. */
export const TAPE_READINGS_M = [0.005, 0.0254 / 8] as const;

/** A length as it stands on paper, metres. */
export function asRead(lengthM: number, readingM: number): number {
  return Math.round(lengthM / readingM) * readingM;
}

/** A measure that stands by itself. */
export function freeMeasure(id: MeasureId, lengthM: number): Measure {
  return { id, lengthM, follows: null };
}

/** The lengths of all measures when those that stand by themselves are these: what follows from them follows. */
export function measuredLengths(
  measures: readonly Measure[],
  freeM: (measure: Measure) => number,
): Map<MeasureId, number> {
  const lengths = new Map(
    measures.flatMap(measure => (measure.follows ? [] : [[measure.id, freeM(measure)] as const])),
  );
  for (const { id, follows } of measures)
    if (follows) lengths.set(id, lengths.get(follows.from)! * follows.times + follows.addM);
  return lengths;
}
