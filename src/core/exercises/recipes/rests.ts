import { wallPose } from '../../figures/figurePlaces';
import type { Figure, Rest } from '../../figures/figure';
import { figureLengthM } from '../../figures/figureLength';
import type { ExerciseGround } from '../exercise';
import { changeAsked } from './changesOfRein';
import { flatGuidance, flatRecipe, haltInMiddle } from './flatRecipe';
import { stage, type AskedFigure } from './parts';

/** A whole figure ridden as a rest, in walk. */
function resting({ arena }: ExerciseGround, figure: Figure, rest: Rest): AskedFigure {
  return { figure, gait: 'walk', parts: [{ fromM: 0, toM: figureLengthM(arena, figure, 'walk'), rest }] };
}

const restGuidance = (title: string, watchHorse: string[], stand: string) =>
  flatGuidance({
    ...{ title, purposes: ['suppleness', 'rhythm'], level: 'green', knowFirst: ['Walk'], watchHorse },
    watchRider: ['Lets the reins out without dropping them', 'Sits still and breathes out'],
    faults: [{ fault: 'It hurries', remedy: 'A large circle in walk first, then the reins by and by.' }],
    repetitions: { eachRein: 1, stop: { when: 'repetitions' } },
    stand,
  });

export const freeWalk = flatRecipe({
  kind: 'free-walk',
  guidance: restGuidance(
    'Free walk across the diagonal',
    ['Stretches forward and down', 'Marches, and does not hurry'],
    'On the quarter line, beside the middle of the diagonal.',
  ),
  gait: 'walk',
  wishes: () => [{ radiusM: 6 }],
  standAt: ({ arena }) => ({ xM: arena.widthM / 4, yM: arena.lengthM / 2 }),
  figures: (ground, params) => [resting(ground, changeAsked(ground, 'diagonal', params), 'free-walk')],
  stages: () => [stage('In walk', 'Long reins, long steps', 'sitting')],
});

export const looseRein = flatRecipe({
  kind: 'loose-rein',
  guidance: restGuidance(
    'Walk on a loose rein',
    ['Breathes out, lowers its neck', 'Goes on by itself'],
    'In the middle of the arena.',
  ),
  gait: 'walk',
  wishes: () => [{ rounds: 1 }],
  figures: (ground, { rounds }) => [
    resting(
      ground,
      {
        ...{ kind: 'round-arena', start: wallPose(ground.arena, 'right', ground.arena.lengthM / 2, 'left') },
        ...{ rein: 'left', cornerRadiusM: 6, rounds },
      },
      'loose-rein',
    ),
  ],
  stages: () => [stage('In walk', 'The reins given', 'sitting')],
});

export const haltAndPat = flatRecipe({
  kind: 'halt-and-pat',
  guidance: restGuidance(
    'Halt and a pat',
    ['Stands square and quiet', 'Waits to be asked'],
    'Beside the shoulder, two steps away.',
  ),
  gait: 'walk',
  wishes: () => [{ seconds: 15 }],
  ...haltInMiddle,
  stages: () => [stage('A pause', 'Praise, and let it look', 'sitting')],
});
