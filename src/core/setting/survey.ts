import type { Arena } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import type { KnownPoint } from './knownPoint';
import { asRead, TAPE_READINGS_M, type Measure } from './measure';
import { measuresOf, placedPoint, whereabouts, type Placing } from './placing';

/** A way to set a piece or a peg: how each of its points is found, and the measures that are new with it. */
export type Way = { points: { point: KnownPoint; at: PointM; placing: Placing }[]; measures: Measure[] };

/**
 * What has been set so far, both exactly and as somebody sets it who reads the printed measures, once in centimetres and
 * once in inches. A way is judged by how far off it ends then.
 */
export type Survey = {
  arena: Arena;
  /** How far the worst of its points ends from where it should be, metres, whichever tape is used. */
  errorM(way: Way): number;
  /** Sets it. */
  set(way: Way): void;
  measures(): Measure[];
  /** The measures of these names, and those that they follow from. */
  measuresFor(ids: readonly string[]): Measure[];
  /** Where a point that was set should be. */
  truePoint(point: KnownPoint): PointM;
};

export function startSurvey(arena: Arena): Survey {
  const measures = new Map<string, Measure>();
  const exact = whereabouts(arena);
  const read = TAPE_READINGS_M.map(readingM => ({ readingM, ground: whereabouts(arena) }));
  const lengthM = (way: Way) => (id: string) => {
    const measure = way.measures.find(candidate => candidate.id === id) ?? measures.get(id);
    if (!measure) throw new RangeError(`survey: no measure “${id}”`);
    return measure.lengthM;
  };
  const asPrinted = (way: Way) =>
    read.map(({ readingM, ground }) =>
      way.points.map(({ point, placing }) => ({
        point,
        at: placedPoint(arena, placing, id => asRead(lengthM(way)(id), readingM), ground.where),
        ground,
      })),
    );
  return {
    arena,
    errorM: way =>
      Math.max(...asPrinted(way).flatMap(points => points.map(({ at }, i) => distanceM(at, way.points[i]!.at)))),
    set: way => {
      for (const points of asPrinted(way)) for (const { point, at, ground } of points) ground.set(point, at);
      for (const { point, at } of way.points) exact.set(point, at);
      const needed = new Set(way.points.flatMap(({ placing }) => measuresOf(placing)));
      for (const measure of way.measures) if (needed.has(measure.id)) measures.set(measure.id, measure);
    },
    measures: () => [...measures.values()],
    measuresFor: ids => {
      const named = ids.flatMap(id => measures.get(id) ?? []);
      const followed = named.flatMap(({ follows }) => (follows ? (measures.get(follows.from) ?? []) : []));
      return [...new Map([...followed, ...named].map(measure => [measure.id, measure])).values()];
    },
    truePoint: exact.where,
  };
}
