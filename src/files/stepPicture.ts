import {
  checkStretches,
  distanceM,
  isRidden,
  footprintCorners,
  pointAlong,
  stretchesOf,
  type Layout,
  type PointM,
  type SetPeg,
  type SetPiece,
  type SettingSheet,
} from '@/core';
import { layoutShapes } from './layoutShapes';
import { paperPoint, pathShape, textShape, type Shape } from './shape';
import type { PrintedLine } from './printedSheet';

/** One step of setting as a picture, metres of paper with y down: A at the left and C at the right, as on the sheet's drawing. */
export type StepPicture = { box: { x: number; y: number; widthM: number; heightM: number }; shapes: Shape[] };

export type PicturedStep = {
  set: SetPiece | SetPeg;
  lines: readonly PrintedLine[];
  numberOf: (item: string) => string;
};

/** So much of the way ahead of a piece is seen, metres. */
const AHEAD_M = 1.8;
/** Round what is drawn, metres; no picture shows less of the sand than this. */
const MARGIN_M = 1.4;
const LEAST_WIDTH_M = 11;
/** Width by height. */
const SHAPE = 1.7;
/** So many letters are as long as a picture. */
const LETTERS = 20;
/** Letters are about this wide by their height. */
const LETTER_SHARE = 0.56;

/**
 * What somebody does for one piece or peg, seen from above: where they stand and which way they look, each pull or walk with its
 * length, the check dashed, and what it is measured from.
 */
export function stepPicture(
  layout: Pick<Layout, 'arena' | 'items'>,
  { pegs }: Pick<SettingSheet, 'pegs'>,
  { set, lines, numberOf }: PicturedStep,
): StepPicture {
  const { arena } = layout;
  const own = 'item' in set ? [set.item] : [];
  const from = 'hangsOn' in set ? set.hangsOn.flatMap(point => (point.kind === 'end' ? point.item : [])) : [];
  const others = layout.items.filter(({ id }) => from.includes(id) && id !== own[0]?.id);
  const texts = new Map(
    lines.flatMap(({ measure, rounded, follows }) => (follows ? [] : [[measure, rounded] as const])),
  );
  const pulls = stretchesOf(layout, pegs, set).flatMap(({ measure, from: start, to }) => {
    const words = texts.get(measure);
    return words === undefined || words === '' ? [] : [{ start, to, words }];
  });
  const checked = 'item' in set ? checkStretches(layout, pegs, set) : [];
  const paper = paperPoint(arena.lengthM, 'along');
  const seen = [
    ...[...own, ...others].flatMap(footprintCorners),
    // Which way it is ridden is seen too.
    ...own.filter(isRidden).map(({ at: place, headingRad }) => pointAlong(place, headingRad, AHEAD_M)),
    ...pulls.flatMap(({ start, to }) => [start, to]),
    ...('peg' in set ? [set.at] : []),
  ].map(paper);
  const box = boxRound(seen);
  const textM = box.widthM / LETTERS;
  const items = [...own, ...others];
  const numbers = new Map(items.map(({ id }) => [id, numberOf(id)]));
  const at = (point: PointM) => {
    const { x, y } = paper(point);
    return `${x.toFixed(3)} ${y.toFixed(3)}`;
  };
  const [first] = pulls;
  return {
    box,
    shapes: [
      ...layoutShapes({ arena, items }, [], { lies: 'along', numbers, textM, unit: 'm', plain: true }),
      ...('peg' in set ? [dot(at, set.at, textM * 0.3)] : []),
      ...checked.map(({ from: start, to }) =>
        pathShape(`M${at(start)}L${at(to)}`, { stroke: '#777', strokeM: textM * 0.06, dashM: textM * 0.3 }),
      ),
      ...pulls.flatMap(({ start, to }) => pull(at, start, to, textM)),
      ...own.filter(isRidden).map(item => riddenMark(at, item, textM)),
      ...(first ? person(at, first.start, first.to, textM) : []),
      ...labels(
        box,
        pulls.map(({ start, to, words }) => ({ a: paper(start), b: paper(to), words })),
        [
          ...items.map(item => solidOf(footprintCorners(item).map(paper), textM * 0.1)),
          ...(first ? [solidOf([paper(first.start)], textM * 0.8)] : []),
        ],
        textM,
      ),
    ],
  };
}

