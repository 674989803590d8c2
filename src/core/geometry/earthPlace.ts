import type { PointM } from './pointM';

/**
 * Where an arena lies: its corner left of A, in degrees north and east, and which way its long side runs from there,
 * clockwise from north.
 */
export type EarthPlace = { latDeg: number; lonDeg: number; bearingDeg: number };

export type LatLon = { latDeg: number; lonDeg: number };

/** The ellipsoid of WGS 84 (NIMA TR8350.2, 2000; from memory). */
const SEMI_MAJOR_M = 6_378_137;
const FLATTENING = 1 / 298.257223563;

/** Metres in a degree to the north and to the east at a latitude, along the ellipsoid. */
export function metresInDegree(latDeg: number): { northM: number; eastM: number } {
  if (!(Math.abs(latDeg) < 90)) throw new RangeError(`metresInDegree(${latDeg})`);
  const latRad = (latDeg * Math.PI) / 180;
  const eccentricity2 = FLATTENING * (2 - FLATTENING);
  const w2 = 1 - eccentricity2 * Math.sin(latRad) ** 2;
  const meridianM = (SEMI_MAJOR_M * (1 - eccentricity2)) / w2 ** 1.5;
  const parallelM = (SEMI_MAJOR_M / Math.sqrt(w2)) * Math.cos(latRad);
  return { northM: (meridianM * Math.PI) / 180, eastM: (parallelM * Math.PI) / 180 };
}

/** A place on the earth as a place on the sand; plane, which is right to a millimetre over an arena. */
export function sandFromEarth(place: EarthPlace, { latDeg, lonDeg }: LatLon): PointM {
  const { northM, eastM } = metresInDegree(place.latDeg);
  const [north, east] = [(latDeg - place.latDeg) * northM, (lonDeg - place.lonDeg) * eastM];
  const bearingRad = (place.bearingDeg * Math.PI) / 180;
  const [sin, cos] = [Math.sin(bearingRad), Math.cos(bearingRad)];
  return { xM: east * cos - north * sin, yM: east * sin + north * cos };
}

/** A place on the sand as a place on the earth. */
export function earthFromSand(place: EarthPlace, { xM, yM }: PointM): LatLon {
  const { northM, eastM } = metresInDegree(place.latDeg);
  const bearingRad = (place.bearingDeg * Math.PI) / 180;
  const [sin, cos] = [Math.sin(bearingRad), Math.cos(bearingRad)];
  return {
    latDeg: place.latDeg + (yM * cos - xM * sin) / northM,
    lonDeg: place.lonDeg + (xM * cos + yM * sin) / eastM,
  };
}
