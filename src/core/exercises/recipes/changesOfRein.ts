import {
  changeBetween,
  changeOfRein,
  CHANGES_OF_REIN,
  wallPose,
  type ChangeOfReinWay,
} from '../../figures/figurePlaces';
import type { ExerciseGround, ExerciseParams } from '../exercise';
import { placeMoved, poseInFrame } from '../../geometry/frame';
import { BY_LENGTH, placePose, USUAL_PLACE } from '../figureLetters';
import { atFarEnd, flatGuidance, flatRecipe } from './flatRecipe';
import { alongLongSide, ON_THE_SAND, stage, turnRadiusM } from './parts';
import type { Figure } from '../../figures/figure';

function wayOf(name: string): ChangeOfReinWay {
  return CHANGES_OF_REIN.find(way => way === name) ?? 'diagonal';
}

/**
 * Between its letters where both were chosen; from its first letter where one was, as far as the way goes.
 * @throws {RangeError} letters that the arena does not have
 */
export function changeAsked(
  { arena }: ExerciseGround,
  way: ChangeOfReinWay,
  { from, to, radiusM }: { radiusM: number } & ExerciseParams,
): Figure {
  const usual = changeOfRein(arena, way, 'left', radiusM);
  if (usual.kind !== 'change-rein' || typeof from !== 'string' || from === USUAL_PLACE) return usual;
  if (typeof to === 'string' && to !== BY_LENGTH) {
    const lettered = changeBetween(arena, { from, to }, 'left', radiusM);
    if (!lettered) throw new RangeError(`a change of rein from ${from} to ${to} in an arena without them`);
    return lettered;
  }
  const start = placePose(arena, from);
  if (!start) throw new RangeError(`a change of rein from ${from} in an arena without it`);
  const carried = placeMoved(ON_THE_SAND, usual.start, start);
  return { ...usual, start, end: poseInFrame(carried, usual.end) };
}

export const changeRein = flatRecipe({
  kind: 'change-rein',
  guidance: flatGuidance({
    title: 'A change of rein',
    purposes: ['straightness', 'accuracy'],
    level: 'green',
    knowFirst: ['Corners on both reins'],
    watchHorse: ['Straight from letter to letter', 'New bend before the next corner'],
    watchRider: ['Eyes on the letter', 'Changes diagonal where the bend changes'],
    faults: [{ fault: 'It wanders on the line', remedy: 'Ride forward to the letter; a guide to each side.' }],
    stand: 'At the end of the line.',
  }),
  gait: 'trot',
  wishes: () => ['diagonal', 'centre-line', 'across'].map(way => ({ way, radiusM: 6 })),
  // Across the diagonal and along the centre line one ends at the far short side; across the arena at its left side.
  standAt: (ground, { way }) =>
    way === 'across'
      ? { xM: 1.2, yM: ground.arena.lengthM / 2 - 3 }
      : atFarEnd(ground, way === 'centre-line' ? 0.5 : 0.12),
  figures: (ground, params) => [changeAsked(ground, wayOf(params.way), params)],
  stages: () => [stage('In trot', 'Straight from letter to letter', 'rising')],
});

/** Common practice, no source: the radius of a corner shows the level. */
const CORNER_M = { green: 6, novice: 5, advanced: 3 } as const;

function cornerM({ horses }: ExerciseGround): number {
  return Math.max(...horses.map(({ level }) => CORNER_M[level]));
}

export const corners = flatRecipe({
  kind: 'corners',
  guidance: flatGuidance({
    title: 'Corners',
    purposes: ['suppleness', 'obedience', 'accuracy'],
    level: 'green',
    knowFirst: ['Circles of twice the radius of the corner'],
    watchHorse: ['A quarter of a circle, not a cut', 'The rhythm of the long side'],
    watchRider: ['Half-halt before, look through the corner'],
    faults: [{ fault: 'It leans in', remedy: 'A larger radius; a few steps of shoulder-in before it.' }],
    repetitions: { eachRein: 4, stop: { when: 'minutes', minutes: 5 } },
    stand: 'Inside the corner that goes worst.',
  }),
  gait: 'trot',
  wishes: ground => [{ radiusM: cornerM(ground) }],
  standAt: ({ arena }, { radiusM }) => ({ xM: arena.widthM - radiusM - 2, yM: arena.lengthM - radiusM - 2 }),
  figures: ({ arena }, { radiusM }) => [
    {
      kind: 'round-arena',
      start: wallPose(arena, 'right', arena.lengthM / 2, 'left'),
      rein: 'left',
      cornerRadiusM: radiusM,
      rounds: 2,
    },
  ],
  stages: () => [
    stage('In walk', 'Four quarters of a circle', 'rising', { gait: 'walk' }),
    stage('In trot', 'The rhythm of the long side', 'rising'),
  ],
});

export const lengthening = flatRecipe({
  kind: 'lengthen-and-shorten',
  guidance: flatGuidance({
    title: 'Longer and shorter strides on the long side',
    purposes: ['adjustability', 'rhythm'],
    level: 'novice',
    knowFirst: ['A stride test at normal, short and long'],
    watchHorse: ['Fewer strides, not quicker ones', 'Comes back without hollowing'],
    watchRider: ['Counts before and after', 'Asks behind the corner, not in it'],
    faults: [{ fault: 'It hurries', remedy: 'Shorter stretches: four strides long, four normal.' }],
    stand: 'Side-on, at the middle of the long side, to count.',
  }),
  gait: 'canter',
  wishes: ground => [{ lengthM: ground.arena.lengthM - 2 * Math.max(6, turnRadiusM(ground, 'canter')) }],
  standAt: ({ arena }) => ({ xM: arena.widthM * 0.4, yM: arena.lengthM / 2 }),
  figures: (ground, { lengthM }) => [
    {
      figure: {
        kind: 'straight',
        start: alongLongSide(ground, lengthM),
        rein: 'left',
        lengthM,
      },
      gait: null,
      parts: [
        { fromM: 0, toM: lengthM * 0.6, pace: 'long' },
        { fromM: lengthM * 0.6, toM: lengthM, pace: 'short' },
      ],
    },
  ],
  cones: ({ arena }, { lengthM }) => [
    { xM: arena.widthM - 2, yM: (arena.lengthM - lengthM) / 2 },
    { xM: arena.widthM - 2, yM: (arena.lengthM - lengthM) / 2 + lengthM * 0.6 },
  ],
  stages: () => [
    stage('In trot', 'Longer, then shorter', 'rising', { gait: 'trot' }),
    stage('In canter', 'Ten long ones, then collect them', 'half-seat'),
  ],
});
