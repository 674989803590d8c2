import type { GaitedGait } from '../../horse/strideEntry';
import { GAITED_GAITS } from '../../horse/strideEntry';
import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import {
  ahead,
  groundFor,
  middleStrideM,
  poleAt,
  POLE_LENGTH_M,
  quarterLine,
  sessionOf,
  stage,
  stridesOf,
  trackThrough,
} from './parts';

/** `spacingM`: set by hand, or 0 for two of the horses' own steps. */
type Params = { gait: GaitedGait; poles: number; spacingM: number; poleM: number };

const GUIDANCE: Guidance = {
  title: 'Spread poles for a lateral gait',
  purposes: ['rhythm', 'footwork', 'confidence'],
  level: 'green',
  knowFirst: ['The gait held for a whole long side', 'One pole in walk, both ways'],
  repetitions: { eachRein: 3, stop: { when: 'first clear improvement' } },
  failure: 'stop, back up, restart',
  watchHorse: ['The gait stays the same before, over and behind', 'The head nods on', 'The back stays level'],
  watchRider: ['Sits still and looks past the poles', 'Takes the way round as soon as the gait slips'],
  stand: 'Side-on, level with the poles, to hear the beat.',
  faults: [
    { fault: 'It slips into trot', remedy: 'Stop, back up, start again past the poles; then one pole only.' },
    { fault: 'It slips into pace', remedy: 'A bend and a slower gait first, then one pole only.' },
    { fault: 'It hops the pole', remedy: 'Walk it, or leave the pole to the way round for today.' },
  ],
  cautions: [
    'No loose pole where a horse can step on it and roll it.',
    'Poles push a lateral gait towards trot: out of the row once the gait slips.',
  ],
};

/** Common practice, no source: room to pass beside the end of a pole, metres. */
export const BESIDE_POLE_M = 1.25;
/** The way round begins and ends so far before and behind, metres. */
const RUN_M = 4;

/** One or two poles, farther apart than for trot: two steps of the gait, so that one falls free between; and a way round. */
export const gaitedPoles: Recipe<Params> = {
  kind: 'gaited-poles',
  guidance: GUIDANCE,
  wishes: ground => [2, 1].map(poles => ({ gait: knownGait(ground), poles, spacingM: 0, poleM: POLE_LENGTH_M })),
  place: (ground, params) => quarterLine(ground, (params.poles - 1) * spacingM(ground, params)),
  layOut: (ground, params) => {
    const { gait, poles, poleM } = params;
    const gapM = spacingM(ground, params);
    const items = Array.from({ length: poles }, (_, index) => poleAt(`g${index + 1}`, ahead(index * gapM), poleM));
    const order = items.map(({ id }) => id);
    const rowM = (poles - 1) * gapM;
    const roundM = poleM / 2 + BESIDE_POLE_M;
    return {
      items,
      tracks: [
        trackThrough('row', gait, order, { setting: 'poles' }),
        sessionOf('round', gait, [
          { kind: 'straight', start: ahead(-RUN_M, roundM), rein: 'left', lengthM: rowM + 2 * RUN_M },
        ]),
      ],
      stages: [
        stage('One pole in walk', 'One foot after the other, no hurry', 'sitting', {
          ...{ gait: 'walk', set: { only: ['g1'] } },
        }),
        ...(poles > 1
          ? [stage('One pole', 'The gait before the pole is the gait behind it', 'sitting', { set: { only: ['g1'] } })]
          : []),
        stage(poles > 1 ? 'Both poles' : 'The pole', 'Listen to the beat, and look past the row', 'sitting'),
      ],
      stand: { xM: rowM / 2, yM: -5 },
      facts: [
        { what: 'pole to pole', horse: null, lengthM: gapM },
        { what: 'the way round, from the middle of the poles', horse: null, lengthM: roundM },
      ],
    };
  },
  typed: (params, _, groundM) => ({ ...params, spacingM: groundM }),
};

/** The first of the gaits, from slow to fast, that somebody knows the stride of; running walk where none is known. */
export function knownGait({ horses }: ExerciseGround): GaitedGait {
  const known = GAITED_GAITS.filter(gait => gait !== 'flat-walk' && horses.some(({ strides }) => strides[gait]));
  return known[0] ?? 'running-walk';
}

/** Two steps of the gait; of the trot over poles where nobody knows a step of the gait: that is farther apart than for trot. */
function spacingM(ground: ExerciseGround, { gait, spacingM: typedM }: Params): number {
  if (typedM > 0) return typedM;
  if (stridesOf(ground, gait, 'poles').length === 0) return 2 * middleStrideM(ground, 'trot', 'poles');
  const pole = poleAt('p', ahead(0));
  return groundFor(ground, 1, { gait, setting: 'poles', from: pole, to: pole });
}
