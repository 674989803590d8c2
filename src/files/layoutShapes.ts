import {
  arenaCorners,
  arenaLetters,
  arenaLines,
  besideEnd,
  chainsOf,
  headingFromFacing,
  isRidden,
  pointAlong,
  poseAt,
  scaleBarOf,
  sideMarks,
  thingWords,
  type ArenaThing,
  type Chain,
  type Item,
  type Layout,
  type LengthUnit,
  type PointM,
  type ReckonedTrack,
} from '@/core';
import { chainPath } from './chainPath';
import { itemShapes, round, type At } from './itemShapes';
import { paperPoint, pathShape, rounded, textShape, type Shape } from './shape';

export type ShapesWish = {
  /** A at the bottom, or A at the left and C at the right. */
  lies: 'up' | 'along';
  /** Pieces numbered, or fences named. */
  numbers: ReadonlyMap<string, number | string> | null;
  /** Arrows on the lines, which way they are ridden. */
  arrows?: boolean;
  /** Height of the letters, metres of paper. */
  textM: number;
  /** What its scale bar is in. */
  unit: LengthUnit;
  /** Where the way in is, and which way home lies, clockwise from towards C: what the yard marked on this sand. */
  marks?: { entrance: PointM | null; homeFacingDeg: number | null };
  /** A part of the sand, without a scale bar. */
  plain?: boolean;
};

/** Round the sand there is room for letters, and below it for the scale bar. */
export type Sheet = { x: number; y: number; widthM: number; heightM: number };

/** The paper that a drawing needs. */
export function drawingSheet(
  { arena }: Pick<Layout, 'arena'>,
  { lies, textM }: Pick<ShapesWish, 'lies' | 'textM'>,
): Sheet {
  const [widthM, heightM] = lies === 'up' ? [arena.widthM, arena.lengthM] : [arena.lengthM, arena.widthM];
  const marginM = textM * 2.2;
  return { x: -marginM, y: -marginM, widthM: widthM + 2 * marginM, heightM: heightM + 2 * marginM + textM * 2.2 };
}

/** How long the scale bar of a drawing is, and where it lies, metres of paper. */
export function scaleBar(
  { arena }: Pick<Layout, 'arena'>,
  { lies, textM, unit }: Pick<ShapesWish, 'lies' | 'textM' | 'unit'>,
) {
  const heightM = lies === 'up' ? arena.lengthM : arena.widthM;
  return { x: 0, y: heightM + textM * 3.3, ...scaleBarOf(arena, unit) };
}

/** All that is drawn of a layout, the ground first. */
export function layoutShapes(
  layout: Pick<Layout, 'arena' | 'items'>,
  tracks: readonly ReckonedTrack[],
  wish: ShapesWish,
): Shape[] {
  const { arena, items } = layout;
  const paper = paperPoint(arena.lengthM, wish.lies);
  const at = (point: PointM) => {
    const { x, y } = paper(point);
    return `${rounded(x)} ${rounded(y)}`;
  };
  const box = `M${arenaCorners(arena).map(at).join('L')}Z`;
  return [
    pathShape(box, { stroke: '#000', strokeM: 0.12, fill: '#fff' }),
    ...(arena.outline ? [] : arenaLines(arena)).map(({ from, to }) =>
      pathShape(`M${at(from)}L${at(to)}`, { stroke: '#bbb', strokeM: 0.04, dashM: 0.5 }),
    ),
    ...arenaLetters(arena).map(({ letter, at: place }) =>
      textShape(paper(outside(place, layout, wish.textM)), letter, wish.textM),
    ),
    ...sideMarks(arena).map(({ words, at: place }) =>
      textShape(
        paper(outside(place, layout, wish.textM * (place.yM > 0 && place.yM < arena.lengthM ? 1 : 1.4))),
        words,
        wish.textM,
      ),
    ),
    ...(arena.standing ?? []).flatMap(thing => thingShapes(thing, paper, at, wish.textM)),
    ...tracks.flatMap(track =>
      chainsOf(track).map(chain => pathShape(chainPath(paper, chain), { stroke: '#777', strokeM: 0.1 })),
    ),
    ...(wish.arrows ? tracks.flatMap(chainsOf).map(chain => arrowOn(chain, at, wish.textM)) : []),
    ...items.flatMap(item => itemShapes(item, at)),
    ...items.flatMap(item => nameShape(item, arena, paper, wish)),
    ...(wish.marks ? markShapes(layout, wish.marks, wish) : []),
    ...(wish.plain ? [] : barShapes(layout, wish)),
  ];
}

/** What stands on the sand for good: its ground, and what it is. */
function thingShapes(
  thing: ArenaThing,
  paper: (point: PointM) => { x: number; y: number },
  at: (point: PointM) => string,
  textM: number,
): Shape[] {
  const { at: middle, radiusM } = thing;
  const round = Array.from({ length: 16 }, (_, corner) => at(pointAlong(middle, (corner * Math.PI) / 8, radiusM)));
  const { x, y } = paper(middle);
  const words = thingWords(thing).replace(/^the /, '');
  return [
    pathShape(`M${round.join('L')}Z`, { stroke: '#000', strokeM: 0.1, fill: '#ddd' }),
    textShape({ x, y: y + radiusM + textM * 0.7 }, words, textM * 0.8),
  ];
}

