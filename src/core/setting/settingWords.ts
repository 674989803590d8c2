import type { Arena } from '../arena/arena';
import { wallName } from '../arena/wallName';
import { assertNever } from '../assertNever';
import type { Item } from '../items/item';
import { knownPointName, type KnownPoint } from './knownPoint';
import type { PieceEnd } from './pieceEnds';
import { isGoodPull, type MeasureId, type Placing } from './placing';
import { towardsWords } from './riddenTowards';
import { layoutLabels } from '../layout/labels';
import { labelsAsBuilt } from '../question/labelsAsBuilt';
import type { Layout } from '../layout/layout';
import { stopNumbers } from '../layout/stopNumbers';
import type { CheckFrom, CheckMeasure, SetPeg, SetPiece } from './setPiece';

/** One line of a sheet: what to measure, and the measure. */
export type SheetLine = { words: string; measure: MeasureId };

type Point = { end: PieceEnd; placing: Placing };

const END_WORDS: Record<PieceEnd, string> = {
  left: 'left end',
  right: 'right end',
  behind: 'back end',
  ahead: 'front end',
  middle: 'middle',
};

/**
 * What pieces are called on a sheet: by the numbers that stand on the cones beside them, the same as everywhere else, all of them where
 * a course comes back ("2·7"). Where two tracks have the same number, with the track it is of.
 * @param built - as it is built at a stage: a fence that lies as a pole keeps its number
 */
export function sheetLabels(
  layout: Pick<Layout, 'items' | 'tracks'>,
  built: Pick<Layout, 'items'> = layout,
): (item: string) => string {
  const { short, inWords } = built === layout ? layoutLabels(layout) : labelsAsBuilt(layout, built);
  const marks = new Map(layout.items.map(({ id }) => [id, numbersOf(layout, id) ?? short(id)]));
  const all = [...marks.values()];
  return item => {
    const mark = marks.get(item) ?? item;
    return all.indexOf(mark) === all.lastIndexOf(mark) ? mark : inWords(item);
  };
}

/** The numbers of a piece on the first track that numbers it; null where none does. */
function numbersOf({ items, tracks }: Pick<Layout, 'items' | 'tracks'>, id: string): string | null {
  for (const track of tracks) {
    if (track.kind !== 'items') continue;
    const numbers = stopNumbers(track, items);
    const own = track.through.flatMap(({ item }, index) => (item === id ? (numbers[index] ?? []) : []));
    if (own.length > 0) return own.join('·');
  }
  return null;
}

/** What to measure for a piece, in order. Ends that share a measure share a line. */
export function pieceLines(
  arena: Arena,
  { points }: Pick<SetPiece, 'points'>,
  numberOf: (item: string) => string,
  lengthOf: LengthOf,
): SheetLine[] {
  return pointLines(arena, points, numberOf, lengthOf);
}

/** What to measure for a peg. */
export function pegLines(arena: Arena, { placing }: SetPeg, lengthOf: LengthOf): SheetLine[] {
  // A mark on a wall has no way in from it.
  return pointLines(arena, [{ end: 'middle', placing }], item => item, lengthOf).filter(
    ({ measure }) => !(placing.how === 'wall' && measure === placing.inwards && lengthOf(measure) < LEVEL_M),
  );
}

type LengthOf = (measure: MeasureId) => number;
/** Less than this along a wall is no way at all, metres. */
const LEVEL_M = 0.0025;

function pointLines(
  arena: Arena,
  points: readonly Point[],
  numberOf: (item: string) => string,
  lengthOf: LengthOf,
): SheetLine[] {
  const lines = new Map<MeasureId, { ends: PieceEnd[]; say: (ends: string) => string }>();
  const add = (measure: MeasureId, end: PieceEnd, say: (ends: string) => string) => {
    const line = lines.get(measure) ?? { ends: [], say };
    if (!line.ends.includes(end)) line.ends.push(end);
    lines.set(measure, line);
  };
  const name = (point: KnownPoint) => knownPointName(arena, point, numberOf);
  for (const { end, placing } of points)
    placingLines(arena, placing, { name, lengthOf }, (measure, say) => add(measure, end, say));
  return [...lines].map(([measure, { ends, say }]) => ({ measure, words: say(endsWords(ends, points.length)) }));
}

