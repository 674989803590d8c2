import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import { circleInMiddle } from './singleCanterPole';
import {
  countsDown,
  fenceAt,
  middleStrideM,
  onCircle,
  poleAt,
  stage,
  trackThrough,
  usualHeights,
  type Heights,
} from './parts';

/** `radiusM`: of the circle where it is typed; 0 for what the count wants. Heights are those of fences. */
type Params = Heights & { strides: number; radiusM: number };

const POLES: Guidance = {
  title: 'Two poles on a circle',
  purposes: ['rhythm', 'suppleness', 'accuracy'],
  level: 'green',
  knowFirst: ['One canter pole on a circle'],
  repetitions: { eachRein: 4, stop: { when: 'first clear improvement' } },
  failure: 'same question again',
  watchHorse: ['The same count on both halves', 'The lead is kept over the poles'],
  watchRider: ['The circle stays round behind the pole', 'Looks a quarter of the circle ahead'],
  stand: 'In the middle of the circle.',
  faults: [
    { fault: 'One half takes a stride more', remedy: 'Put cones at the quarter points and ride outside them.' },
    { fault: 'The lead changes', remedy: 'Back to trot, and canter from the circle.' },
  ],
  cautions: [],
};

const FENCES: Guidance = {
  ...POLES,
  title: 'Two fences on a circle',
  level: 'novice',
  knowFirst: ['Two poles on a circle'],
  failure: 'a stage down',
  cautions: ['Somebody is on the ground whenever fences are jumped.'],
};

/** Common practice, no source: a 20 m circle at the most. */
const WIDEST_RADIUS_M = 10;

const gaitOf = (over: 'poles' | 'fences') => (over === 'poles' ? ('canter' as const) : ('course-canter' as const));
const settingOf = (over: 'poles' | 'fences') => (over === 'poles' ? ('poles' as const) : ('course' as const));

function radiusM(ground: ExerciseGround, over: 'poles' | 'fences', { strides, radiusM: typedM }: Params): number {
  if (typedM > 0) return typedM;
  return ((strides + 1) * middleStrideM(ground, gaitOf(over), settingOf(over))) / Math.PI;
}

function recipe(over: 'poles' | 'fences'): Recipe<Params> {
  return {
    kind: over === 'poles' ? 'two-poles-on-circle' : 'two-fences-on-circle',
    guidance: over === 'poles' ? POLES : FENCES,
    wishes: ground => {
      const mostM = Math.min(WIDEST_RADIUS_M, ground.arena.widthM / 2, ground.arena.lengthM / 2);
      const most = Math.floor((Math.PI * mostM) / middleStrideM(ground, gaitOf(over), settingOf(over)) + 1e-9) - 1;
      return countsDown(most, most - 2).map(strides => ({ strides, radiusM: 0, ...usualHeights(ground) }));
    },
    place: (ground, params) => circleInMiddle(ground, radiusM(ground, over, params)),
    layOut: (ground, params) => {
      const circleM = radiusM(ground, over, params);
      const { heightM } = params;
      const poses = [onCircle(circleM, 0), onCircle(circleM, Math.PI)];
      const items = poses.map((pose, index) =>
        over === 'poles' ? poleAt(`c${index + 1}`, pose) : fenceAt(`c${index + 1}`, 'vertical', pose, { heightM }),
      );
      const legs = { setting: settingOf(over), asked: params.strides };
      const counted = [params.strides, params.strides];
      const rides = stage(`In ${params.strides} on both halves`, 'The same count on both halves', 'half-seat', {
        asked: counted,
      });
      return {
        items,
        tracks: [trackThrough('circle', gaitOf(over), ['c1', 'c2', 'c1'], legs, FENCES.repetitions.eachRein)],
        stages:
          over === 'poles'
            ? [stage('In trot', 'A round circle', 'rising', { gait: 'trot', asked: [null, null] }), rides]
            : [
                stage('As poles', 'A round circle', 'half-seat', { set: { asPoles: 'all' }, asked: [null, null] }),
                stage('Cross-rails', 'Over the middle', 'half-seat', { set: { form: 'cross-rail' }, asked: counted }),
                rides,
              ],
        stand: { xM: 0, yM: circleM },
        facts: [
          { what: 'straight across from one to the other', horse: null, lengthM: 2 * circleM },
          { what: 'round each half', horse: null, lengthM: Math.PI * circleM },
        ],
      };
    },
    typed: (params, _, groundM) => ({ ...params, radiusM: groundM / Math.PI }),
  };
}

export const twoPolesOnCircle = recipe('poles');
export const twoFencesOnCircle = recipe('fences');