function boxRound(places: readonly { x: number; y: number }[]): StepPicture['box'] {
  const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
  const size = (marginM: number) => {
    const [wide, high] = [xs, ys].map(all => Math.max(...all) - Math.min(...all) + 2 * marginM);
    return Math.max(wide!, high! * SHAPE, LEAST_WIDTH_M);
  };
  // Beyond a wall there is room for what is written there: two letters high.
  const widthM = size(Math.max(MARGIN_M, (size(MARGIN_M) / LETTERS) * 2.3));
  const heightM = widthM / SHAPE;
  const middle = (all: readonly number[]) => (Math.min(...all) + Math.max(...all)) / 2;
  return { x: middle(xs) - widthM / 2, y: middle(ys) - heightM / 2, widthM, heightM };
}

type At = (point: PointM) => string;

/** A tape that is pulled or a way that is walked, with a head where it ends. */
function pull(at: At, start: PointM, to: PointM, textM: number): Shape[] {
  const line = pathShape(`M${at(start)}L${at(to)}`, { stroke: '#000', strokeM: textM * 0.1 });
  if (distanceM(start, to) < textM) return [line];
  const wayRad = Math.atan2(to.yM - start.yM, to.xM - start.xM);
  const side = (turn: number) => at(pointAlong(to, wayRad + Math.PI + turn, textM * 0.8));
  return [line, pathShape(`M${side(0.4)}L${at(to)}L${side(-0.4)}Z`, { fill: '#000' })];
}

/** Somebody from above: a head, and a nose the way they look. */
function person(at: At, place: PointM, lookTo: PointM, textM: number): Shape[] {
  const lookRad = Math.atan2(lookTo.yM - place.yM, lookTo.xM - place.xM);
  const shoulder = (side: 1 | -1) => at(pointAlong(place, lookRad + (side * Math.PI) / 2, textM * 0.75));
  const nose = (turn: number, farM: number) => at(pointAlong(place, lookRad + turn, farM));
  return [
    pathShape(`M${shoulder(1)}L${shoulder(-1)}`, { stroke: '#000', strokeM: textM * 0.45 }),
    dot(at, place, textM * 0.42, '#fff'),
    pathShape(`M${nose(0.5, textM * 0.42)}L${nose(0, textM * 0.85)}L${nose(-0.5, textM * 0.42)}Z`, { fill: '#000' }),
  ];
}

function dot(at: At, { xM, yM }: PointM, radiusM: number, fill = '#000'): Shape {
  const [a, b] = [at({ xM, yM: yM - radiusM }), at({ xM, yM: yM + radiusM })];
  const arc = `A${radiusM.toFixed(3)} ${radiusM.toFixed(3)} 0 0 1`;
  return pathShape(`M${a}${arc} ${b}${arc} ${a}Z`, { fill, stroke: '#000', strokeM: radiusM * 0.25 });
}

/** Which way it is ridden: a chevron ahead of it. */
function riddenMark(at: At, { at: place, headingRad }: { at: PointM; headingRad: number }, textM: number): Shape {
  const on = (aheadM: number, leftM: number) =>
    at(pointAlong(pointAlong(place, headingRad, aheadM), headingRad + Math.PI / 2, leftM));
  const [half, ahead] = [textM * 0.5, textM * 1.6];
  return pathShape(`M${on(ahead - half, half)}L${on(ahead, 0)}L${on(ahead - half, -half)}`, {
    stroke: '#000',
    strokeM: textM * 0.12,
  });
}

type Place = { x: number; y: number };
type Label = { x: number; y: number; halfM: number };

/** What no length is written over. */
type Solid = { left: number; right: number; top: number; bottom: number };

/** Where along a line its length is tried; a short one has room beyond its ends, or farther beside it, in letters. */
const ALONG = [0.5, 0.35, 0.65, 0.22, 0.78] as const;
const FARTHER = [1.3, 2.6, 4] as const;

