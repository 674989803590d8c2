import type { Figure } from '../../figures/figure';
import type { PointM } from '../../geometry/pointM';
import type { TrackGait } from '../../layout/trackGait';
import type { ExerciseFact, ExerciseGround, ExerciseParams, Guidance, Recipe, Stage } from '../exercise';
import type { Cone } from '../../items/item';
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

/** The gait that was chosen, where that is one of those it may be ridden in. */
function gaitAsked<P extends ExerciseParams>({ kind, gait }: Flat<P>, params: ExerciseParams): TrackGait {
  return FIGURE_GAITS[kind]?.find(one => one === params.gait) ?? gait;
}

/** A recipe of figures on the flat, laid out at their places in the arena. */
export function flatRecipe<P extends ExerciseParams>(flat: Flat<P>): Recipe<P> {
  return {
    kind: flat.kind,
    guidance: flat.guidance,
    wishes: ground =>
      flat.wishes(ground).map(wish => (flat.kind in FIGURE_GAITS ? { ...wish, gait: flat.gait } : wish)),
    place: () => ON_THE_SAND,
    layOut: (ground, params) => ({
      items: (flat.cones?.(ground, params) ?? []).map((at, index): Cone => ({
        kind: 'cone',
        name: null,
        id: `cone-${index + 1}`,
        at,
      })),
      tracks: [sessionOf(flat.kind, gaitAsked(flat, params), flat.figures(ground, params))],
      stages: flat.stages(params, ground),
      stand: flat.standAt?.(ground, params) ?? { xM: ground.arena.widthM / 2, yM: ground.arena.lengthM / 2 },
      facts: flat.facts?.(ground, params) ?? [],
    }),
  };
}
