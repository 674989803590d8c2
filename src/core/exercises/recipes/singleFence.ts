import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import {
  ahead,
  fenceAt,
  groundFor,
  lowHeightM,
  middleStrideM,
  poleAt,
  quarterLine,
  stage,
  trackThrough,
} from './parts';
import { LANDING_SHARE } from './grid';

type Params = { placingPole: boolean; landingPole: boolean };

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
  wishes: () => [{ placingPole: true, landingPole: true }],
  place: ground => quarterLine(ground, placingM(ground) + landingM(ground)),
  layOut: (ground, { placingPole, landingPole }) => {
    const inM = placingM(ground);
    const outM = inM + landingM(ground);
    const fence = fenceAt('fence', 'vertical', ahead(inM), {
      heightM: lowHeightM(ground),
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
      tracks: [trackThrough('fence', 'course-canter', order, { setting: 'grid' }, 5)],
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
};

function placingM(ground: ExerciseGround): number {
  const fence = fenceAt('f', 'vertical', ahead(0), {});
  return groundFor(ground, 0, { gait: 'course-canter', setting: 'grid', from: poleAt('p', ahead(0)), to: fence });
}

function landingM(ground: ExerciseGround): number {
  return LANDING_SHARE * middleStrideM(ground, 'course-canter', 'grid');
}
