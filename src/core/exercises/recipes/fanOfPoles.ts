import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import { middleStrideM, onCircle, poleAt, POLE_LENGTH_M, stage, stridesOf, trackThrough } from './parts';
import { layoutStride } from '../../layout/layoutStrides';

/** The fan's middle radius is where the middle horse of the group rides. */
/** `spacingM`: from pole to pole at the middle radius where it is typed; 0 for the horses' own. */
type Params = { gait: 'walk' | 'trot' | 'canter'; poles: number; middleRadiusM: number; spacingM: number };

const GUIDANCE: Guidance = {
  title: 'A fan of poles',
  purposes: ['suppleness', 'rhythm', 'footwork'],
  level: 'green',
  knowFirst: ['A row of trot poles'],
  repetitions: { eachRein: 4, stop: { when: 'repetitions' } },
  failure: 'same question again',
  watchHorse: ['It stays on its own radius', 'The outside shoulder comes round with the bend'],
  watchRider: ['Rides a curve, not a row of corners', 'Chooses the radius before the first pole'],
  stand: 'At the hub of the fan.',
  faults: [
    { fault: 'The steps grow short', remedy: 'It has drifted in: ride farther out.' },
    { fault: 'It reaches and rushes', remedy: 'It has drifted out: ride nearer to the hub.' },
  ],
  cautions: ['No loose pole where a horse can step on it and roll it.'],
};

/** Poles spread like the sticks of a fan: each horse rides the radius at which the spacing is its own step. */
export const fanOfPoles: Recipe<Params> = {
  kind: 'fan',
  guidance: GUIDANCE,
  wishes: () => [5, 4, 3].map(poles => ({ gait: 'trot' as const, poles, middleRadiusM: 6, spacingM: 0 })),
  place: ({ arena }, { middleRadiusM }) => ({
    // The middle pole lies on the centre line, across it; the fan turns back towards the origin.
    at: { xM: arena.widthM / 2, yM: arena.lengthM / 2 + middleRadiusM / 2 },
    headingRad: Math.PI,
  }),
  layOut: (ground, { gait, poles, middleRadiusM, spacingM }) => {
    const sweepRad = spacingM > 0 ? spacingM / middleRadiusM : stepRad(ground, gait, middleRadiusM);
    const items = Array.from({ length: poles }, (_, index) =>
      poleAt(`f${index + 1}`, onCircle(middleRadiusM, (index - (poles - 1) / 2) * sweepRad)),
    );
    return {
      items,
      tracks: [
        {
          ...trackThrough(
            'fan',
            gait,
            items.map(({ id }) => id),
            { setting: 'poles' },
          ),
          ownLines: true,
        },
      ],
      stages: [
        stage('In walk', 'Find your radius', 'rising', { gait: 'walk', set: { only: ['f1'] } }),
        stage('On your own radius', 'Look round the curve', 'rising'),
      ],
      stand: { xM: 0, yM: middleRadiusM },
      facts: [
        ...radiusFacts(ground, gait, sweepRad, middleRadiusM),
        { what: 'between the inside ends', horse: null, lengthM: chordM(middleRadiusM - POLE_LENGTH_M / 2, sweepRad) },
        { what: 'between the outside ends', horse: null, lengthM: chordM(middleRadiusM + POLE_LENGTH_M / 2, sweepRad) },
      ],
    };
  },
  typed: (params, _, groundM) => ({ ...params, spacingM: groundM }),
  oneMore: params => ({ ...params, poles: params.poles + 1 }),
};

const chordM = (radiusM: number, sweepRad: number) => 2 * radiusM * Math.sin(sweepRad / 2);

function stepRad(ground: ExerciseGround, gait: Params['gait'], middleRadiusM: number): number {
  const [only, ...others] = stridesOf(ground, gait, 'poles');
  const stepM = only && others.length === 0 ? only.normalM : middleStrideM(ground, gait, 'poles');
  return stepM / middleRadiusM;
}

/** Each horse's own radius; where it lies beyond the ends of the poles, the fact says the end it is nearest to. */
function radiusFacts({ horses }: ExerciseGround, gait: Params['gait'], sweepRad: number, middleRadiusM: number) {
  return horses.flatMap(horse => {
    const stride = layoutStride(horse, gait, 'poles');
    if (!stride) return [];
    const radiusM = stride.normalM / sweepRad;
    const [least, most] = [middleRadiusM - POLE_LENGTH_M / 2, middleRadiusM + POLE_LENGTH_M / 2];
    if (radiusM < least) return [{ what: 'the inside ends are still long', horse: horse.name, lengthM: least }];
    if (radiusM > most) return [{ what: 'the outside ends are still short', horse: horse.name, lengthM: most }];
    return [{ what: 'radius to ride', horse: horse.name, lengthM: radiusM }];
  });
}