/** "left end: ", "both ends: ", or nothing where a piece has one place only. */
function endsWords(ends: readonly PieceEnd[], points: number): string {
  if (points === 1) return '';
  return ends.length > 1 ? 'Both ends: ' : `${capital(END_WORDS[ends[0]!])}: `;
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

function placingLines(
  arena: Arena,
  placing: Placing,
  { name, lengthOf }: { name: (point: KnownPoint) => string; lengthOf: LengthOf },
  add: (measure: MeasureId, say: (ends: string) => string) => void,
): void {
  switch (placing.how) {
    case 'wall': {
      const wall = wallName(arena, placing.wall);
      // From a corner there is only one way along a wall.
      const way = placing.from.kind === 'corner' ? '' : ` towards ${name(placing.towards)}`;
      // The gap from the piece before is the same for both ends: it is walked between them.
      if (placing.from.kind === 'end') {
        const before = onFrom(name, placing.from, placing.pastM);
        add(placing.along, () => `On from ${before}, along the ${wall}${way}`);
      } else
        add(placing.along, ends =>
          lengthOf(placing.along) < LEVEL_M
            ? capital(`${ends}level with ${name(placing.from)} on the ${wall}`)
            : capital(`${ends}along the ${wall}, from ${name(placing.from)}${way}`),
        );
      add(placing.inwards, ends => inFromWall(ends, wall, lengthOf(placing.inwards)));
      return;
    }
    case 'swing': {
      const before = placing.from.kind === 'end' ? onFrom(name, placing.from, placing.pastM) : name(placing.from);
      add(placing.gap, () => `On from ${before} towards ${name(placing.towards)}, end to like end`);
      add(placing.inwards, ends => inFromWall(ends, wallName(arena, placing.wall), lengthOf(placing.inwards)));
      return;
    }
    case 'line': {
      if (placing.from.kind === 'end' && placing.to.kind === 'end' && placing.from.item === placing.to.item)
        return ownFenceLines(placing.from, placing, { name, add });
      const line = `from ${name(placing.from)} towards ${name(placing.to)}`;
      add(placing.along, ends =>
        capital(ends === 'Both ends: ' ? `${ends}along the tape ${bothEnds(line)}` : `${ends}along the tape ${line}`),
      );
      if (placing.off) {
        const { measure, side } = placing.off;
        add(measure, ends => capital(`${ends}square off that tape to its ${side}`));
      }
      return;
    }
    case 'pulls': {
      const { rope, first, second } = placing;
      add(first.measure, ends => capital(`${ends}${rope ? 'rope' : 'tape'} from ${name(first.from)}`));
      add(second.measure, ends => capital(`${ends}tape from ${name(second.from)}`));
      return;
    }
    default:
      assertNever(placing);
  }
}

/** What lies on a wall has no way in from it. */
const inFromWall = (ends: string, wall: string, inM: number) =>
  capital(inM < LEVEL_M ? `${ends}on the ${wall} itself` : `${ends}square in from the ${wall}`);

/** "1", or "the back rail of 2" where that is what the ground to the next begins at. */
function onFrom(
  name: (point: KnownPoint) => string,
  from: Extract<KnownPoint, { kind: 'end' }>,
  pastM: number,
): string {
  const piece = name({ ...from, end: 'middle' });
  return pastM > 0 ? `the back rail of ${piece}` : piece;
}

/** What helps a fence is measured from that: in from an end of it, and before or behind its front. */
function ownFenceLines(
  from: Extract<KnownPoint, { kind: 'end' }>,
  { along, off }: Extract<Placing, { how: 'line' }>,
  {
    name,
    add,
  }: {
    name: (point: KnownPoint) => string;
    add: (measure: MeasureId, say: (ends: string) => string) => void;
  },
): void {
  const fence = name({ ...from, end: 'middle' });
  add(along, ends => capital(`${ends}in from ${name(from)}, along its front`));
  // Left of the way from the left end to the right one lies what is ridden towards.
  const isBehind = off !== null && (off.side === 'left') === (from.end === 'left');
  if (off) add(off.measure, ends => capital(`${ends}square ${isBehind ? 'behind' : 'before'} the front of ${fence}`));
}

/** "from the left end of 1 towards the left end of 4" said once for both ends: "from 1 towards 4, end to like end". */
function bothEnds(line: string): string {
  return `${line.replaceAll(/the (left|right) end of /g, '')}, like end to like end`;
}

/** What is to be known beside the measures of a piece: how tapes meet, how it faces, what stands behind its front. */
export function pieceNotes(
  arena: Arena,
  piece: Pick<SetPiece, 'item' | 'points' | 'towards'>,
  format: (lengthM: number) => string,
): string[] {
  return [...meetingNotes(arena, piece.points), ...facingNotes(arena, piece), ...buildNotes(piece.item, format)];
}

function meetingNotes(arena: Arena, points: readonly Point[]): string[] {
  const notes = points.flatMap(({ placing }) => {
    if (placing.how !== 'pulls') return [];
    const angle = `${Math.round((placing.angleRad * 180) / Math.PI)}°`;
    const side = `on the side of the ${wallName(arena, placing.towards)}`;
    return isGoodPull(placing.angleRad)
      ? [`They meet ${side}.`]
      : [`They meet ${side}, and flat (${angle}): a small slip goes far, so check twice.`];
  });
  return [...new Set(notes)];
}

function facingNotes(arena: Arena, { item, towards }: Pick<SetPiece, 'item' | 'towards'>): string[] {
  if (item.kind !== 'fence' || !towards) return [];
  const way = `towards ${towardsWords(arena, towards)}`;
  return [
    item.ridden === 'one-way' ? `Its front is ridden ${way}, and only that way.` : `Left and right as ridden ${way}.`,
  ];
}

function buildNotes(item: Item, format: (lengthM: number) => string): string[] {
  if (item.kind !== 'fence') return [];
  const notes: string[] = [];
  if (item.form === 'corner') {
    const { narrowEnd } = item.corner ?? { narrowEnd: 'left' };
    const wideEnd = narrowEnd === 'left' ? 'right' : 'left';
    notes.push(
      `The rails meet at its ${narrowEnd} end; at the ${wideEnd} end one stand goes ${format(item.spreadM)} before the mark and one ${format(item.spreadM)} behind it.`,
    );
  } else if (item.spreadM > 0)
    notes.push(`Measured at its front; the back rail stands ${format(item.spreadM)} behind.`);
  if (item.sideHeightM !== null) notes.push(`Up ${format(item.sideHeightM)} at the stands.`);
  if (item.groundLineBeforeM !== null)
    notes.push(
      item.groundLineBeforeM >= 0
        ? `Ground line ${format(item.groundLineBeforeM)} before its front.`
        : `Its ground line lies ${format(-item.groundLineBeforeM)} behind the front: a false ground line.`,
    );
  if (item.filler) notes.push('With its filler.');
  return notes;
}

function checkedTo(
  arena: Arena,
  from: CheckFrom,
  numberOf: (item: string) => string,
  format: (lengthM: number) => string,
): string {
  switch (from.kind) {
    case 'wall':
      return `square to the ${wallName(arena, from.wall)}`;
    case 'point':
      return `to ${knownPointName(arena, from.point, numberOf)}`;
    case 'on-wall': {
      const start = knownPointName(arena, from.point);
      const way = from.point.kind === 'corner' ? '' : ` towards ${knownPointName(arena, from.towards)}`;
      return `to the place on the ${wallName(arena, from.wall)} ${format(from.alongM)} from ${start}${way}`;
    }
    default:
      return assertNever(from);
  }
}

/** A check of a piece in words: "left end to the right end of 2", "square to the B long side". */
export function checkWords(
  arena: Arena,
  check: CheckMeasure,
  { points }: Pick<SetPiece, 'points'>,
  numberOf: (item: string) => string,
  format: (lengthM: number) => string,
): string {
  const to = checkedTo(arena, check.from, numberOf, format);
  return points.length === 1 ? to : `${END_WORDS[check.end]} ${to}`;
}
