import { distanceM, type PointM } from '../geometry/pointM';
import { isRidden, type Item, type RiddenItem } from '../items/item';
import type { Layout } from '../layout/layout';
import { checkMeasures } from './checkMeasure';
import { besideWay, gapWay } from './gapWay';
import type { KnownPoint } from './knownPoint';
import { lineOrder, type InLine } from './lineOrder';
import type { Measure } from './measure';
import { orderOfWork } from './orderOfWork';
import { pieceGroups } from './pieceGroups';
import { arenaMarks, LONGEST_TAPE_M, type Mark } from './marks';
import type { PieceEnd } from './pieceEnds';
import { isGoodPull, measuredFrom, measuresOf } from './placing';
import { pullWays } from './pullWays';
import { startSurvey, type Survey, type Way } from './survey';
import { riddenTowards } from './riddenTowards';
import { chordOrder, isInReach, lineOf, MOST_ERROR_M, setGroup, setRoped } from './setGroups';
import type { SetPeg, SetPiece } from './setPiece';
import { pegWay, wallWays } from './wallWays';

/** All that a person needs to put a layout on the ground, in the order of the work. */
export type SettingSheet = {
  pegs: SetPeg[];
  pieces: SetPiece[];
  measures: Measure[];
  /** How far a piece that is set by the printed measures ends from where it should be at worst, metres. */
  worstErrorM: number;
};

export const MEASURE_BY = ['line', 'walls', 'tapes'] as const;
export type MeasureBy = (typeof MEASURE_BY)[number];

export type SettingWish = {
  /**
   * "line" goes from piece to piece as they are ridden; "walls" squares off the walls as far as it can; "tapes" wants two tapes
   * wherever they meet well.
   */
  measureBy: MeasureBy;
  /** Where the kit comes from: the order of work begins there. */
  from: PointM;
};

/** Farther from a wall than this, squaring off by eye is no longer sure (common practice, no source). */
const FAR_FROM_WALL_M = 12;

/**
 * The setting sheet of a layout: none of its pieces ends a centimetre or more from where it belongs by the measures as they are
 * printed, in centimetres or inches. By walls and tapes no piece hangs on a piece that hangs on another; along the line each hangs
 * on the one before, as long as that is true enough.
 */
export function settingSheet(layout: SettableLayout, wish: SettingWish): SettingSheet {
  const { arena, items } = layout;
  const byLine = wish.measureBy === 'line';
  const line = byLine ? lineOrder(items, layout.tracks ?? [], wish.from) : [];
  const rank = new Map(line.map(({ item }, index) => [item.id, index]));
  const survey = startSurvey(arena);
  const pegs: SetPeg[] = [];
  const ways = new Map<string, Way>();
  const marks = arenaMarks(arena);
  for (const { way } of marks) survey.set(way);
  const putMarks = (...points: KnownPoint[]) => {
    const isNew = ({ peg }: SetPeg) => !pegs.some(one => one.peg === peg);
    for (const mark of marksAt(points, marks)) if (isNew(mark)) pegs.push(mark);
  };
  const set = (item: Item, way: Way) => {
    putMarks(...measuredFromOf(way));
    survey.set(way);
    ways.set(item.id, way);
  };
  const setAlone = (item: Item) => set(item, aloneWay(survey, item, marks, wish));
  let ropes = 0;
  for (const group of pieceGroups(arena, items)) {
    // Along the line only what is set round a peg is set together.
    if (byLine && group.kind === 'line') continue;
    if (group.kind === 'line') setGroup(survey, group.members, lineOf(group.members), set, setAlone);
    else {
      const peg = String(ropes + 1);
      const way = pegWay(arena, peg, group.centre);
      if (group.ropeReaches && isInReach(way)) {
        ropes += 1;
        putMarks(...measuredFromOf(way));
        const members = byLine ? byRank(group.members, rank) : chordOrder(group);
        pegs.push(setRoped(survey, { ...group, members }, peg, way, set, setAlone));
      } else if (!byLine) setGroup(survey, group.members, lineOf(chordOrder(group)), set, setAlone);
    }
  }
  for (const [at, { item, owner }] of line.entries()) {
    if (ways.has(item.id)) continue;
    const way = owner ? besideWay(item, owner) : wayOn(survey, item, standing(line, at, ways));
    if (way && isInReach(way) && survey.errorM(way) <= MOST_ERROR_M) set(item, way);
    else setAlone(item);
  }
  for (const item of items) if (!ways.has(item.id)) setAlone(item);

  const wanted = measuredFromPieces(ways.values());
  const ordered = byLine
    ? line.map(({ item }) => item.id)
    : orderOfWork(
        items.map(item => ({ id: item.id, at: item.at, isWanted: wanted.has(item.id) })),
        wish.from,
      );
  const byId = new Map(items.map(item => [item.id, item]));
  const pieces: SetPiece[] = [];
  for (const [index, id] of ordered.entries()) {
    const item = byId.get(id)!;
    const points = ways
      .get(id)!
      .points.map(({ point, at, placing }) => ({ end: (point as { end: PieceEnd }).end, at, placing }));
    const hangsOn = points.flatMap(({ placing }) => measuredFrom(placing)).filter(isSet);
    const piece = { number: index + 1, item, points, towards: riddenTowards(arena, item), hangsOn };
    const checks = checkMeasures(survey, piece, [...pegs, ...pieces], marks);
    for (const { from } of checks) if (from.kind === 'point') putMarks(from.point);
    pieces.push({ ...piece, checks });
  }
  const used = new Set(
    [
      ...pegs.map(({ placing }) => placing),
      ...pieces.flatMap(({ points }) => points.map(({ placing }) => placing)),
    ].flatMap(measuresOf),
  );
  return {
    pegs,
    pieces,
    measures: survey.measures().filter(({ id }) => used.has(id)),
    worstErrorM: Math.max(0, ...[...ways.values()].map(way => survey.errorM(way))),
  };
}

