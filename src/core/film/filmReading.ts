import { sameGait } from '../layout/trackGait';
import type { HEAD_HEIGHTS } from '../record/passMark';
import { tempoOfTaps, type Tempo } from '../record/tempo';
import type { FilmGait, FilmMark, TimedFilmMark } from './filmMark';

type HeadHeight = (typeof HEAD_HEIGHTS)[number];

/** A part of a film in which one gait was asked and one ridden, seconds; null where nobody said which. */
export type FilmStretch = { fromS: number; toS: number; ridden: FilmGait | null; asked: FilmGait | null };

/** What was ridden where a gait was asked, and for how long, seconds. */
export type AskedInFilm = {
  asked: FilmGait;
  heldS: number;
  /** Every other gait that was ridden then, the longest first; where nobody said which, it counts as asked. */
  slipped: { into: FilmGait; heldS: number; firstS: number }[];
};

/** How long the head was carried how high in a gait, seconds. */
export type HeadInFilm = { gait: FilmGait; heldS: Record<HeadHeight, number> };

/** Strides that were tapped one after the other within a gait. */
export type StridesInFilm = { fromS: number; ridden: FilmGait | null; tempo: Tempo };

export type FilmReading = {
  /** The whole film, part by part, without gaps. */
  stretches: FilmStretch[];
  asked: AskedInFilm[];
  heads: HeadInFilm[];
  leads: { atS: number; lead: Extract<FilmMark, { kind: 'lead' }>['lead'] }[];
  breaksS: number[];
  strides: StridesInFilm[];
};

/** Strides that are so far apart, seconds, were not tapped one after the other. */
const PAUSE_S = 2.5;

/**
 * What the marks of a film come to: its gaits stretch by stretch, asked against ridden; the head in each gait; leads, breaks, and
 * the tempo of strides that were tapped.
 * @param lengthS - how long the film is, seconds; marks behind its end are left out
 * @throws {RangeError} a length that is not positive and finite
 */
export function filmReading(marks: readonly TimedFilmMark[], lengthS: number): FilmReading {
  if (!(lengthS > 0 && lengthS < Infinity)) throw new RangeError(`filmReading: lengthS ${lengthS}`);
  const inOrder = marks.filter(({ atS }) => atS >= 0 && atS <= lengthS).sort((a, b) => a.atS - b.atS);
  const stretches = stretchesOf(inOrder, lengthS);
  return {
    stretches,
    ...{ asked: askedOf(stretches), heads: headsOf(inOrder, stretches, lengthS) },
    leads: inOrder.flatMap(mark => (mark.kind === 'lead' ? [{ atS: mark.atS, lead: mark.lead }] : [])),
    breaksS: inOrder.flatMap(({ kind, atS }) => (kind === 'break' ? [atS] : [])),
    strides: stridesOf(inOrder, stretches),
  };
}

function stretchesOf(inOrder: readonly TimedFilmMark[], lengthS: number): FilmStretch[] {
  const stretches: FilmStretch[] = [];
  let open: FilmStretch = { fromS: 0, toS: lengthS, ridden: null, asked: null };
  for (const mark of inOrder) {
    if (mark.kind !== 'gait' && mark.kind !== 'asked') continue;
    const changed = mark.kind === 'gait' ? { ...open, ridden: mark.ridden } : { ...open, asked: mark.gait };
    if (mark.atS > open.fromS) stretches.push({ ...open, toS: mark.atS });
    open = { ...changed, fromS: Math.max(open.fromS, mark.atS) };
  }
  return open.fromS < lengthS ? [...stretches, open] : stretches;
}

/** Whether another gait was ridden than was asked. After a slip it is usual to halt: a halt is none. */
export function hasSlipped({ ridden, asked }: FilmStretch): boolean {
  if (ridden === null || asked === null || ridden === 'halt') return false;
  return !sameGait(ridden, asked);
}

function askedOf(stretches: readonly FilmStretch[]): AskedInFilm[] {
  const found = new Map<FilmGait, AskedInFilm>();
  for (const stretch of stretches) {
    if (stretch.asked === null) continue;
    const of = found.get(stretch.asked) ?? { asked: stretch.asked, heldS: 0, slipped: [] };
    found.set(stretch.asked, of);
    const heldS = stretch.toS - stretch.fromS;
    if (!hasSlipped(stretch)) of.heldS += heldS;
    else {
      const before = of.slipped.find(({ into }) => into === stretch.ridden);
      if (before) before.heldS += heldS;
      else of.slipped.push({ into: stretch.ridden!, heldS, firstS: stretch.fromS });
    }
  }
  for (const { slipped } of found.values()) slipped.sort((a, b) => b.heldS - a.heldS);
  return [...found.values()];
}

function headsOf(
  inOrder: readonly TimedFilmMark[],
  stretches: readonly FilmStretch[],
  lengthS: number,
): FilmReading['heads'] {
  const said = inOrder.flatMap(mark => (mark.kind === 'head' ? [mark] : []));
  const found = new Map<FilmGait, HeadInFilm>();
  said.forEach(({ atS, height }, index) => {
    const untilS = said[index + 1]?.atS ?? lengthS;
    for (const { fromS, toS, ridden, asked } of stretches) {
      // It is wanted as high as the gait asks that was asked for.
      const gait = asked ?? ridden;
      const heldS = Math.min(untilS, toS) - Math.max(atS, fromS);
      if (gait === null || gait === 'halt' || heldS <= 0) continue;
      const head = found.get(gait) ?? { gait, heldS: { low: 0, 'as wanted': 0, high: 0 } };
      found.set(gait, head);
      head.heldS[height] += heldS;
    }
  });
  return [...found.values()];
}

function stridesOf(inOrder: readonly TimedFilmMark[], stretches: readonly FilmStretch[]): StridesInFilm[] {
  const runs: { ridden: FilmGait | null; tapsS: number[] }[] = [];
  for (const { kind, atS } of inOrder) {
    if (kind !== 'stride') continue;
    const ridden = stretches.find(({ fromS, toS }) => atS >= fromS && atS < toS)?.ridden ?? null;
    const last = runs.at(-1);
    if (last && last.ridden === ridden && atS - last.tapsS.at(-1)! <= PAUSE_S) last.tapsS.push(atS);
    else runs.push({ ridden, tapsS: [atS] });
  }
  return runs.flatMap(({ ridden, tapsS }) => {
    const tempo = tempoOfTaps(tapsS.map(atS => atS * 1000));
    return tempo ? [{ fromS: tapsS[0]!, ridden, tempo }] : [];
  });
}
