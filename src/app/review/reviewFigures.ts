import {
  askedLayout,
  grouped,
  meanFootfall,
  passFootfalls,
  polesHit,
  polesKeptHitting,
  questionWords,
  riddenRow,
  suggestSpacing,
  trackKey,
  type Footfall,
  type PassRecord,
  type Rein,
  type SpacingSuggestion,
  type TrackGait,
} from '@/core';
import type { LayoutVersion } from '@/data/queries/layoutVersions';
import { yardTime } from '../_server/yardTime';

export type PassFigures = {
  id: string;
  number: number;
  /** Null where the track changes the rein. */
  rein: Rein | null;
  otherWay: boolean;
  /** On the yard's clock. */
  when: string;
  day: string;
  footfalls: Footfall[];
  meanFraction: number | null;
  hit: number[];
  notes: string[];
};

/** So many passes of a row are looked at one by one. */
const MOST_PASSES = 60;

/** A pair's passes over one row at one spacing, and what they say. */
export type RowReview = {
  /** The version, and what of it was ridden. */
  key: string;
  /** Null on the flat. */
  trackId: string | null;
  versionId: string;
  questionWords: string;
  layoutId: string;
  layoutName: string;
  gait: TrackGait | null;
  /** What the track goes over; 0 on the flat. */
  poles: number;
  setFor: string;
  /** From pole to pole, or null where it was no even row of poles. */
  spacingM: number | null;
  /** How many there are in all, and the latest of them. */
  ridden: number;
  passes: PassFigures[];
  /** From the passes of the last day only: a horse changes over a season. */
  suggestion: SpacingSuggestion;
  lastDay: string;
  keptHitting: { pole: number; times: number }[];
};

/** One row at one spacing, and which passes of a pair went over it; oldest first. */
export type RiddenRow = {
  key: string;
  version: LayoutVersion;
  question: PassRecord['question'];
  row: ReturnType<typeof riddenRow>;
  /** Those that are looked at one by one, and how many there are in all. */
  passIds: string[];
  ridden: number;
};

type Ridden = Pick<PassRecord, 'id' | 'layoutVersionId' | 'question' | 'riddenAtMs'>;

/** Sorts the passes of a pair by the row and spacing they were ridden over, the latest ridden first. */
export function riddenRows(passes: readonly Ridden[], versions: ReadonlyMap<string, LayoutVersion>): RiddenRow[] {
  const byRow = grouped(passes, pass => `${pass.layoutVersionId} ${trackKey(pass.question)}`);
  return [...byRow]
    .sort(([, a], [, b]) => lastRidden(b) - lastRidden(a))
    .flatMap(([key, ridden]) => {
      const version = versions.get(ridden[0]!.layoutVersionId);
      const { question } = ridden[ridden.length - 1]!;
      const asked = version && askedLayout(version.layout, question);
      const passIds = ridden.slice(-MOST_PASSES).map(({ id }) => id);
      return version
        ? [{ key, version, question, row: asked ? riddenRow(asked) : null, passIds, ridden: ridden.length }]
        : [];
    });
}

function lastRidden(ridden: readonly Ridden[]): number {
  return ridden[ridden.length - 1]?.riddenAtMs ?? 0;
}

/**
 * A row as a pair rode it.
 * @param own - the passes over it that are looked at one by one, oldest first
 */
export function rowReview(
  { key, version, question, row, ridden }: RiddenRow,
  own: readonly PassRecord[],
  timeZone: string,
): RowReview {
  const spacingM = row?.spacingM ?? null;
  const before = ridden - own.length;
  const passes = own.map((pass, index) => passFigures(pass, before + index, timeZone));
  const lastDay = passes[passes.length - 1]?.day ?? '';
  const ofLastDay = passes.filter(({ day }) => day === lastDay);
  return {
    ...{ key, trackId: row?.track ?? null, questionWords: questionWords(version.layout, question) },
    versionId: version.id,
    layoutId: version.layoutId,
    layoutName: version.name,
    gait: row?.gait ?? null,
    poles: row?.items ?? 0,
    setFor: version.layout.horses.map(({ name }) => name).join(', '),
    spacingM,
    ridden,
    passes,
    suggestion: suggestionFor(spacingM, ofLastDay),
    lastDay,
    keptHitting: polesKeptHitting(own.slice(own.length - ofLastDay.length)),
  };
}

function suggestionFor(spacingM: number | null, passes: readonly PassFigures[]): SpacingSuggestion {
  if (spacingM === null) return { kind: 'nothing-noted' };
  return suggestSpacing(
    spacingM,
    passes.map(({ footfalls, otherWay }) => (otherWay ? footfalls.map(backwards) : footfalls)),
  );
}

/** Gaps are numbered as drawn: ridden the other way, the foot goes through them backwards. */
function backwards({ gap, fraction }: Footfall): Footfall {
  return { gap: gap === null ? null : -gap, fraction };
}

function passFigures(pass: PassRecord, index: number, timeZone: string): PassFigures {
  const footfalls = passFootfalls(pass);
  return {
    id: pass.id,
    number: index + 1,
    rein: pass.rein,
    otherWay: pass.direction === 'other-way',
    when: yardTime(pass.riddenAtMs, timeZone, 'D MMM, HH:mm'),
    day: yardTime(pass.riddenAtMs, timeZone, 'D MMM YYYY'),
    footfalls,
    meanFraction: meanFootfall(footfalls),
    hit: polesHit(pass),
    notes: pass.marks.flatMap(mark => (mark.kind === 'note' ? [mark.words] : [])),
  };
}
