import { wallPose } from '../../figures/figurePlaces';
import type { Figure } from '../../figures/figure';
import type { ExerciseGround, Guidance, Recipe, Seat } from '../exercise';
import { flatGuidance, flatRecipe, haltInMiddle, middleOfCircle } from './flatRecipe';
import { middleOfShortSide, stage } from './parts';

type RiderWork = Pick<Guidance, 'title' | 'level' | 'knowFirst' | 'watchHorse' | 'watchRider' | 'faults'> &
  Partial<Pick<Guidance, 'purposes' | 'stand' | 'cautions'>> & {
    minutes: number;
    /** What is tapped while it is ridden: four at most, so that each has room. */
    marks: readonly [string, string, string, string];
  };

/** The rider's seat, leg or hand as work of its own: so many minutes, and what is watched in the rider under the thumb. */
function riderGuidance({ minutes, marks, ...own }: RiderWork): Guidance {
  return {
    ...flatGuidance({ purposes: ['accuracy', 'rhythm'], ...own }),
    repetitions: { eachRein: 1, stop: { when: 'minutes', minutes } },
    failure: 'a gait down',
    riderMarks: marks,
  };
}

const roundArena = ({ arena }: ExerciseGround, rounds: number): Figure => ({
  ...{ kind: 'round-arena', start: wallPose(arena, 'right', arena.lengthM / 2, 'left'), rein: 'left' },
  // As wide as a green horse carries in canter.
  ...{ cornerRadiusM: 8, rounds },
});

type Rounds = { diameterM: number; rounds: number };

/** Three rounds of the largest circle at A, watched from its middle. */
const threeRounds = {
  wishes: ({ arena }: ExerciseGround) => [{ diameterM: Math.min(20, arena.widthM), rounds: 3 }],
  standAt: (ground: ExerciseGround, { diameterM }: Rounds) => middleOfCircle(ground, diameterM),
  figures: (ground: ExerciseGround, { diameterM, rounds }: Rounds): Figure[] => [
    { kind: 'circle', start: middleOfShortSide(ground), rein: 'left', diameterM, rounds },
  ],
};

/** The same round the arena in each gait, one thing to think of in each. */
const gaitByGait = (focus: readonly [string, string, string], seat: Seat) => () => [
  stage('In walk', focus[0], seat, { gait: 'walk' }),
  stage('In trot', focus[1], seat, { gait: 'trot' }),
  stage('In canter', focus[2], seat, { gait: 'canter' }),
];

const twoPoint = flatRecipe({
  kind: 'rider-two-point',
  guidance: riderGuidance({
    title: 'Two-point, gait by gait',
    level: 'green',
    knowFirst: ['Rising trot on both diagonals'],
    watchHorse: ['Goes on in one rhythm while the rider is out of the saddle'],
    watchRider: ['Weight in the heel, knee and hip closing', 'A hand on the mane before the balance is lost'],
    faults: [{ fault: 'It falls back into the saddle', remedy: 'Shorter stirrups, a hand in the mane, walk first.' }],
    minutes: 6,
    marks: ['sat down', 'upper body ahead', 'heel up', 'leaned on the hands'],
  }),
  gait: 'trot',
  wishes: () => [{ rounds: 2 }],
  figures: (ground, { rounds }) => [roundArena(ground, rounds)],
  stages: gaitByGait(
    ['Fold at the hip, and breathe', 'Let the ankle give', 'Still over the middle of the horse'],
    'half-seat',
  ),
});

const halfSeat = flatRecipe({
  kind: 'rider-half-seat',
  guidance: riderGuidance({
    title: 'Half-seat on a circle',
    level: 'novice',
    knowFirst: ['Two-point round the arena in trot'],
    watchHorse: ['Keeps its bend and does not run'],
    watchRider: ['Just off the saddle, not over the neck', 'Turns from the waist, looks round the circle'],
    faults: [{ fault: 'The hands come up', remedy: 'Knuckles on the neck for a round, then a width above it.' }],
    stand: 'In the middle of the circle.',
    minutes: 6,
    marks: ['sat down', 'upper body ahead', 'eyes late', 'hands up'],
  }),
  gait: 'canter',
  ...threeRounds,
  stages: gaitByGait(
    ['Light, and looking round', 'Up for a half, down for a half', 'Up for the whole round'],
    'half-seat',
  ),
});

