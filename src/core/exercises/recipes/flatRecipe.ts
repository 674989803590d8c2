import type { Figure } from '../../figures/figure';
import type { PointM } from '../../geometry/pointM';
import type { TrackGait } from '../../layout/trackGait';
import type { ExerciseFact, ExerciseGround, ExerciseParams, Guidance, Recipe, Stage } from '../exercise';
import type { Cone } from '../../items/item';
import { placeMoved } from '../../geometry/frame';
import { aheadOnWallM, BY_LENGTH, FIGURE_LETTERS, placePose, USUAL_PLACE } from '../figureLetters';
import { exerciseAt } from '../mirrorExercise';
import type { LaidExercise } from '../exercise';
import type { Pose } from '../../geometry/pose';
import { FIGURE_GAITS } from './figureGaits';
import { ON_THE_SAND, sessionOf, type AskedFigure } from './parts';

/** What most figures share; each recipe says what is its own. */
export function flatGuidance(
  own: Pick<Guidance, 'title' | 'purposes' | 'level' | 'knowFirst' | 'watchHorse' | 'watchRider' | 'faults'> &
    Partial<Guidance>,
): Guidance {
  return {
    repetitions: { eachRein: 3, stop: { when: 'first clear improvement' } },
    failure: 'let it go',
    stand: 'In the middle of the arena.',
    cautions: [],
    ...own,
  };
}

type Flat<P extends ExerciseParams> = {
  kind: string;
  guidance: Guidance;
  wishes: (ground: ExerciseGround) => P[];
  gait: TrackGait;
  /** The figures at their places on the sand, on the left rein. */
  figures: (ground: ExerciseGround, params: P) => readonly (Figure | AskedFigure)[];
  stages: (params: P, ground: ExerciseGround) => Stage[];
  cones?: (ground: ExerciseGround, params: P) => readonly PointM[];
  facts?: (ground: ExerciseGround, params: P) => ExerciseFact[];
  /** Where the instructor stands, as the guidance says it; the middle of the arena where this is left out. */
  standAt?: (ground: ExerciseGround, params: P) => PointM;
};

/** Places to watch from, as they are said. A pace off the wall, out of the way of who comes along it. */
const OFF_WALL_M = 1.2;
export const atFarEnd = ({ arena }: ExerciseGround, shareAcross: number): PointM => ({
  xM: arena.widthM * shareAcross,
  yM: arena.lengthM - 2.5,
});
export const besideMiddle = ({ arena }: ExerciseGround): PointM => ({
  xM: arena.widthM - OFF_WALL_M,
  yM: arena.lengthM / 2,
});
/** In the middle of a circle of this diameter that begins in the middle of the near short side. */
export const middleOfCircle = ({ arena }: ExerciseGround, diameterM: number): PointM => ({
  xM: arena.widthM / 2,
  yM: diameterM / 2,
});

/** A halt in the middle of the arena, watched from beside it. */
export const haltInMiddle = {
  standAt: ({ arena }: ExerciseGround): PointM => ({ xM: arena.widthM / 2 + 2, yM: arena.lengthM / 2 + 1 }),
  figures: ({ arena }: ExerciseGround, { seconds }: { seconds: number }): Figure[] => [
    {
      ...{ kind: 'station', start: { at: { xM: arena.widthM / 2, yM: arena.lengthM / 2 }, headingRad: Math.PI / 2 } },
      ...{ rein: 'left', deed: { kind: 'halt', seconds } },
    },
  ],
};

/** The gait that was chosen, where that is one of those it may be ridden in. */
function gaitAsked<P extends ExerciseParams>({ kind, gait }: Flat<P>, params: ExerciseParams): TrackGait {
  return FIGURE_GAITS[kind]?.find(one => one === params.gait) ?? gait;
}

