import { wallPose } from '../../figures/figurePlaces';
import type { Pose } from '../../geometry/pose';
import type { ExerciseGround, ExerciseParams } from '../exercise';
import { ARRIVES_ANYWHERE, placePose } from '../figureLetters';
import { atFarEnd, flatGuidance, flatRecipe, middleOfCircle } from './flatRecipe';
import { alongLongSide, middleOfShortSide, stage } from './parts';

const UP_RAD = Math.PI / 2;
/** Common practice, no source: a slope of about 32° is forwards enough to learn on. */
const AHEAD_PER_ASIDE = 1.6;

/** On a line so far in from the right wall, riding up the arena. */
const onLineIn = ({ arena }: ExerciseGround, insetM: number, yM: number): Pose => ({
  at: { xM: arena.widthM - insetM, yM },
  headingRad: UP_RAD,
});

/** Where a sideways line begins, riding up, and how far ahead and aside it goes, metres. */
type SidewaysLine = { start: Pose; aheadM: number; asideM: number };
type AskedLine = { asideM: number; aheadM: number } & ExerciseParams;

const word = (value: ExerciseParams[string] | undefined): string => (typeof value === 'string' ? value : '');

/** How far in from the long side a line or a letter lies, metres; null for none of those. */
function acrossM({ arena }: ExerciseGround, name: string): number | null {
  if (name === 'quarter line') return arena.widthM / 4;
  return name === 'centre line' ? arena.widthM / 2 : null;
}

/** From a line or a letter to a letter of the right-hand wall; what no letter says is as far as was asked. */
function yieldToWall(ground: ExerciseGround, params: AskedLine): SidewaysLine {
  const { widthM, lengthM } = ground.arena;
  const [from, arrives] = [word(params.from), word(params.arrives)];
  const leaves = placePose(ground.arena, from)?.at ?? null;
  const asideM = leaves ? widthM - leaves.xM : (acrossM(ground, from) ?? params.asideM);
  const arriveM = placePose(ground.arena, arrives.slice(0, 1))?.at.yM ?? null;
  if (leaves) {
    const aheadM = arriveM === null ? params.aheadM : arriveM - leaves.yM;
    if (aheadM <= 0) throw new RangeError(`a sideways line from ${from} does not come to ${arrives} going forwards`);
    return { start: onLineIn(ground, asideM, leaves.yM), aheadM, asideM };
  }
  const startM = arriveM === null ? Math.max(2 * STRAIGHT_M, (lengthM - params.aheadM) / 2) : arriveM - params.aheadM;
  return { start: onLineIn(ground, asideM, Math.max(0.5, startM)), aheadM: params.aheadM, asideM };
}

/** From a letter of the right-hand wall to a line or a letter; what no letter says is as far as was asked. */
function passFromWall(ground: ExerciseGround, params: AskedLine): SidewaysLine {
  const [from, to] = [word(params.from), word(params.to)];
  const leaves = placePose(ground.arena, from);
  const arrives = placePose(ground.arena, to)?.at ?? null;
  const asideM = arrives ? ground.arena.widthM - arrives.xM : (acrossM(ground, to) ?? params.asideM);
  const start = leaves ?? alongLongSide(ground, params.aheadM);
  if (!arrives) return { start, aheadM: params.aheadM, asideM };
  const aheadM = leaves ? arrives.yM - leaves.at.yM : params.aheadM;
  if (aheadM <= 0) throw new RangeError(`a sideways line from ${from} does not come to ${to} going forwards`);
  return { start: leaves ?? onLineIn(ground, 0, arrives.yM - aheadM), aheadM, asideM };
}

/** So far straight before it goes aside, metres. */
const STRAIGHT_M = 6;

