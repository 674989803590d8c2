import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import {
  ahead,
  fenceAt,
  groundFor,
  middleStrideM,
  poleAt,
  quarterLine,
  stage,
  trackThrough,
  usualHeights,
  type Heights,
} from './parts';
import { LANDING_SHARE } from './grid';

/** `placingM`, `landingM`: from pole to fence and on to the pole behind it where they are typed, else 0. */
type Params = Heights & { placingPole: boolean; placingM: number; landingPole: boolean; landingM: number };

const GUIDANCE: Guidance = {
  title: 'A single fence with ground line and landing pole',
  purposes: ['confidence', 'footwork', 'rhythm'],
  level: 'green',
  knowFirst: ['Canter poles', 'Trot to a pole between stands'],
  repetitions: { eachRein: 5, stop: { when: 'repetitions' } },
  failure: 'a stage down',
  watchHorse: ['Take-off neither deep nor long', 'Lands about 2 m behind, and goes on from there', 'Landing lead'],
  watchRider: ['Waits for the fence', 'Hands go forward, elbows stay'],
  stand: 'Side-on, to see take-off and landing.',
  faults: [
    { fault: 'It lands close', remedy: 'The landing pole stays at 3 m, then rolls out a little each pass.' },
    { fault: 'It takes off deep', remedy: 'The placing pole and a rounder canter; look at the ground line.' },
  ],
  cautions: [
    'A ground line behind the front is false: nobody rides at it.',
    'Somebody is on the ground whenever fences are jumped.',
    'Empty cups off the stands.',
  ],
};

/** Common practice, no source: a ground line lies 0.2 to 0.4 m out before a vertical. */
const GROUND_LINE_M = 0.3;

/** One fence: a placing pole before it, its ground line out, a landing pole behind. */
export const singleFence: Recipe<Params> = {
  kind: 'single-fence',
  guidance: GUIDANCE,
  wishes: ground => [{ placingPole: true, placingM: 0, landingPole: true, landingM: 0, ...usualHeights(ground) }],
  place: (ground, params) => quarterLine(ground, placingM(ground, params) + landingM(ground, params)),
  layOut: (ground, params) => {
    const { placingPole, landingPole, heightM } = params;
    const inM = placingM(ground, params);
    const outM = inM + landingM(ground, params);
    const fence = fenceAt('fence', 'vertical', ahead(inM), {
      heightM,
      groundLineBeforeM: GROUND_LINE_M,
    });
    const items = [
      ...(placingPole ? [poleAt('placing', ahead(0))] : []),
      fence,
      ...(landingPole ? [poleAt('landing', ahead(outM))] : []),
    ];
    const order = items.map(({ id }) => id);
    return {
      items,
      tracks: [trackThrough('fence', 'course-canter', order, { setting: 'grid' }, GUIDANCE.repetitions.eachRein)],
      stages: [
        stage('The pole alone', 'A rhythm that could go on for ever', 'half-seat', {
          set: { only: order.slice(0, 1) },
        }),
        stage('A cross-rail', 'Over the middle', 'half-seat', { set: { form: 'cross-rail' } }),
        stage('A vertical', 'Wait, and let it come up', 'half-seat'),
      ],
      stand: { xM: inM, yM: 6 },
      facts: [
        { what: 'placing pole before the fence', horse: null, lengthM: inM },
        { what: 'ground line before the front', horse: null, lengthM: GROUND_LINE_M },
        { what: 'landing pole behind the fence', horse: null, lengthM: outM - inM },
      ],
    };
  },
  typed: (params, leg, groundM) =>
    leg === 0 && params.placingPole ? { ...params, placingM: groundM } : { ...params, landingM: groundM },
};

function placingM(ground: ExerciseGround, typed: Params): number {
  if (typed.placingM > 0) return typed.placingM;
  const fence = fenceAt('f', 'vertical', ahead(0), {});
  return groundFor(ground, 0, { gait: 'course-canter', setting: 'grid', from: poleAt('p', ahead(0)), to: fence });
}

function landingM(ground: ExerciseGround, typed: Params): number {
  if (typed.landingM > 0) return typed.landingM;
  return LANDING_SHARE * middleStrideM(ground, 'course-canter', 'grid');
}
