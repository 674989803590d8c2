import type { Guidance, Recipe } from '../exercise';
import { circleInMiddle } from './singleCanterPole';
import { countsDown, middleStrideM, onCircle, poleAt, sessionOf, stage, trackThrough } from './parts';

/** `radiusM`: of the circle where it is typed; 0 for what the count of each half wants. */
type Params = { strides: number; radiusM: number };

const GUIDANCE: Guidance = {
  title: 'Canter and walk on a circle, with a way round the poles',
  purposes: ['canter departs', 'rhythm', 'confidence'],
  level: 'novice',
  knowFirst: ['Canter a half circle and walk', 'The two poles in walk'],
  repetitions: { eachRein: 3, stop: { when: 'first clear improvement' } },
  failure: 'stop, back up, restart',
  watchHorse: ['Three beats, not four', 'The lead that was asked', 'Which gait it canters out of most easily'],
  watchRider: ['Sits up and waits with the hand', 'Rides the way round as soon as the canter rolls into four beats'],
  stand: 'In the middle of the circle.',
  faults: [
    { fault: 'It paces into canter', remedy: 'Walk, back up a step, and ask again over the pole.' },
    { fault: 'It breaks behind the pole', remedy: 'Walk there on purpose, and canter again before the next.' },
  ],
  cautions: [
    'No loose pole where a horse can step on it and roll it.',
    'Small circles are work: a walk break after each rein.',
  ],
};

/** Common practice, no source: two metres of free track outside the circle at the walls. */
const FREE_TRACK_M = 2;
/** Short poles, passed near their ends: the way round is not much smaller than the circle. */
const SHORT_POLE_M = 2;
const BESIDE_POLE_M = 1;

/** A pole on either side of a circle, and a smaller circle inside that passes both: canter over one, walk over the other. */
export const gaitedCanter: Recipe<Params> = {
  kind: 'gaited-canter',
  guidance: GUIDANCE,
  wishes: ground => {
    const mostM = Math.min(ground.arena.widthM, ground.arena.lengthM) / 2 - FREE_TRACK_M;
    const most = Math.floor((mostM * Math.PI) / middleStrideM(ground, 'canter', 'poles')) - 1;
    return countsDown(Math.min(10, most), 3).map(strides => ({ strides, radiusM: 0 }));
  },
  place: (ground, params) => circleInMiddle(ground, radiusM(ground, params)),
  layOut: (ground, params) => {
    const circleM = radiusM(ground, params);
    const roundM = SHORT_POLE_M / 2 + BESIDE_POLE_M;
    return {
      items: [poleAt('c1', onCircle(circleM, 0), SHORT_POLE_M), poleAt('c2', onCircle(circleM, Math.PI), SHORT_POLE_M)],
      tracks: [
        trackThrough('circle', 'canter', ['c1', 'c2', 'c1'], { setting: 'poles' }),
        sessionOf('round', 'canter', [
          {
            ...{ kind: 'circle', start: { at: { xM: 0, yM: roundM }, headingRad: 0 }, rein: 'left' },
            ...{ diameterM: 2 * (circleM - roundM), rounds: 1 },
          },
        ]),
      ],
      stages: [
        stage('In walk', 'The middle of each pole', 'sitting', { gait: 'walk' }),
        stage('Canter over one, walk over the other', 'Walk before you must', 'sitting'),
        stage('Canter over both', 'Count the half circle aloud', 'half-seat'),
      ],
      stand: { xM: 0, yM: circleM },
      facts: [
        { what: 'radius', horse: null, lengthM: circleM },
        { what: 'round each half', horse: null, lengthM: circleM * Math.PI },
        { what: 'radius of the way round', horse: null, lengthM: circleM - roundM },
      ],
    };
  },
  typed: (params, _, groundM) => ({ ...params, radiusM: groundM / Math.PI }),
};

function radiusM(ground: Parameters<Recipe<Params>['layOut']>[0], { strides, radiusM: typedM }: Params): number {
  if (typedM > 0) return typedM;
  return ((strides + 1) * middleStrideM(ground, 'canter', 'poles')) / Math.PI;
}
