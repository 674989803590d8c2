import type { Pose } from '../../geometry/pose';
import type { ExerciseGround, Guidance, LaidExercise, Recipe } from '../exercise';
import { fenceAt, groundFor, onCircle, ahead, stage, trackThrough, usualHeights, type Heights } from './parts';

/** `spacingM`: from one fence to the next along the track where it is typed; 0 for what the horses want. */
type Params = Heights & { fences: number; radiusM: number; spacingM: number; widthM: number; filler: boolean };

const BEND: Guidance = {
  title: 'Fences on a bend',
  purposes: ['suppleness', 'footwork', 'rhythm'],
  level: 'novice',
  knowFirst: ['A fan of poles', 'A single cross-rail on both reins'],
  repetitions: { eachRein: 5, stop: { when: 'repetitions' } },
  failure: 'lower only what failed',
  watchHorse: ['One stride in every gap', 'Lands on the inside lead', 'Stays on the middle of each fence'],
  watchRider: ['Looks round the bend, not at the rail', 'Inside rein no stronger than the outside one'],
  stand: 'In the middle of the circle.',
  faults: [
    {
      fault: 'It drifts to the outside stands',
      remedy: 'The gaps grow there by nearly a quarter stride: guides outside.',
    },
    { fault: 'One fence keeps failing', remedy: 'That fence alone goes back to a pole.' },
    { fault: 'It lands on the outside lead', remedy: 'Back to poles, and ask for the bend before the first.' },
  ],
  cautions: [
    'Not every day: five passes each way on poles and five raised are enough.',
    'Somebody is on the ground whenever fences are jumped.',
  ],
};

const BOUNCES: Guidance = {
  ...BEND,
  title: 'Bounces on a bend',
  level: 'advanced',
  knowFirst: ['Fences on a bend', 'Two bounces on a straight line'],
  repetitions: { eachRein: 2, stop: { when: 'repetitions' } },
  failure: 'a stage down',
  watchHorse: [
    'Lands on the inside lead',
    'Sees any filler on the first, straighter way in',
    'Folds alike on both sides',
  ],
  faults: [
    { fault: 'It puts in a step', remedy: 'Close the gaps by 10 cm, or take the middle one out.' },
    ...BEND.faults.slice(2),
  ],
};

/** Common practice, no source: on the arc of a 20 m circle. */
const RADIUS_M = 10;

/** How far round the circle each gap takes, by the setting grid: one stride, or none. */
function gapRad(ground: ExerciseGround, strides: number, { radiusM, spacingM }: Params): number {
  if (spacingM > 0) return spacingM / radiusM;
  const fence = fenceAt('f', 'vertical', ahead(0), {});
  return groundFor(ground, strides, { gait: 'course-canter', setting: 'grid', from: fence, to: fence }) / radiusM;
}

/** The bend lies across the centre line, at the far end of a circle in the middle of the arena. */
function place({ arena }: ExerciseGround, { radiusM }: Params): Pose {
  return { at: { xM: arena.widthM / 2, yM: arena.lengthM / 2 + radiusM }, headingRad: Math.PI };
}

function layOut(ground: ExerciseGround, strides: number, times: number, params: Params): LaidExercise {
  const gap = gapRad(ground, strides, params);
  const items = Array.from({ length: params.fences }, (_, index) =>
    fenceAt(`b${index + 1}`, 'vertical', onCircle(params.radiusM, (index - (params.fences - 1) / 2) * gap), {
      heightM: params.heightM,
      widthM: params.widthM,
      filler: params.filler,
    }),
  );
  const ids = items.map(({ id }) => id);
  // Round the far side of the circle and back to the first.
  const back = { track: { via: { xM: 0, yM: 2 * params.radiusM } }, setting: 'course' as const };
  const legs = [...ids.slice(1).map(() => ({ setting: 'grid' as const, asked: strides })), back];
  return {
    items,
    tracks: [trackThrough('bend', 'course-canter', [...ids, ids[0]!], legs, times)],
    stages: strides === 0 ? bounceStages() : bendStages(ids),
    stand: { xM: 0, yM: params.radiusM },
    facts: [
      { what: 'along the track from one to the next', horse: null, lengthM: gap * params.radiusM },
      { what: 'straight from one to the next', horse: null, lengthM: 2 * params.radiusM * Math.sin(gap / 2) },
      { what: 'at the inside stands', horse: null, lengthM: gap * (params.radiusM - params.widthM / 2) },
      { what: 'at the outside stands', horse: null, lengthM: gap * (params.radiusM + params.widthM / 2) },
      { what: 'radius', horse: null, lengthM: params.radiusM },
    ],
  };
}

function bendStages(ids: readonly string[]) {
  const first = ids.filter((_, index) => index % 2 === 0);
  const asPoles = { asPoles: 'all' as const };
  return [
    stage('All poles on the ground, in trot', 'Ride the curve', 'rising', {
      gait: 'trot',
      set: asPoles,
      asked: ids.map(() => null),
    }),
    stage('Every second one a cross-rail', 'The rhythm stays', 'half-seat', {
      set: { asPoles: first, form: 'cross-rail' },
    }),
    stage('All cross-rails', 'Over every middle', 'half-seat', { set: { form: 'cross-rail' } }),
    stage('Verticals', 'Look round the bend', 'half-seat'),
  ];
}

function bounceStages() {
  return [
    stage('Poles on the ground', 'The same rhythm in and out', 'half-seat', { set: { asPoles: 'all' } }),
    stage('Cross-rails, straighter in', 'Let it see all of them', 'half-seat', { set: { form: 'cross-rail' } }),
    stage('Verticals, a rounder way in', 'Stay in the middle of the movement', 'half-seat'),
  ];
}

function recipe(kind: string, guidance: Guidance, strides: number, fences: readonly number[]): Recipe<Params> {
  return {
    kind,
    guidance,
    wishes: ground =>
      fences.flatMap(count =>
        [3, 2.5].map(widthM => ({
          ...{ fences: count, radiusM: RADIUS_M, spacingM: 0, widthM, filler: false },
          ...usualHeights(ground),
        })),
      ),
    place,
    layOut: (ground, params) => layOut(ground, strides, guidance.repetitions.eachRein, params),
    // The way round and back to the first follows from the circle.
    typed: (params, leg, groundM) => (leg < params.fences - 1 ? { ...params, spacingM: groundM } : null),
    oneMore: params => ({ ...params, fences: params.fences + 1 }),
  };
}

export const fencesOnBend = recipe('fences-on-bend', BEND, 1, [4, 3, 2]);
export const bouncesOnBend = recipe('bounces-on-bend', BOUNCES, 0, [4, 3, 2]);