export const legYield = flatRecipe({
  kind: 'leg-yield',
  guidance: flatGuidance({
    title: 'Leg-yield to the rail',
    purposes: ['obedience', 'suppleness'],
    level: 'green',
    knowFirst: ['Turn on the forehand', 'Straight on the quarter line'],
    watchHorse: ['Parallel to the wall', 'The hind legs cross, the rhythm stays', 'Arrives at the letter'],
    watchRider: ['Sits over the horse, does not lean', 'The outside rein keeps the shoulder'],
    faults: [
      { fault: 'The shoulder leads', remedy: 'Straighten for two steps, then go on.' },
      { fault: 'It slows down', remedy: 'Less aside, more ahead: arrive farther on.' },
    ],
    stand: 'At the end of the quarter line, to see that it stays parallel.',
  }),
  gait: 'trot',
  wishes: ground => [
    {
      ...{ asideM: ground.arena.widthM / 4, aheadM: (AHEAD_PER_ASIDE * ground.arena.widthM) / 4 },
      arrives: ground.arena.letters === 'none' ? ARRIVES_ANYWHERE : 'B or E',
    },
  ],
  standAt: ground => atFarEnd(ground, 0.75),
  figures: (ground, params) => {
    const { start, aheadM, asideM } = yieldToWall(ground, params);
    const straightM = Math.min(STRAIGHT_M, start.at.yM - 0.5);
    const begin: Pose = { ...start, at: { xM: start.at.xM, yM: start.at.yM - straightM } };
    const line = {
      ...({ kind: 'sideways', start, rein: 'left', movement: 'leg-yield', towards: 'right' } as const),
      ...{ aheadM, asideM },
    };
    return straightM < 0.5 ? [line] : [{ kind: 'straight', start: begin, rein: 'left', lengthM: straightM }, line];
  },
  stages: () => [
    stage('In walk', 'One step over, one step on', 'sitting', { gait: 'walk' }),
    stage('In trot', 'Arrive at the letter', 'rising'),
  ],
});

export const halfPass = flatRecipe({
  kind: 'half-pass',
  guidance: flatGuidance({
    title: 'Half-pass away from the rail',
    purposes: ['obedience', 'suppleness', 'adjustability'],
    level: 'advanced',
    knowFirst: ['Leg-yield', 'Shoulder-in', 'Travers'],
    watchHorse: ['Bent the way it goes', 'The shoulders a little ahead'],
    watchRider: ['Looks where it goes', 'Inside seat bone, outside leg'],
    faults: [{ fault: 'The quarters lead', remedy: 'Begin from shoulder-in, and lose the bend last.' }],
    stand: 'At the end of the line.',
  }),
  gait: 'trot',
  wishes: ground => [{ asideM: ground.arena.widthM / 4, aheadM: (AHEAD_PER_ASIDE * ground.arena.widthM) / 4 }],
  standAt: (ground, params) => {
    const { start, aheadM, asideM } = passFromWall(ground, params);
    return { xM: start.at.xM - asideM, yM: Math.min(ground.arena.lengthM - 2, start.at.yM + aheadM + 4) };
  },
  figures: (ground, params) => [
    {
      ...({ kind: 'sideways', rein: 'left', movement: 'half-pass', towards: 'left' } as const),
      ...passFromWall(ground, params),
    },
  ],
  stages: () => [
    stage('In walk', 'Bend, then aside', 'sitting', { gait: 'walk' }),
    stage('In trot', 'Forwards first', 'sitting'),
  ],
});