/** What a sheet needs of a layout; the tracks say in which order its pieces are ridden. */
export type SettableLayout = Pick<Layout, 'arena' | 'items'> & Partial<Pick<Layout, 'tracks'>>;

const byRank = (members: readonly RiddenItem[], rank: ReadonlyMap<string, number>): RiddenItem[] =>
  [...members].sort((a, b) => (rank.get(a.id) ?? Infinity) - (rank.get(b.id) ?? Infinity));

/** The pieces of the line that are set and ridden before one, the last one first. */
function standing(line: readonly InLine[], at: number, ways: ReadonlyMap<string, Way>): RiddenItem[] {
  const found: RiddenItem[] = [];
  for (let index = at - 1; index >= 0 && found.length <= LOOKED_BACK; index -= 1) {
    const { item } = line[index]!;
    if (isRidden(item) && ways.has(item.id)) found.push(item);
  }
  return found;
}

/** So many pieces back a gap is still looked for: a course comes back to a line it has left. */
const LOOKED_BACK = 12;

/** On from the piece before, else from the nearest one before that it stands in line with. */
function wayOn({ arena }: Survey, item: Item, before: readonly RiddenItem[]): Way | null {
  if (!isRidden(item)) return null;
  const [last, ...others] = before;
  const near = others.sort((a, b) => distanceM(a.at, item.at) - distanceM(b.at, item.at));
  for (const other of last ? [last, ...near] : []) {
    const way = gapWay(arena, item, other);
    if (way) return way;
  }
  return null;
}

const isSet = (point: KnownPoint) => point.kind === 'end' || point.kind === 'peg';

/** The pieces that others are measured from. */
function measuredFromPieces(ways: Iterable<Way>): Set<string> {
  const from = [...ways].flatMap(measuredFromOf);
  return new Set(from.flatMap(point => (point.kind === 'end' ? [point.item] : [])));
}

/** A piece by itself: from a wall where one is near enough, else by two tapes where they meet well. */
function aloneWay(survey: Survey, item: Item, marks: readonly Mark[], { measureBy }: SettingWish): Way {
  const { arena } = survey;
  const allWalls = wallWays(arena, item);
  const walls = allWalls.filter(isInReach);
  const inM = Math.min(
    ...([item.at.xM, arena.widthM - item.at.xM, item.at.yM, arena.lengthM - item.at.yM] as const).map(Math.abs),
  );
  // Along the line a piece that lies level with the walls is squared off them: its line is looked down, and checked.
  if (measureBy === 'line' && walls[0] && isLevelWay(walls[0])) return walls[0];
  const wantsTapes = measureBy === 'tapes' || inM > FAR_FROM_WALL_M || walls.length === 0;
  if (!wantsTapes) return walls[0]!;
  const pulls = pullWays(arena, item);
  const good = pulls.find(way => isGoodWay(way) && survey.errorM(way) <= MOST_ERROR_M);
  if (good) return good;
  if (walls[0] && measureBy !== 'tapes') return walls[0];
  // Where no two points of the arena are within a tape, two marks are.
  const near = marks.filter(({ at }) => distanceM(at, item.at) < LONGEST_TAPE_M);
  const marked = pullWays(
    arena,
    item,
    near.map(({ peg, at }) => ({ point: { kind: 'peg', peg }, at })),
  );
  return marked.find(isGoodWay) ?? walls[0] ?? pulls[0] ?? marked[0] ?? allWalls[0]!;
}

/** Whether both ends share a measure: the piece lies square to a wall or along it. */
const isLevelWay = ({ measures }: Way) => measures.length <= 3;

const measuredFromOf = ({ points }: Way) => points.flatMap(({ placing }) => measuredFrom(placing));

/** The marks among some points, each behind those that it is itself measured from. */
function marksAt(points: readonly KnownPoint[], marks: readonly Mark[]): SetPeg[] {
  return points.flatMap(point => {
    const mark = point.kind === 'peg' ? marks.find(({ peg }) => peg === point.peg) : undefined;
    if (!mark) return [];
    const { peg, at, way } = mark;
    return [...marksAt(measuredFromOf(way), marks), { peg, at, placing: way.points[0]!.placing, serves: [] }];
  });
}

function isGoodWay({ points }: Way): boolean {
  return points.every(({ placing }) => placing.how !== 'pulls' || isGoodPull(placing.angleRad));
}
