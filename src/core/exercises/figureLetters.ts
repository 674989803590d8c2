import type { Arena, Wall } from '../arena/arena';
import { arenaLetters } from '../arena/arenaLetters';
import { wallName } from '../arena/wallName';
import { letterPose, wallPose } from '../figures/figurePlaces';
import { distanceM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { Rein } from '../track/rein';
import type { ExerciseParams } from './exercise';

/** A figure that nobody gave a letter lies where it usually does, and is as long as it says. */
export const USUAL_PLACE = 'its usual place';
export const BY_LENGTH = 'by its length';

/** What of an exercise names a place, and whether a value is one that somebody chose. */
export const PLACE_KEYS = ['from', 'to', 'arrives'] as const;
export type PlaceKey = (typeof PLACE_KEYS)[number];
export const isPlaceKey = (key: string): key is PlaceKey => (PLACE_KEYS as readonly string[]).includes(key);
export const isChosenPlace = (value: string): boolean =>
  value !== USUAL_PLACE && value !== BY_LENGTH && value !== ARRIVES_ANYWHERE;
/** Lines are named by what they are, and lie in every arena. */
export const isLineName = (place: string): boolean => place.endsWith(' line');

/** Letters on the wall, in the order they are passed on the left rein. */
export const WALL_LETTERS = ['A', 'F', 'P', 'B', 'R', 'M', 'C', 'H', 'S', 'E', 'V', 'K'] as const;
/** Letters on the centre line, going up from A. */
export const CENTRE_LETTERS = ['D', 'L', 'X', 'I', 'G'] as const;
/** The points of a wall without letters, in the order they are passed on the left rein. */
const MIDDLES = { 'near middle': 'near', 'right middle': 'right', 'far middle': 'far', 'left middle': 'left' } as const;

const ON_WALL: readonly string[] = [...WALL_LETTERS, ...Object.keys(MIDDLES)];
const ANYWHERE: readonly string[] = [...ON_WALL, ...CENTRE_LETTERS];
/** Beside them a wide corner has begun already. */
const IN_CORNERS: readonly string[] = ['F', 'M', 'H', 'K'];
const SHORT_SIDES: readonly string[] = ['A', 'C', 'near middle', 'far middle'];

/** Letters of the two long sides, row by row: each is the other's mirror image. */
const PARTNERS: Readonly<Record<string, string>> = Object.fromEntries(
  [
    ['K', 'F'],
    ['V', 'P'],
    ['E', 'B'],
    ['S', 'R'],
    ['H', 'M'],
    ['left middle', 'right middle'],
  ].flatMap(([left, right]) => [
    [left!, right!],
    [right!, left!],
  ]),
);

/**
 * Where a figure may begin and end. `anchor`: what is at the letter, its beginning or the place where something is done on
 * the spot. `turns`: it is turned to ride along the wall there; a figure about the middle keeps its direction.
 * `own`: the recipe lays itself out between its letters.
 */
export type FigureLetters = {
  from: readonly string[];
  to?: readonly string[];
  anchor?: 'deed';
  turns?: false;
  own?: true;
};

const wall: FigureLetters = { from: ON_WALL };
const alongWall: FigureLetters = { from: ON_WALL, to: WALL_LETTERS };
const centre: FigureLetters = { from: CENTRE_LETTERS, turns: false };
const deed: FigureLetters = { from: ANYWHERE, anchor: 'deed' };
const across: FigureLetters = { from: WALL_LETTERS, to: WALL_LETTERS, own: true };

/** By the kind of exercise. What is not here lies where it is laid, and is dragged. */
export const FIGURE_LETTERS: Readonly<Record<string, FigureLetters>> = {
  circle: wall,
  'large-and-small-circle': wall,
  volte: wall,
  spiral: wall,
  'counter-bend': wall,
  corners: wall,
  'loose-rein': wall,
  'transitions-ladder': { from: ON_WALL.filter(place => !IN_CORNERS.includes(place)) },
  'half-circle-return': wall,
  'rail-turnback': wall,
  serpentine: { from: SHORT_SIDES },
  'round-cones': { from: ANYWHERE },
  'shallow-loop': alongWall,
  'shoulder-in': alongWall,
  'lengthen-and-shorten': alongWall,
  'figure-of-eight': centre,
  'canter-depart-on-eight': centre,
  'change-rein': across,
  'free-walk': across,
  'leg-yield': { from: ['quarter line', 'centre line', ...CENTRE_LETTERS, 'K', 'V', 'E', 'S'], own: true },
  'half-pass': {
    ...{ from: ['F', 'P', 'B', 'R'], own: true },
    to: ['quarter line', 'centre line', ...CENTRE_LETTERS, 'V', 'E', 'S', 'H'],
  },
  'halt-and-rein-back': deed,
  'turn-on-forehand': deed,
  'turn-on-haunches': deed,
  'side-pass': deed,
  flexions: deed,
  'halt-and-pat': deed,
};

/** The name of a place as it is on the other rein. */
export function mirroredPlaceName(place: string): string {
  return PARTNERS[place] ?? place;
}

/**
 * At a place of the wall riding along it on the left rein, or on the centre line riding up; null where the arena has no
 * such place.
 */
export function placePose(arena: Arena, place: string): Pose | null {
  if (place in MIDDLES) {
    const of: Wall = MIDDLES[place as keyof typeof MIDDLES];
    return wallPose(arena, of, (of === 'near' || of === 'far' ? arena.widthM : arena.lengthM) / 2, 'left');
  }
  const onWall = letterPose(arena, place, 'left');
  if (onWall) return onWall;
  const at = arenaLetters(arena).find(({ letter }) => letter === place)?.at;
  return at ? { at, headingRad: Math.PI / 2 } : null;
}

/** How far it is from one place of a wall to another ahead on the same wall, on the left rein; null where there is none. */
export function aheadOnWallM(arena: Arena, from: string, to: string): number | null {
  const [a, b] = [placePose(arena, from), placePose(arena, to)];
  if (!a || !b || a.headingRad !== b.headingRad) return null;
  const aheadM = (b.at.xM - a.at.xM) * Math.cos(a.headingRad) + (b.at.yM - a.at.yM) * Math.sin(a.headingRad);
  const isOnWay = Math.abs(distanceM(a.at, b.at) - aheadM) < 1e-9;
  return isOnWay && aheadM > 0 ? aheadM : null;
}

/** What the two turns of a change of rein take of the way ahead, metres. */
const TWO_TURNS_M = 12;

/**
 * Whether a place lies ahead of another and on another line; where nobody chose the first, any does. Ahead is as one rides
 * along the wall there, or up the arena for sideways work, wherever it begins.
 */
function isAcrossAhead(arena: Arena, from: string, to: string, goesUp: boolean): boolean {
  const [a, b] = [placePose(arena, from), placePose(arena, to)];
  if (!a || !b) return b !== null;
  const headingRad = goesUp ? Math.PI / 2 : a.headingRad;
  const [dx, dy] = [b.at.xM - a.at.xM, b.at.yM - a.at.yM];
  const aheadM = dx * Math.cos(headingRad) + dy * Math.sin(headingRad);
  const asideM = dy * Math.cos(headingRad) - dx * Math.sin(headingRad);
  // Onto the wall round the next corner it turns twice, one way and back.
  const isRoundCorner = !goesUp && Math.abs(Math.cos(a.headingRad - b.headingRad)) < 0.5;
  return aheadM > (isRoundCorner ? TWO_TURNS_M : 1) && Math.abs(asideM) > 1;
}

export type PlaceOption = { value: string; label: string };

/**
 * The places that may be chosen in an arena, as they are called on a rein. Values name the places on the left rein: on the
 * right one the whole figure is mirrored.
 */
export function placeOptions(
  kind: string,
  key: PlaceKey,
  options: readonly string[],
  { arena, rein, from }: { arena: Arena; rein: Rein; from: string },
): PlaceOption[] {
  const lettered = arena.letters !== 'none';
  const mirrored = (name: string) => (rein === 'left' ? name : mirroredPlaceName(name));
  const isThere = (name: string) => {
    if (!isChosenPlace(name) || isLineName(name)) return true;
    const letter = name.slice(0, name.includes(' or ') ? 1 : undefined);
    if (name in MIDDLES) return !lettered;
    if (!placePose(arena, letter)) return false;
    if (key === 'from') return true;
    if (FIGURE_LETTERS[kind]?.own) return isAcrossAhead(arena, from, letter, key === 'arrives');
    return aheadOnWallM(arena, from, name) !== null;
  };
  const label = (name: string) => {
    if (name.includes(' or ')) return name.split(' or ')[rein === 'left' ? 0 : 1]!;
    if (!(name in MIDDLES)) return mirrored(name);
    return `middle of the ${wallName(arena, MIDDLES[mirrored(name) as keyof typeof MIDDLES])}`;
  };
  return options.filter(isThere).map(value => ({ value, label: label(value) }));
}

/** Where sideways work may arrive: the letters of either long side, by their rows. */
export const ARRIVES_ANYWHERE = 'where it comes';
export const ARRIVALS = [ARRIVES_ANYWHERE, 'F or K', 'P or V', 'B or E', 'R or S', 'M or H'] as const;

/**
 * What a figure asks once its beginning was chosen: an end that no longer lies ahead of it becomes the next that does, or as
 * far as it says where there is none.
 */
export function withEndsAhead(
  kind: string,
  params: ExerciseParams,
  { arena, rein }: { arena: Arena; rein: Rein },
): ExerciseParams {
  const from = typeof params.from === 'string' ? params.from : USUAL_PLACE;
  const ahead = (key: PlaceKey, options: readonly string[]) =>
    placeOptions(kind, key, options, { arena, rein, from }).map(({ value }) => value);
  const { to, arrives } = params;
  const next = { ...params };
  if (typeof to === 'string' && ahead('to', [to]).length === 0) next.to = BY_LENGTH;
  if (typeof arrives === 'string' && ahead('arrives', [arrives]).length === 0)
    next.arrives = ahead('arrives', ARRIVALS).find(isChosenPlace) ?? ARRIVES_ANYWHERE;
  return next;
}