const noStirrups = flatRecipe({
  kind: 'rider-no-stirrups',
  guidance: riderGuidance({
    title: 'Without stirrups',
    level: 'novice',
    knowFirst: ['Sitting trot with stirrups', 'A quiet horse that is ridden in already'],
    watchHorse: ['A quiet horse, its back swinging'],
    watchRider: ['Long from the hip, the knee let go', 'A hand on the neck strap whenever it is needed'],
    faults: [{ fault: 'The knee grips', remedy: 'Walk: lift both knees, let them fall, begin again.' }],
    cautions: ['On a quiet horse in a closed arena, with a neck strap; stop before the rider is tired.'],
    minutes: 5,
    marks: ['knee gripped', 'leaned back', 'hands up', 'slid to one side'],
  }),
  gait: 'trot',
  wishes: () => [{ rounds: 2 }],
  figures: (ground, { rounds }) => [roundArena(ground, rounds)],
  stages: gaitByGait(['Legs long and loose', 'Sit into the swing', 'Stay deep through the corner'], 'sitting'),
});

const hands = flatRecipe({
  kind: 'rider-hands',
  guidance: riderGuidance({
    title: 'Hands a hand’s width apart',
    level: 'green',
    knowFirst: ['A contact in walk and trot'],
    watchHorse: ['The mouth is quiet, the poll stays where it is'],
    watchRider: ['About 15 cm apart, thumbs up, elbows by the side', 'Both hands at one height'],
    faults: [{ fault: 'One hand crosses the neck', remedy: 'A whip across both thumbs: it stays level and still.' }],
    minutes: 5,
    marks: ['hands too near', 'hands too wide', 'one hand higher', 'hands moved'],
  }),
  gait: 'trot',
  ...threeRounds,
  stages: gaitByGait(['A level whip', 'Rise without the hands rising', 'Let the elbow follow the head'], 'rising'),
});

const outerRein = flatRecipe({
  kind: 'rider-outer-rein',
  guidance: riderGuidance({
    title: 'The outer rein opened to hold a curve',
    level: 'novice',
    knowFirst: ['A 20 m circle with an even bend'],
    watchHorse: ['Turns from the shoulder, neither falls in nor out'],
    watchRider: ['The outer hand a width to the side, then back', 'The inner hand gives while it does'],
    faults: [
      { fault: 'It falls out over the shoulder', remedy: 'The outer rein against the neck for a step, then again.' },
    ],
    stand: 'In the middle of the circle.',
    minutes: 5,
    marks: ['inside rein too strong', 'outer rein dropped', 'fell out', 'fell in'],
  }),
  gait: 'trot',
  ...threeRounds,
  stages: () => [
    stage('In walk', 'Open, hold, close', 'sitting', { gait: 'walk' }),
    stage('In trot', 'At each quarter of the circle', 'rising', { gait: 'trot' }),
  ],
});

const leg = flatRecipe({
  kind: 'rider-leg',
  guidance: riderGuidance({
    title: 'The lower leg under the body',
    level: 'green',
    knowFirst: ['Rising trot round the arena'],
    watchHorse: ['Answers a light leg'],
    watchRider: ['Ear, hip and heel above each other', 'Two beats up, one down, without the leg swinging'],
    faults: [{ fault: 'The leg swings back', remedy: 'Stand in the stirrups at halt until it stays under the hip.' }],
    minutes: 5,
    marks: ['leg back', 'leg forward', 'heel up', 'knee gripped'],
  }),
  gait: 'trot',
  wishes: () => [{ rounds: 2 }],
  figures: (ground, { rounds }) => [roundArena(ground, rounds)],
  stages: () => [
    stage('In walk', 'Stand, sit, stand', 'rising', { gait: 'walk' }),
    stage('In trot', 'Two up, one down', 'rising', { gait: 'trot' }),
  ],
});

/** Without a figure: on the spot. */
const atHalt = flatRecipe({
  kind: 'rider-at-halt',
  guidance: riderGuidance({
    title: 'Balance at the halt',
    level: 'green',
    knowFirst: ['A horse that stands, with somebody at its head'],
    watchHorse: ['Stands square and quiet, somebody at its head'],
    watchRider: ['Up and down without the hands', 'Eyes closed for three breaths, then open'],
    faults: [{ fault: 'The reins are pulled', remedy: 'Reins on the neck, hands on the thighs.' }],
    stand: 'At the head of the horse.',
    minutes: 3,
    marks: ['sat down', 'leaned on the hands', 'leg back', 'slid to one side'],
  }),
  gait: 'walk',
  wishes: () => [{ seconds: 90 }],
  ...haltInMiddle,
  stages: () => [stage('Standing still', 'Find the middle', 'sitting')],
});

/** What the rider practises, with or without a figure. */
export const riderWork: readonly Recipe[] = [twoPoint, halfSeat, noStirrups, hands, outerRein, leg, atHalt];
