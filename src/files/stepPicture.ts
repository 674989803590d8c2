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
import { layoutShapes, paperPoint, pathShape, textShape, type Shape } from './layoutShapes';
import type { PrintedLine } from './printedSheet';

/** One step of setting as a picture, metres of paper with y down: A at the left and C at the right, as on the sheet's drawing. */
export type StepPicture = { box: { x: number; y: number; widthM: number; heightM: number }; shapes: Shape[] };

export type PicturedStep = {
  set: SetPiece | SetPeg;
  lines: readonly PrintedLine[];
  numberOf: (item: string) => string;
};

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
      ...pulls.flatMap(({ start, to, words }) => label(paper, box, start, to, words, textM)),
    ],
  };
}

function boxRound(places: readonly { x: number; y: number }[]): StepPicture['box'] {
  const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
  const [left, right] = [Math.min(...xs) - MARGIN_M, Math.max(...xs) + MARGIN_M];
  const [top, bottom] = [Math.min(...ys) - MARGIN_M, Math.max(...ys) + MARGIN_M];
  const widthM = Math.max(right - left, (bottom - top) * SHAPE, LEAST_WIDTH_M);
  const heightM = widthM / SHAPE;
  return { x: (left + right - widthM) / 2, y: (top + bottom - heightM) / 2, widthM, heightM };
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

/** The length beside the middle of its line, on white, and never out of the picture. */
function label(
  paper: (at: PointM) => { x: number; y: number },
  box: StepPicture['box'],
  start: PointM,
  to: PointM,
  words: string,
  textM: number,
): Shape[] {
  const [a, b] = [paper(start), paper(to)];
  const longM = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const halfM = (words.length * textM * LETTER_SHARE) / 2;
  const normal = { x: (b.y - a.y) / longM, y: -(b.x - a.x) / longM };
  // Off the line by as much as the words are wide that way.
  const offM = Math.abs(normal.x) * halfM + Math.abs(normal.y) * textM * 0.7 + textM * 0.15;
  const up = normal.y > 0 || (normal.y === 0 && normal.x < 0) ? -1 : 1;
  const within = (value: number, from: number, size: number, room: number) =>
    Math.min(Math.max(value, from + room), from + size - room);
  const x = within((a.x + b.x) / 2 + normal.x * offM * up, box.x, box.widthM, halfM + textM * 0.2);
  const y = within((a.y + b.y) / 2 + normal.y * offM * up, box.y, box.heightM, textM * 0.7);
  const [left, top] = [x - halfM, y - textM * 0.6];
  const white = `M${left.toFixed(3)} ${top.toFixed(3)}h${(2 * halfM).toFixed(3)}v${(textM * 1.2).toFixed(3)}h${(-2 * halfM).toFixed(3)}Z`;
  return [pathShape(white, { fill: '#fff' }), textShape({ x, y }, words, textM, true)];
}
