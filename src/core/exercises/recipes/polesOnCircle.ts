import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import { circleInMiddle } from './singleCanterPole';
import { countsDown, middleStrideM, onCircle, poleAt, stage, trackThrough } from './parts';

/**
 * Four poles at the quarter points, by the whole strides of a quarter, or by what is taped: the chord between
 * neighbours, or straight across the middle. The one that is not 0 is used.
 */
type Params = { strides: number; chordM: number; acrossM: number };

const GUIDANCE: Guidance = {
  title: 'Four poles on a circle',
  purposes: ['suppleness', 'adjustability', 'rhythm'],
  level: 'novice',
  knowFirst: ['One canter pole on a circle'],
  repetitions: { eachRein: 4, stop: { when: 'first clear improvement' } },
  failure: 'a gait down',
  watchHorse: ['The same count in every quarter', 'It bends round the circle and does not fall in'],
  watchRider: ['Looks to the next pole over the one before', 'Outside rein and leg hold the circle'],
  stand: 'In the middle of the circle.',
  faults: [
    { fault: 'One quarter takes a stride more', remedy: 'That is where it falls in: ride the middle of that pole.' },
    { fault: 'It falls to trot', remedy: 'Trot the circle, and canter between two poles only.' },
  ],
  cautions: ['Small circles are work: a walk break after each rein.'],
};

/** Common practice, no source: two metres of free track outside the circle at the walls. */
const FREE_TRACK_M = 2;

export const polesOnCircle: Recipe<Params> = {
  kind: 'poles-on-circle',
  guidance: GUIDANCE,
  wishes: ground => {
    const mostM = Math.min(ground.arena.widthM, ground.arena.lengthM) / 2 - FREE_TRACK_M;
    const most = Math.floor((mostM * Math.PI) / 2 / middleStrideM(ground, 'canter', 'poles')) - 1;
    return countsDown(Math.min(3, most), 1).map(strides => ({ strides, chordM: 0, acrossM: 0 }));
  },
  place: (ground, params) => circleInMiddle(ground, radiusM(ground, params)),
  layOut: (ground, params) => {
    const circleM = radiusM(ground, params);
    const poles = [0, 1, 2, 3].map(quarter => poleAt(`q${quarter + 1}`, onCircle(circleM, (quarter * Math.PI) / 2)));
    const order = [...poles.map(({ id }) => id), 'q1'];
    const { strides } = params;
    const inEach = (count: number) => order.slice(1).map(() => count);
    const counted = strides > 0 ? inEach(strides) : null;
    return {
      items: poles,
      tracks: [trackThrough('circle', 'canter', order, { setting: 'poles' })],
      stages: [
        stage('In trot', 'The middle of each pole', 'rising', { gait: 'trot' }),
        stage('In canter', 'The same count in each quarter', 'half-seat', { asked: counted }),
      ],
      stand: { xM: 0, yM: circleM },
      facts: [
        { what: 'chord between neighbours', horse: null, lengthM: circleM * Math.SQRT2 },
        { what: 'straight across the middle', horse: null, lengthM: 2 * circleM },
        { what: 'radius', horse: null, lengthM: circleM },
        { what: 'round each quarter', horse: null, lengthM: (circleM * Math.PI) / 2 },
      ],
    };
  },
  typed: (params, _, groundM) => ({ ...params, chordM: ((groundM * 2) / Math.PI) * Math.SQRT2, acrossM: 0 }),
};

function radiusM(ground: ExerciseGround, { strides, chordM, acrossM }: Params): number {
  if (chordM > 0) return chordM / Math.SQRT2;
  if (acrossM > 0) return acrossM / 2;
  return ((strides + 1) * middleStrideM(ground, 'canter', 'poles') * 2) / Math.PI;
}