/** Each length beside its line, on white, in the picture, and over no other and no piece where that can be. */
function labels(
  box: StepPicture['box'],
  lines: readonly { a: Place; b: Place; words: string }[],
  solids: readonly Solid[],
  textM: number,
): Shape[] {
  const placed: Label[] = [];
  return lines.flatMap(({ a, b, words }) => {
    const at = (where: Where) => labelAt(box, a, b, where, words, textM);
    const beside = (fartherM: number) =>
      ALONG.flatMap(share => ([1, -1] as const).map(side => at({ share, side, fartherM })));
    const tries = [
      ...beside(0),
      at({ beyond: 'end' }),
      at({ beyond: 'start' }),
      ...FARTHER.flatMap(far => beside(far * textM)),
    ];
    const clear = tries.filter(one => placed.every(other => isApart(one, other, textM)));
    const others = lines.flatMap(other => (other.a === a ? [] : (straightSolid(other, textM) ?? [])));
    const isFree = (one: Label) => [...solids, ...others].every(solid => isBeside(one, solid, textM));
    const free = clear.find(isFree) ?? clear[0] ?? tries[0]!;
    placed.push(free);
    const { x, y, halfM } = free;
    const [left, top] = [x - halfM, y - textM * 0.6];
    const white = `M${left.toFixed(3)} ${top.toFixed(3)}h${(2 * halfM).toFixed(3)}v${(textM * 1.2).toFixed(3)}h${(-2 * halfM).toFixed(3)}Z`;
    return [pathShape(white, { fill: '#fff' }), textShape({ x, y }, words, textM, true)];
  });
}

const isApart = (a: Label, b: Label, textM: number) =>
  Math.abs(a.x - b.x) >= a.halfM + b.halfM || Math.abs(a.y - b.y) >= textM * 1.25;

function solidOf(places: readonly Place[], aboutM: number): Solid {
  const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
  return {
    ...{ left: Math.min(...xs) - aboutM, right: Math.max(...xs) + aboutM },
    ...{ top: Math.min(...ys) - aboutM, bottom: Math.max(...ys) + aboutM },
  };
}

const isBeside = ({ x, y, halfM }: Label, { left, right, top, bottom }: Solid, textM: number) =>
  x + halfM <= left || x - halfM >= right || y + textM * 0.6 <= top || y - textM * 0.6 >= bottom;

/** A line along the picture or across it; what runs askew is not in the way of a box. */
function straightSolid({ a, b }: { a: Place; b: Place }, textM: number): Solid | null {
  const isStraight = Math.min(Math.abs(a.x - b.x), Math.abs(a.y - b.y)) < textM * 0.5;
  return isStraight ? solidOf([a, b], textM * 0.1) : null;
}

type Where = { share: number; side: 1 | -1; fartherM: number } | { beyond: 'start' | 'end' };

function labelAt(box: StepPicture['box'], a: Place, b: Place, where: Where, words: string, textM: number): Label {
  const longM = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const halfM = (words.length * textM * LETTER_SHARE) / 2;
  const way = { x: (b.x - a.x) / longM, y: (b.y - a.y) / longM };
  const normal = { x: way.y, y: -way.x };
  const within = (value: number, from: number, size: number, room: number) =>
    Math.min(Math.max(value, from + room), from + size - room);
  const on = (alongM: number, asideM: number): Label => ({
    x: within(a.x + way.x * alongM + normal.x * asideM, box.x, box.widthM, halfM + textM * 0.2),
    y: within(a.y + way.y * alongM + normal.y * asideM, box.y, box.heightM, textM * 0.7),
    halfM,
  });
  if ('beyond' in where) {
    const reachM = Math.abs(way.x) * halfM + Math.abs(way.y) * textM * 0.7 + textM;
    return on(where.beyond === 'end' ? longM + reachM : -reachM, 0);
  }
  // Off the line by as much as the words are wide that way; above it first.
  const offM = Math.abs(normal.x) * halfM + Math.abs(normal.y) * textM * 0.7 + textM * 0.15 + where.fartherM;
  const up = (normal.y > 0 || (normal.y === 0 && normal.x < 0) ? -1 : 1) * where.side;
  return on(longM * where.share, offM * up);
}
