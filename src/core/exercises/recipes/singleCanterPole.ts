import { countsDown, middleStrideM, onCircle, poleAt, stage, trackThrough } from './parts';
import type { Guidance, Recipe } from '../exercise';

/** `radiusM`: of the circle where it is typed; 0 for what the count wants. */
type Params = { strides: number; radiusM: number };

const GUIDANCE: Guidance = {
  title: 'One canter pole at three stride lengths',
  purposes: ['rhythm', 'adjustability'],
  level: 'green',
  knowFirst: ['Canter on a 20 m circle on both reins', 'A single pole in trot'],
  repetitions: { eachRein: 6, stop: { when: 'first clear improvement' } },
  failure: 'same question again',
  watchHorse: ['The rhythm stays when the stride changes', 'The pole is one stride among others'],
  watchRider: ['The body does not go ahead of the horse over the pole', 'The count is said aloud'],
  stand: 'In the middle of the circle.',
  faults: [
    { fault: 'The horse jumps the pole', remedy: 'Trot it once, then canter on from a circle without it.' },
    { fault: 'The count changes from round to round', remedy: 'Count aloud, and leave the pole alone in mind.' },
  ],
  cautions: [],
};

/** Common practice, no source: as round as the sand lets it be, but never wider than a 19 m circle. */
const WIDEST_RADIUS_M = 9.5;

/** One pole on a circle: a medium, a short, then a long stride in one rhythm, told apart by the count of a round. */
export const singleCanterPole: Recipe<Params> = {
  kind: 'canter-pole-three-strides',
  guidance: GUIDANCE,
  wishes: ground => {
    const mostM = Math.min(WIDEST_RADIUS_M, ground.arena.widthM / 2, ground.arena.lengthM / 2);
    const most = Math.floor((2 * Math.PI * mostM) / middleStrideM(ground, 'canter', 'poles')) - 1;
    return countsDown(most, most - 3).map(strides => ({ strides, radiusM: 0 }));
  },
  place: (ground, params) => circleInMiddle(ground, radiusM(ground, params)),
  layOut: (ground, params) => {
    const circleM = radiusM(ground, params);
    const { strides } = params;
    const round = { setting: 'poles', circle: { rein: 'left', radiusM: circleM } } as const;
    return {
      items: [poleAt('pole', onCircle(circleM, 0))],
      tracks: [trackThrough('round', 'canter', ['pole', 'pole'], { ...round, asked: strides })],
      stages: [
        stage('A medium stride', 'The pole comes in the rhythm you bring', 'half-seat', { asked: [strides] }),
        stage('Two strides more', 'Sit up, wait, and keep the jump in it', 'sitting', { asked: [strides + 2] }),
        stage('One stride fewer', 'Ride on behind the pole, not at it', 'half-seat', { asked: [strides - 1] }),
      ],
      stand: { xM: 0, yM: circleM },
      facts: [{ what: 'radius of the circle', horse: null, lengthM: circleM }],
    };
  },
  typed: (params, _, groundM) => ({ ...params, radiusM: groundM / (2 * Math.PI) }),
};

function radiusM(ground: Parameters<Recipe<Params>['layOut']>[0], { strides, radiusM: typedM }: Params): number {
  if (typedM > 0) return typedM;
  return ((strides + 1) * middleStrideM(ground, 'canter', 'poles')) / (2 * Math.PI);
}

/** A circle in the middle of the arena, entered where it crosses the centre line nearer to the origin. */
export function circleInMiddle({ arena }: Parameters<Recipe<Params>['place']>[0], circleRadiusM: number) {
  return { at: { xM: arena.widthM / 2, yM: arena.lengthM / 2 - circleRadiusM }, headingRad: 0 };
}