/** The way in as a ring on its wall, and an arrow below the sand the way home lies. */
function markShapes(
  { arena }: Pick<Layout, 'arena'>,
  { entrance, homeFacingDeg }: NonNullable<ShapesWish['marks']>,
  { lies, textM }: ShapesWish,
): Shape[] {
  const paper = paperPoint(arena.lengthM, lies);
  const at = (point: PointM) => {
    const { x, y } = paper(point);
    return `${rounded(x)} ${rounded(y)}`;
  };
  const middle = { xM: arena.widthM / 2, yM: arena.lengthM / 2 };
  const ring = entrance && [
    pathShape(round(entrance, textM * 0.4, at), { stroke: '#000', strokeM: textM * 0.12, fill: '#fff' }),
    textShape(paper(towards(entrance, middle, textM * 2.4)), 'way in', textM),
  ];
  if (homeFacingDeg === null) return ring ?? [];
  const headingRad = headingFromFacing(homeFacingDeg);
  const [a, b] = [paper(middle), paper(pointAlong(middle, headingRad, 1))];
  const [ux, uy] = [b.x - a.x, b.y - a.y];
  const paperM = { x: lies === 'up' ? arena.widthM : arena.lengthM, y: lies === 'up' ? arena.lengthM : arena.widthM };
  const [x, y, size] = [paperM.x - textM, paperM.y + textM * 3.3, textM * 0.8];
  const on = (ahead: number, aside: number) =>
    `${rounded(x + (ux * ahead - uy * aside) * size)} ${rounded(y + (uy * ahead + ux * aside) * size)}`;
  return [
    ...(ring ?? []),
    pathShape(`M${on(-1, 0)}L${on(1, 0)}M${on(0.3, -0.5)}L${on(1, 0)}L${on(0.3, 0.5)}`, {
      stroke: '#000',
      strokeM: textM * 0.12,
    }),
    textShape({ x: x - textM * 3, y }, 'home', textM),
  ];
}

/** From a point so far towards another. */
function towards(from: PointM, to: PointM, byM: number): PointM {
  return pointAlong(from, Math.atan2(to.yM - from.yM, to.xM - from.xM), byM);
}

function barShapes(layout: Pick<Layout, 'arena'>, wish: ShapesWish): Shape[] {
  const bar = scaleBar(layout, wish);
  const tickM = wish.textM * 0.3;
  return [
    pathShape(
      `M${bar.x} ${bar.y - tickM}v${2 * tickM}M${bar.x} ${bar.y}h${bar.lengthM}M${bar.x + bar.lengthM} ${bar.y - tickM}v${2 * tickM}`,
      { stroke: '#000', strokeM: 0.08 },
    ),
    textShape({ x: bar.x + bar.lengthM + wish.textM * 1.6, y: bar.y }, bar.words, wish.textM),
  ];
}

/** Letters on a wall stand outside it. */
function outside({ xM, yM }: PointM, { arena }: Pick<Layout, 'arena'>, textM: number): PointM {
  const beside = (value: number, most: number) => (value === 0 ? -textM : value === most ? most + textM : value);
  const onLongSide = xM === 0 || xM === arena.widthM;
  return { xM: beside(xM, arena.widthM), yM: onLongSide ? yM : beside(yM, arena.lengthM) };
}

function nameShape(
  item: Item,
  arena: Layout['arena'],
  paper: (at: PointM) => { x: number; y: number },
  { numbers, textM }: ShapesWish,
): Shape[] {
  const { x, y } = paper(item.at);
  if (numbers) {
    const number = numbers.get(item.id);
    if (number === undefined) return [];
    const beside = isRidden(item)
      ? paper(besideEnd(item, textM * 0.8, arena))
      : { x: x + textM * 0.9, y: y - textM * 0.7 };
    return [textShape(beside, String(number), textM, true)];
  }
  return item.kind === 'fence' ? [textShape({ x: x + textM * 0.8, y: y - textM }, item.id, textM * 0.8)] : [];
}

/** An arrow this far along a line says which way it is ridden. */
const ARROW_SHARE = 0.4;

function arrowOn(chain: Chain, at: At, textM: number): Shape {
  const { at: place, headingRad } = poseAt(chain, chain.lengthM * ARROW_SHARE);
  const from = (aheadM: number, leftM: number) =>
    at(pointAlong(pointAlong(place, headingRad, aheadM), headingRad + Math.PI / 2, leftM));
  const half = textM * 0.45;
  return pathShape(`M${from(half, 0)}L${from(-half, half * 0.8)}L${from(-half, -half * 0.8)}Z`, { fill: '#444' });
}
