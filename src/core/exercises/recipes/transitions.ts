import { wallPose } from '../../figures/figurePlaces';
import type { FigurePart } from '../../figures/figure';
import type { TrackGait } from '../../layout/trackGait';
import { laneStride } from '../../layout/layoutStrides';
import type { ExerciseGround } from '../exercise';
import { flatGuidance, flatRecipe } from './flatRecipe';
import { stage } from './parts';

/** The normal stride of the horse that goes the longest, in the lane, metres. */
function laneStrideM({ horses }: ExerciseGround, gait: 'trot' | 'walk'): number {
  return Math.max(...horses.map(horse => laneStride(horse, gait)?.normalM ?? 0));
}

/** The trot strides of each rung: fewer and fewer. */
const RUNGS = [8, 6, 4, 2];
const WALK_M = 6;

export const transitionsLadder = flatRecipe({
  kind: 'transitions-ladder',
  guidance: flatGuidance({
    title: 'A ladder of transitions to canter',
    purposes: ['canter departs', 'obedience'],
    level: 'novice',
    knowFirst: ['Walk to trot and back within a few steps', 'Canter from trot in a corner'],
    failure: 'a gait down',
    watchHorse: ['Right lead or wrong lead', 'Jumps into canter, does not run into it', 'Trot steps before it'],
    watchRider: ['Asks with the seat, waits with the hand', 'Upper body not ahead'],
    faults: [
      { fault: 'It runs into canter', remedy: 'One rung back: more walk, fewer trot steps.' },
      { fault: 'Wrong lead', remedy: 'Ask in the corner, after a step of leg-yield to the wall.' },
    ],
    stand: 'In the middle of the arena, turning with the pair: the canter is asked once the ladder is done.',
  }),
  gait: 'walk',
  wishes: () => [{ rungs: 4 }, { rungs: 3 }],
  figures: (ground, { rungs }) => {
    const { parts, lengthM } = ladder(ground, rungs);
    const { widthM, lengthM: longM } = ground.arena;
    const cornerRadiusM = Math.min(WIDEST_CORNER_M, widthM / 2 - 1);
    const roundM = 2 * (widthM + longM) - cornerRadiusM * (8 - 2 * Math.PI);
    return [
      {
        figure: {
          kind: 'round-arena',
          start: wallPose(ground.arena, 'right', longM / 2, 'left'),
          rein: 'left',
          cornerRadiusM,
          rounds: (lengthM + CANTER_M) / roundM,
        },
        gait: null,
        parts: [...parts, { fromM: lengthM, toM: lengthM + CANTER_M, gait: 'canter' }],
      },
    ];
  },
  stages: () => [stage('Round the arena', 'Fewer and fewer trot steps', 'sitting')],
});

/** In a narrow arena corners are as wide as leaves two metres of the short side. */
const WIDEST_CORNER_M = 8;
const CANTER_M = 30;

/** Walk, trot for so many strides, walk, and so on: the parts, and how far they come. */
function ladder(ground: ExerciseGround, rungs: number): { parts: FigurePart[]; lengthM: number } {
  let atM = 0;
  const parts: FigurePart[] = [];
  const ride = (gait: TrackGait, metres: number) => {
    parts.push({ fromM: atM, toM: atM + metres, gait });
    atM += metres;
  };
  for (const strides of RUNGS.slice(-rungs)) {
    ride('walk', WALK_M);
    ride('trot', strides * laneStrideM(ground, 'trot'));
  }
  return { parts, lengthM: atM };
}

export const departOnEight = flatRecipe({
  kind: 'canter-depart-on-eight',
  guidance: flatGuidance({
    title: 'Canter from a small circle to a large one',
    purposes: ['canter departs', 'suppleness'],
    level: 'novice',
    knowFirst: ['A two-size eight in trot', 'A 10 m circle'],
    failure: 'a gait down',
    watchHorse: ['Right lead or wrong lead', 'Straight for a moment where the circles touch', 'Trot steps before it'],
    watchRider: ['Changes the bend first, then asks'],
    faults: [
      { fault: 'Wrong lead', remedy: 'The new bend two strides earlier, or the circles in walk once.' },
      { fault: 'It runs', remedy: 'Back to the small circle and ask again from there.' },
    ],
    stand: 'Beside the point where the circles touch.',
  }),
  gait: 'trot',
  wishes: ({ arena }) => [{ smallM: 10, largeM: Math.min(20, arena.widthM), times: 3 }],
  standAt: ({ arena }, { smallM, largeM }) => ({ xM: arena.widthM - 1.2, yM: (arena.lengthM - largeM + smallM) / 2 }),
  figures: ({ arena }, { smallM, largeM, times }) => [
    {
      figure: {
        kind: 'eight',
        start: {
          at: { xM: arena.widthM / 2, yM: (arena.lengthM - largeM + smallM) / 2 },
          headingRad: 0,
        },
        rein: 'right',
        firstDiameterM: smallM,
        secondDiameterM: largeM,
        times,
      },
      gait: null,
      // In canter on each large circle, back to trot where the circles touch.
      parts: Array.from({ length: times }, (_, time) => ({
        fromM: Math.PI * (time * (smallM + largeM) + smallM),
        toM: Math.PI * (time + 1) * (smallM + largeM),
        gait: 'canter' as const,
      })),
    },
  ],
  stages: () => [stage('Depart where the circles touch', 'New bend, then canter', 'sitting')],
});

export const departFromYield = flatRecipe({
  kind: 'canter-depart-from-yield',
  guidance: flatGuidance({
    title: 'Yield to the rail, then canter on a circle',
    purposes: ['canter departs', 'obedience'],
    level: 'novice',
    knowFirst: ['Leg-yield to the rail', 'Canter from trot on a 20 m circle'],
    failure: 'a gait down',
    watchHorse: ['On the outside rein when it arrives', 'Right lead, no running'],
    watchRider: ['Asks as the horse reaches the rail, not before'],
    faults: [{ fault: 'It falls out and runs', remedy: 'Yield less far, and half-halt before asking.' }],
    stand: 'Inside the circle, facing the place of the depart.',
  }),
  gait: 'trot',
  wishes: ({ arena }) => [{ asideM: arena.widthM / 4, aheadM: (1.6 * arena.widthM) / 4 }],
  standAt: ({ arena }) => ({
    xM: arena.widthM - Math.min(20, arena.widthM) / 2,
    yM: arena.lengthM / 2 - 2,
  }),
  figures: ({ arena }, { asideM, aheadM }) => {
    const up = Math.PI / 2;
    const startM = arena.lengthM / 2 - aheadM - 2;
    const xM = arena.widthM - asideM;
    return [
      { kind: 'straight', start: { at: { xM, yM: startM - 4 }, headingRad: up }, rein: 'left', lengthM: 4 },
      {
        ...{ kind: 'sideways', start: { at: { xM, yM: startM }, headingRad: up }, rein: 'left' },
        ...{ movement: 'leg-yield', towards: 'right', aheadM, asideM },
      },
      {
        figure: {
          kind: 'circle',
          start: wallPose(arena, 'right', startM + aheadM, 'left'),
          rein: 'left',
          diameterM: Math.min(20, arena.widthM),
          rounds: 1,
        },
        gait: 'canter',
        parts: [],
      },
    ];
  },
  stages: () => [stage('Yield, arrive, canter', 'Arrive first, then ask', 'sitting')],
});
