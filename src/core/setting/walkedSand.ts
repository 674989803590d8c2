import type { Arena } from '../arena/arena';
import { pointAlong, type PointM } from '../geometry/pointM';
import { DEFAULT_LEG, type ItemTrack } from '../layout/layout';
import { newItem, type ItemChoice } from '../plan/newItem';
import type { RiddenItem } from '../items/item';
import { isRidden } from '../items/item';
import { footprintCorners } from '../items/footprint';

/** What stands at the end of a way that was walked on the sand. */
export type WalkedPiece = {
  /** From the piece before, land to next, or from the wall to the first, metres. */
  gapM: number;
  choice: Extract<ItemChoice, 'pole' | 'vertical' | 'oxer' | 'cross-rail'>;
};

/** A line that stands already, as somebody walked it. */
export type WalkedLine = {
  /** The wall that the walk begins at, looking over the sand. */
  from: 'near' | 'far' | 'left' | 'right';
  /** How far in from the wall on the left hand the line runs, metres. */
  fromLeftHandM: number;
  pieces: readonly WalkedPiece[];
};

export type WalkedSand =
  | { ok: true; items: RiddenItem[]; track: ItemTrack | null }
  /** A sentence about what cannot be, and the piece it is about. */
  | { ok: false; piece: number | null; reason: string };

const QUARTER_RAD = Math.PI / 2;
const HEADING_RAD = { near: QUARTER_RAD, far: -QUARTER_RAD, left: 0, right: Math.PI } as const;

/**
 * Pieces on one line by the gaps that were walked between them, and the track over them: from the back rail of one to the front of
 * the next, as they are ridden.
 * @param idOf - names the piece of an index
 */
export function walkedSand(arena: Arena, line: WalkedLine, idOf: (index: number) => string): WalkedSand {
  const { from, fromLeftHandM, pieces } = line;
  const headingRad = HEADING_RAD[from];
  const acrossM = from === 'near' || from === 'far' ? arena.widthM : arena.lengthM;
  if (!(fromLeftHandM > 0 && fromLeftHandM < acrossM))
    return { ok: false, piece: null, reason: 'The line does not run over the sand.' };
  const items: RiddenItem[] = [];
  let at: PointM = startOf(arena, from, fromLeftHandM);
  for (const [index, { gapM, choice }] of pieces.entries()) {
    if (!(gapM > 0 && gapM < Infinity)) return { ok: false, piece: index, reason: 'Walk to it first.' };
    const front = pointAlong(at, headingRad, gapM);
    const made = newItem(choice, idOf(index), front, headingRad);
    if (!isRidden(made)) throw new RangeError(`walkedSand: nobody rides a ${choice}`);
    const spreadM = made.kind === 'fence' ? made.spreadM : 0;
    // An item is told by its centre; its front is what was walked to.
    const item = { ...made, at: pointAlong(front, headingRad, spreadM / 2) };
    if (!footprintCorners(item).every(corner => isOver(arena, corner)))
      return { ok: false, piece: index, reason: 'It would stand outside the arena.' };
    items.push(item);
    at = pointAlong(front, headingRad, spreadM);
  }
  return { ok: true, items, track: items.length < 2 ? null : trackOver(items) };
}

/** Where the walk begins: on the wall, the left hand so far from the wall beside it. */
function startOf({ widthM, lengthM }: Arena, from: WalkedLine['from'], leftM: number): PointM {
  switch (from) {
    case 'near':
      return { xM: leftM, yM: 0 };
    case 'far':
      return { xM: widthM - leftM, yM: lengthM };
    case 'left':
      return { xM: 0, yM: lengthM - leftM };
    case 'right':
      return { xM: widthM, yM: leftM };
  }
}

const isOver = ({ widthM, lengthM }: Arena, { xM, yM }: PointM) => xM >= 0 && yM >= 0 && xM <= widthM && yM <= lengthM;

function trackOver(items: readonly RiddenItem[]): ItemTrack {
  const poles = items.every(({ kind }) => kind === 'pole');
  return {
    ...{ kind: 'items', id: 'walked', name: null, course: null, passes: 1 },
    gait: poles ? 'trot' : 'course-canter',
    through: items.map(({ id }) => ({ item: id, reversed: false })),
    legs: items.slice(1).map(({ kind }, index) => ({
      ...DEFAULT_LEG,
      setting: kind === 'pole' && items[index]!.kind === 'pole' ? 'poles' : DEFAULT_LEG.setting,
    })),
  };
}
