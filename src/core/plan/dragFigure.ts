import type { Arena } from '../arena/arena';
import type { ExerciseParams, LaidExercise, Recipe } from '../exercises/exercise';
import {
  ARRIVALS,
  ARRIVES_ANYWHERE,
  BY_LENGTH,
  FIGURE_LETTERS,
  mirroredPlaceName,
  placePose,
  USUAL_PLACE,
} from '../exercises/figureLetters';
import { exerciseOnSand } from '../exercises/layOutExercise';
import { findRecipe } from '../exercises/shelf';
import type { Figure } from '../figures/figure';
import { sidewaysEnd, sidewaysSlopeRad } from '../figures/rideSideways';
import { mirroredPlace, placeMoved } from '../geometry/frame';
import { distanceM, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { Rein } from '../track/rein';
import type { PlacedRecipe, Plan } from './plan';
import type { ResolvedExercise, ResolvedPlan } from './resolvePlan';

/** What a hand holds of a figure: all of it, or an end of its sideways line. */
export type FigureGrip = 'whole' | 'begin' | 'end';

export type FigureDrag = {
  /** The exercise. */
  id: string;
  grip: FigureGrip;
  /** How far the hand went, metres. */
  by: PointM;
  /** How near a letter draws it, metres; 0 for not at all. */
  reachM: number;
};

/** `at`: where the words belong. */
export type DraggedFigure = { plan: Plan; words: string | null; at: PointM };

type Sideways = Extract<Figure, { kind: 'sideways' }>;

/** Where the frame of figures lies that are laid at their places on the sand. */
export function figuresHome({ widthM }: Arena, rein: Rein): Pose {
  const home: Pose = { at: { xM: 0, yM: 0 }, headingRad: 0 };
  return rein === 'left' ? home : mirroredPlace(widthM, home);
}

/** Whether an exercise of figures lies where its letters say. */
export function isAtItsLetters(arena: Arena, { rein, place }: Pick<PlacedRecipe, 'rein' | 'place'>): boolean {
  const home = figuresHome(arena, rein);
  const turnRad = Math.cos(place.headingRad - home.headingRad);
  return distanceM(home.at, place.at) < 1e-6 && Math.abs(turnRad - 1) < 1e-9;
}

/** The sideways line of an exercise as it lies on the sand; null where it has none. */
export function sidewaysLine({ tracks: [track] }: LaidExercise): Sideways | null {
  if (track?.kind !== 'figures') return null;
  return (
    track.figures.map(({ figure }) => figure).find((figure): figure is Sideways => figure.kind === 'sideways') ?? null
  );
}

/** The plan with a figure dragged: drawn to the letters it may begin and end at, with its slope told where it goes aside. */
export function dragFigure(
  plan: Plan,
  resolved: ResolvedPlan,
  { id, grip, by, reachM }: FigureDrag,
): DraggedFigure | null {
  const exercise = resolved.exercises.find(({ placed }) => placed.id === id);
  const recipe = exercise && findRecipe(exercise.placed.kind);
  if (!exercise || !recipe || plan.lockedIds.includes(id)) return null;
  const line = sidewaysLine(exercise.laid);
  const ground: Ground = { ...resolved.layout, recipe };
  const dragged =
    grip === 'whole' || !line
      ? dragWhole(exercise, ground, by, reachM)
      : dragEnd(exercise, ground, line, { grip, by, reachM });
  if (!dragged) return null;
  const { placed, words, at } = dragged;
  return { plan: { ...plan, exercises: plan.exercises.map(one => (one.id === id ? placed : one)) }, words, at };
}

type Ground = Pick<ResolvedPlan['layout'], 'arena' | 'school' | 'horses'> & { recipe: Recipe };
type Dragged = { placed: PlacedRecipe; words: string | null; at: PointM };

const plus = (a: PointM, b: PointM): PointM => ({ xM: a.xM + b.xM, yM: a.yM + b.yM });

/** A letter as it is called on a rein. */
const called = (name: string, rein: Rein) => (rein === 'left' ? name : mirroredPlaceName(name));

/** Where a place of the left rein lies on the sand, on the rein that is ridden. */
function onSand(arena: Arena, name: string, rein: Rein): Pose | null {
  const pose = placePose(arena, name);
  return pose && (rein === 'left' ? pose : mirroredPlace(arena.widthM, pose));
}

/** The nearest of some places within reach. */
function nearest(arena: Arena, names: readonly string[], rein: Rein, at: PointM, reachM: number): string | null {
  const found = names
    .flatMap(name => {
      const pose = onSand(arena, name, rein);
      return pose ? [{ name, offM: distanceM(pose.at, at) }] : [];
    })
    .sort((a, b) => a.offM - b.offM)[0];
  return found && found.offM <= reachM ? found.name : null;
}

function dragWhole({ placed, laid }: ResolvedExercise, { arena }: Ground, by: PointM, reachM: number): Dragged | null {
  const [track] = laid.tracks;
  const places = FIGURE_LETTERS[placed.kind];
  if (track?.kind !== 'figures') return null;
  const station = places?.anchor === 'deed' && track.figures.find(({ figure }) => figure.kind === 'station');
  const start = (station || track.figures[0])?.figure.start;
  if (!start) return null;
  const at = plus(start.at, by);
  const letter = places && !places.own ? nearest(arena, places.from, placed.rein, at, reachM) : null;
  if (letter === null)
    return { placed: { ...placed, place: { ...placed.place, at: plus(placed.place.at, by) } }, words: null, at };
  return {
    placed: { ...placed, params: { ...placed.params, from: letter }, place: figuresHome(arena, placed.rein) },
    words: `begins at ${called(letter, placed.rein)}`,
    at,
  };
}

const LEAST_AHEAD_M = 1;
const LEAST_ASIDE_M = 0.5;

/** One end of a sideways line moves, the other stays: at its letter, if it was at one. */
function dragEnd(
  exercise: ResolvedExercise,
  ground: Ground,
  line: Sideways,
  { grip, by, reachM }: { grip: 'begin' | 'end'; by: PointM; reachM: number },
): Dragged | null {
  const { placed, params } = exercise;
  const { arena } = ground;
  const { rein } = placed;
  const moved = plus(grip === 'begin' ? line.start.at : sidewaysEnd(line), by);
  const isLegYield = line.movement === 'leg-yield';
  const places = FIGURE_LETTERS[placed.kind];
  const ends: readonly string[] = isLegYield ? ARRIVALS.map(name => name.slice(0, 1)) : (places?.to ?? []);
  const drawn = nearest(arena, grip === 'begin' ? (places?.from ?? []) : ends, rein, moved, reachM);
  const home = isAtItsLetters(arena, placed);
  const keptFrom = home && typeof params.from === 'string' && onSand(arena, params.from, rein) ? params.from : null;
  const endKey = isLegYield ? 'arrives' : 'to';
  const endName = typeof params[endKey] === 'string' ? params[endKey].slice(0, 1) : '';
  const keptEnd = home && ends.includes(endName) && onSand(arena, endName, rein) ? endName : null;
  const from = grip === 'begin' ? drawn : keptFrom;
  const to = grip === 'end' ? drawn : keptEnd;
  const begin = (from === null ? null : onSand(arena, from, rein)?.at) ?? (grip === 'begin' ? moved : line.start.at);
  const end = (to === null ? null : onSand(arena, to, rein)?.at) ?? (grip === 'end' ? moved : sidewaysEnd(line));
  const { headingRad } = line.start;
  const [dx, dy] = [end.xM - begin.xM, end.yM - begin.yM];
  const aheadM = Math.max(LEAST_AHEAD_M, dx * Math.cos(headingRad) + dy * Math.sin(headingRad));
  const across = (dy * Math.cos(headingRad) - dx * Math.sin(headingRad)) * (line.towards === 'left' ? 1 : -1);
  const asideM = Math.max(LEAST_ASIDE_M, across);
  const next: PlacedRecipe = {
    ...placed,
    params: {
      ...{ ...placed.params, aheadM, asideM, from: from ?? USUAL_PLACE },
      [endKey]: isLegYield
        ? (ARRIVALS.find(name => to !== null && name.startsWith(to)) ?? ARRIVES_ANYWHERE)
        : (to ?? BY_LENGTH),
    } satisfies ExerciseParams,
    place: figuresHome(arena, rein),
  };
  const still = { ...line.start, at: begin };
  const placedSo = from !== null || to !== null ? next : laidFrom(next, ground, still);
  if (!placedSo) return null;
  const degrees = Math.round((sidewaysSlopeRad({ aheadM, asideM }) * 180) / Math.PI);
  const letters = [
    ...(from !== null ? [`from ${called(from, rein)}`] : []),
    ...(to !== null ? [`to ${called(to, rein)}`] : []),
  ];
  return {
    placed: placedSo,
    words: [...letters, `${degrees}° aside`].join(' · '),
    at: grip === 'begin' ? begin : end,
  };
}

/** Placed so that its sideways line begins at a pose; null where it cannot be laid out. */
function laidFrom(placed: PlacedRecipe, { recipe, ...ground }: Ground, begin: Pose): PlacedRecipe | null {
  try {
    const line = sidewaysLine(exerciseOnSand(recipe, { ...ground, horses: ground.horses }, placed));
    return line && { ...placed, place: placeMoved(placed.place, line.start, begin) };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
