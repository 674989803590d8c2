import { earthFromSand, sandFromEarth, type EarthPlace, type TrackPoint } from '@/core';
import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import { z } from 'zod';

/**
 * Tracks as GPX 1.1 (Topografix, 2004): one track, places in degrees, times in UTC. Where an arena lies on the earth is
 * marked on it; until then it is taken to lie at 0° north, 0° east, its long side to the north.
 */
export const NOWHERE: EarthPlace = { latDeg: 0, lonDeg: 0, bearingDeg: 0 };

const MOST_POINTS = 20_000;
/** A track that comes no nearer than this is of somewhere else, metres. */
const MOST_OFF_M = 300;

const degrees = (value: number) => value.toFixed(8);

/** Writes a track, to the millimetre and the millisecond. */
export function writeGpx(name: string, points: readonly TrackPoint[], place: EarthPlace, startMs: number): string {
  const trkpt = points.map(({ timeS, at }) => {
    const { latDeg, lonDeg } = earthFromSand(place, at);
    const time = new Date(startMs + Math.round(timeS * 1000)).toISOString();
    return { '@lat': degrees(latDeg), '@lon': degrees(lonDeg), time };
  });
  return new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true }).build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      ...{ '@version': '1.1', '@creator': 'Roan', '@xmlns': 'http://www.topografix.com/GPX/1/1' },
      trk: { name, trkseg: { trkpt } },
    },
  });
}

export type ReadGpx = { ok: true; points: TrackPoint[]; startMs: number } | { ok: false; reason: string };

const Point = z.object({
  '@lat': z.coerce.number().min(-90).max(90),
  '@lon': z.coerce.number().min(-180).max(180),
  time: z.iso.datetime({ offset: true }),
});
const Segments = z.object({
  gpx: z.object({ trk: z.array(z.object({ trkseg: z.array(z.object({ trkpt: z.array(z.unknown()) })) })).min(1) }),
});

const LISTS = ['trk', 'trkseg', 'trkpt'];

/** Reads the track of a GPX file as places on the sand, whole or not at all; says which point is wrong. */
export function readGpx(text: string, place: EarthPlace): ReadGpx {
  const refuse = (reason: string): ReadGpx => ({ ok: false, reason });
  if (XMLValidator.validate(text) !== true) return refuse('This is no GPX file: its XML is not whole.');
  // Entities are never expanded: a track has none, and a file may carry a bomb of them.
  const parser = new XMLParser({
    ...{ ignoreAttributes: false, attributeNamePrefix: '@', parseTagValue: false, processEntities: false },
    isArray: name => LISTS.includes(name),
  });
  const file = Segments.safeParse(parser.parse(text));
  if (!file.success) return refuse('This GPX file has no track.');
  const raw = file.data.gpx.trk.flatMap(({ trkseg }) => trkseg.flatMap(({ trkpt }) => trkpt));
  if (raw.length < 2) return refuse('This GPX file has fewer than two places.');
  if (raw.length > MOST_POINTS) return refuse(`A track has at most ${MOST_POINTS} places.`);
  const points: { atMs: number; at: TrackPoint['at'] }[] = [];
  for (const [index, one] of raw.entries()) {
    const read = Point.safeParse(one);
    if (!read.success) return refuse(`Place ${index + 1} has no latitude, longitude and time that can be read.`);
    const at = sandFromEarth(place, { latDeg: read.data['@lat'], lonDeg: read.data['@lon'] });
    points.push({ atMs: Date.parse(read.data.time), at });
    const before = points[index - 1];
    if (before && points[index]!.atMs < before.atMs)
      return refuse(`Place ${index + 1} comes before the one before it.`);
  }
  const offM = Math.min(...points.map(({ at }) => Math.hypot(at.xM, at.yM)));
  if (offM > MOST_OFF_M)
    return refuse(
      `This track lies ${offM < 10_000 ? `${Math.round(offM)} m` : `${Math.round(offM / 1000)} km`} from the arena: say on the arena’s page where it lies.`,
    );
  const startMs = points[0]!.atMs;
  return { ok: true, startMs, points: points.map(({ atMs, at }) => ({ timeS: (atMs - startMs) / 1000, at })) };
}