export const shoulderIn = flatRecipe({
  kind: 'shoulder-in',
  guidance: flatGuidance({
    title: 'Shoulder-in along the rail',
    purposes: ['suppleness', 'obedience', 'straightness'],
    level: 'novice',
    knowFirst: ['A 10 m circle', 'Leg-yield'],
    watchHorse: ['Three tracks, about 30° to the wall', 'Straight again after each'],
    watchRider: ['Inside leg to outside rein', 'Turns the shoulders, not the neck'],
    faults: [
      { fault: 'Only the neck comes in', remedy: 'Out of a 10 m circle, with the outside rein.' },
      { fault: 'The quarters fall out', remedy: 'Fewer steps, and ride straight on.' },
    ],
    stand: 'On the track at the end of the long side, out of the way in time.',
  }),
  gait: 'trot',
  wishes: ({ arena }) => [{ movement: 'shoulder-in', lengthM: arena.lengthM - 16 }],
  standAt: ({ arena }) => ({ xM: arena.widthM - 1, yM: arena.lengthM - 3 }),
  figures: (ground, { movement, lengthM }) => [
    {
      figure: {
        kind: 'straight',
        start: alongLongSide(ground, lengthM),
        rein: 'left',
        lengthM,
      },
      gait: null,
      parts: [{ fromM: lengthM * 0.2, toM: lengthM * 0.8, sideways: onThreeTracks(movement) }],
    },
  ],
  stages: () => [
    stage('In walk', 'Shoulders in, then straight', 'sitting', { gait: 'walk' }),
    stage('In trot', 'The rhythm of the straight', 'sitting'),
  ],
});

const THREE_TRACKS = ['shoulder-in', 'counter-shoulder-in', 'travers', 'renvers'] as const;

function onThreeTracks(name: string): (typeof THREE_TRACKS)[number] {
  return THREE_TRACKS.find(movement => movement === name) ?? 'shoulder-in';
}

export const counterBend = flatRecipe({
  kind: 'counter-bend',
  guidance: flatGuidance({
    title: 'A few strides of counter-bend on a circle',
    purposes: ['suppleness', 'obedience'],
    level: 'novice',
    knowFirst: ['A 20 m circle in balance'],
    watchHorse: ['Stays on the circle while the bend changes', 'Takes the outside rein afterwards'],
    watchRider: ['Asks for little, and for a few strides'],
    faults: [{ fault: 'It falls in', remedy: 'Fewer strides, on a larger circle.' }],
    stand: 'In the middle of the circle.',
  }),
  gait: 'trot',
  wishes: ground => [{ diameterM: Math.min(20, ground.arena.widthM), forM: 10 }],
  standAt: (ground, { diameterM }) => middleOfCircle(ground, diameterM),
  figures: (ground, { diameterM, forM }) => [
    {
      figure: {
        kind: 'circle',
        start: middleOfShortSide(ground),
        rein: 'left',
        diameterM,
        rounds: 2,
      },
      gait: null,
      parts: [1, 3].map(quarter => ({
        fromM: (Math.PI * diameterM * quarter) / 2,
        toM: (Math.PI * diameterM * quarter) / 2 + forM,
        counterBend: true,
      })),
    },
  ],
  stages: () => [stage('In trot', 'A little, and soon back', 'rising')],
});

export const railTurnback = flatRecipe({
  kind: 'rail-turnback',
  guidance: flatGuidance({
    title: 'The rail turnback',
    purposes: ['obedience', 'suppleness', 'footwork'],
    level: 'novice',
    knowFirst: ['Turn on the haunches', 'Leg-yield in walk', 'Counter shoulder-in'],
    repetitions: { eachRein: 3, stop: { when: 'minutes', minutes: 10 } },
    failure: 'stop, back up, restart',
    watchHorse: ['Crosses in front without stepping back', 'Walks on at once'],
    watchRider: ['Opens the way with the rein, shuts the other with the leg'],
    faults: [{ fault: 'It steps back in the turn', remedy: 'A larger turn, with a step forward in it.' }],
    cautions: ['Kept short: under ten minutes.'],
    stand: 'Well inside, where both triangles are seen.',
  }),
  gait: 'walk',
  wishes: () => [{ alongM: 6, offM: 3, asideM: 2 }],
  standAt: ({ arena }) => ({ xM: arena.widthM - 9, yM: arena.lengthM / 2 }),
  figures: ({ arena }, { alongM, offM, asideM }) => [
    {
      kind: 'rail-turnback',
      start: wallPose(arena, 'right', arena.lengthM / 2 - alongM, 'left'),
      rein: 'left',
      alongM,
      offM,
      asideM,
    },
  ],
  stages: () => [stage('In walk', 'Two triangles, tip to tip', 'sitting')],
});