/** What every figure of a kind is asked besides its own: its gait, and the letters it begins and ends at. */
function alsoAsked<P extends ExerciseParams>({ kind, gait }: Flat<P>): ExerciseParams {
  const places = FIGURE_LETTERS[kind];
  return {
    ...(kind in FIGURE_GAITS ? { gait } : {}),
    ...(places ? { from: USUAL_PLACE } : {}),
    ...(places?.to ? { to: BY_LENGTH } : {}),
  };
}

/** How often it is ridden, where it does not say so by rounds or seconds of its own. */
function timesAsked(wish: ExerciseParams): ExerciseParams {
  return ['times', 'rounds', 'rungs', 'stretches', 'seconds'].some(key => key in wish) ? {} : { times: 1 };
}

/** Figures that are ridden several times over; one that counts its own times has them in itself. */
function repeated<One extends Figure | AskedFigure>(
  figures: readonly One[],
  { times }: ExerciseParams,
): readonly One[] {
  const hasOwn = figures.some(one => 'times' in ('figure' in one ? one.figure : one));
  const count = typeof times === 'number' && !hasOwn ? times : 1;
  return Array.from({ length: count }, () => figures).flat();
}

/**
 * As long as from the one letter to the other, where both were chosen.
 * @throws {RangeError} the second does not lie ahead on the wall of the first
 */
function asLongAsLettered<P extends ExerciseParams>(kind: string, { arena }: ExerciseGround, params: P): P {
  const { from, to } = params as ExerciseParams;
  if (FIGURE_LETTERS[kind]?.own || typeof from !== 'string' || typeof to !== 'string' || to === BY_LENGTH)
    return params;
  const lengthM = aheadOnWallM(arena, from, to);
  if (lengthM === null) throw new RangeError(`${kind}: ${to} does not lie ahead of ${from} on one wall`);
  return { ...params, lengthM };
}

/** Where the letter of an exercise takes hold of it: its beginning, or where something is done on the spot. */
function anchorOf({ tracks: [track] }: LaidExercise, anchor: 'deed' | undefined): Pose | null {
  if (track?.kind !== 'figures') return null;
  const station = track.figures.find(({ figure }) => figure.kind === 'station');
  return (anchor === 'deed' && station ? station : track.figures[0])?.figure.start ?? null;
}

/** Carried to the letter it begins at, riding along the wall there; where it was laid if nobody chose one. */
function atItsLetter(kind: string, laid: LaidExercise, { arena }: ExerciseGround, from: unknown): LaidExercise {
  const places = FIGURE_LETTERS[kind];
  if (!places || places.own || typeof from !== 'string' || from === USUAL_PLACE) return laid;
  const [to, anchor] = [placePose(arena, from), anchorOf(laid, places.anchor)];
  if (!to || !anchor) return laid;
  const headingRad = places.turns === false ? anchor.headingRad : to.headingRad;
  return exerciseAt(laid, placeMoved(ON_THE_SAND, anchor, { at: to.at, headingRad }));
}

/** A recipe of figures on the flat, laid out at their places in the arena. */
export function flatRecipe<P extends ExerciseParams>(flat: Flat<P>): Recipe<P> {
  const { kind } = flat;
  return {
    kind,
    guidance: flat.guidance,
    wishes: ground => flat.wishes(ground).map(wish => ({ ...wish, ...alsoAsked(flat), ...timesAsked(wish) })),
    place: () => ON_THE_SAND,
    layOut: (ground, asked) => {
      const params = asLongAsLettered(kind, ground, asked);
      const laid: LaidExercise = {
        items: (flat.cones?.(ground, params) ?? []).map((at, index): Cone => ({
          kind: 'cone',
          name: null,
          id: `cone-${index + 1}`,
          at,
        })),
        tracks: [sessionOf(kind, gaitAsked(flat, params), repeated(flat.figures(ground, params), params))],
        stages: flat.stages(params, ground),
        stand: flat.standAt?.(ground, params) ?? { xM: ground.arena.widthM / 2, yM: ground.arena.lengthM / 2 },
        facts: flat.facts?.(ground, params) ?? [],
      };
      return atItsLetter(kind, laid, ground, (params as ExerciseParams).from);
    },
  };
}
