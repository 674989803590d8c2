import type { Figure } from '../../figures/figure';
import type { PointM } from '../../geometry/pointM';
import type { TrackGait } from '../../layout/trackGait';
import type { ExerciseFact, ExerciseGround, ExerciseParams, Guidance, Recipe, Stage } from '../exercise';
import type { Cone } from '../../items/item';
import { ON_THE_SAND, sessionOf, type AskedFigure } from './parts';

/** What most figures share; each recipe says what is its own. */
export function flatGuidance(
  own: Pick<Guidance, 'title' | 'purposes' | 'level' | 'knowFirst' | 'watchHorse' | 'watchRider' | 'faults'> &
    Partial<Guidance>,
): Guidance {
  return {
    repetitions: { eachRein: 3, stop: { when: 'first clear improvement' } },
    failure: 'let it go',
    stand: 'In the middle, or where the line can be seen from its end.',
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
};

/** A recipe of figures on the flat, laid out at their places in the arena. */
export function flatRecipe<P extends ExerciseParams>(flat: Flat<P>): Recipe<P> {
  return {
    kind: flat.kind,
    guidance: flat.guidance,
    wishes: flat.wishes,
    place: () => ON_THE_SAND,
    layOut: (ground, params) => ({
      items: (flat.cones?.(ground, params) ?? []).map((at, index): Cone => ({
        kind: 'cone',
        name: null,
        id: `cone-${index + 1}`,
        at,
      })),
      tracks: [sessionOf(flat.kind, flat.gait, flat.figures(ground, params))],
      stages: flat.stages(params, ground),
      stand: { xM: ground.arena.widthM / 2, yM: ground.arena.lengthM / 2 },
      facts: flat.facts?.(ground, params) ?? [],
    }),
  };
}
