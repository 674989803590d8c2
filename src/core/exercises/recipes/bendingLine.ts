import { chainEnd, chainOf } from '../../geometry/chain';
import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import {
  ahead,
  fenceAt,
  groundFor,
  lowHeightM,
  stage,
  stridesOf,
  trackThrough,
  usualHeights,
  type Heights,
} from './parts';

/** `distanceM`: along the wide track where it is typed; 0 for what the count wants. */
type Params = Heights & { strides: number; turnDeg: number; distanceM: number };

const GUIDANCE: Guidance = {
  title: 'A bending line',
  purposes: ['accuracy', 'suppleness', 'adjustability'],
  level: 'novice',
  knowFirst: ['A related line', 'A single fence off a turn'],
  repetitions: { eachRein: 4, stop: { when: 'first clear improvement' } },
  failure: 'same question again',
  watchHorse: ['A straight stride behind the first and two before the second', 'Lands on the lead of the bend'],
  watchRider: ['Eyes on the second fence before landing', 'Rides the line that was chosen, not the one that comes'],
  stand: 'Inside the bend, halfway, well off the line.',
  faults: [
    { fault: 'It cuts in and gets there early', remedy: 'A cone on the line, and ride outside it.' },
    { fault: 'It drifts out and adds a stride', remedy: 'Outside rein and leg on landing; a guide rail outside.' },
  ],
  cautions: ['Somebody is on the ground whenever fences are jumped.'],
};

/** Straight ground of the wide track: one stride behind the first fence, two before the second. */
const STRAIGHT_STRIDES = 3;

/** Two fences not in line, set so that the wide track has a whole count of the horse's strides. */
export const bendingLine: Recipe<Params> = {
  kind: 'bending-line',
  guidance: GUIDANCE,
  wishes: ground =>
    [
      { strides: 5, turnDeg: 45 },
      { strides: 5, turnDeg: 30 },
      { strides: 4, turnDeg: 30 },
      { strides: 4, turnDeg: 20 },
    ].map(one => ({ ...one, distanceM: 0, ...usualHeights(ground) })),
  place: (ground, params) => ({
    // So far from the near wall that there is room to come in, and to pull up behind the second.
    at: {
      xM: ground.arena.widthM * 0.72,
      yM: Math.max(11.5, (ground.arena.lengthM - lengthAheadM(ground, params)) / 2),
    },
    headingRad: Math.PI / 2,
  }),
  layOut: (ground, params) => {
    const { heightM } = params;
    const second = secondPose(ground, params);
    return {
      items: [fenceAt('first', 'vertical', ahead(0), { heightM }), fenceAt('second', 'vertical', second, { heightM })],
      tracks: [
        trackThrough(
          'line',
          'course-canter',
          ['first', 'second'],
          { track: 'wide', asked: params.strides },
          GUIDANCE.repetitions.eachRein,
        ),
      ],
      stages: [
        stage('Cross-rails', 'Look early', 'half-seat', { set: { form: 'cross-rail' } }),
        stage('As it stands', 'Straight, bend, straight', 'half-seat'),
      ],
      stand: { xM: second.at.xM / 2, yM: 7 },
      facts: [
        { what: 'along the wide track', horse: null, lengthM: groundM(ground, params) },
        { what: 'straight from one to the other', horse: null, lengthM: Math.hypot(second.at.xM, second.at.yM) },
      ],
    };
  },
  typed: (params, _, groundM) => ({ ...params, distanceM: groundM }),
};

function groundM(ground: ExerciseGround, { strides, distanceM }: Params): number {
  if (distanceM > 0) return distanceM;
  const fence = fenceAt('f', 'vertical', ahead(0), { heightM: lowHeightM(ground) });
  return groundFor(ground, strides, { gait: 'course-canter', setting: 'course', from: fence, to: fence });
}

/** Straight, an arc to the left, straight: what a wide track is between two fences so placed. */
function secondPose(ground: ExerciseGround, params: Params) {
  const strideM = Math.max(...stridesOf(ground, 'course-canter', 'course').map(({ normalM }) => normalM));
  const sweepRad = (params.turnDeg * Math.PI) / 180;
  const arcM = groundM(ground, params) - STRAIGHT_STRIDES * strideM;
  return chainEnd(
    chainOf(ahead(0), [
      { kind: 'straight', lengthM: strideM },
      { kind: 'turn', radiusM: arcM / sweepRad, sweepRad },
      { kind: 'straight', lengthM: 2 * strideM },
    ]),
  );
}

function lengthAheadM(ground: ExerciseGround, params: Params): number {
  return secondPose(ground, params).at.xM;
}
