import { wallPose } from '../../figures/figurePlaces';
import type { Pose } from '../../geometry/pose';
import type { ExerciseGround } from '../exercise';
import { atFarEnd, besideMiddle, flatGuidance, flatRecipe } from './flatRecipe';
import { alongLongSide, middleOfShortSide, stage, turnRadiusM } from './parts';

/** Common practice, no source: a cone stands so far inside the line that is ridden round it, metres. */
const CONE_INSIDE_M = 1;

export const serpentine = flatRecipe({
  kind: 'serpentine',
  guidance: flatGuidance({
    title: 'A serpentine',
    purposes: ['suppleness', 'rhythm', 'accuracy'],
    level: 'green',
    knowFirst: ['A 20 m circle on both reins', 'Straight across the arena'],
    watchHorse: ['Straight for a stride over the centre line', 'One bend as easy as the other', 'Loops of one size'],
    watchRider: ['Changes the bend before the line, not on it', 'Sits into the new inside'],
    faults: [
      { fault: 'One side is cut short', remedy: 'That is the stiff side: cones there, and fewer loops.' },
      { fault: 'It yields with the shoulder first', remedy: 'Straighten along the wall, then two steps only.' },
      { fault: 'It tips over at the change', remedy: 'A few steps of walk across the centre line.' },
    ],
    stand: 'At the end of the centre line, to see that each loop crosses it square.',
  }),
  gait: 'trot',
  wishes: ground => {
    const most = Math.floor(ground.arena.lengthM / (2 * turnRadiusM(ground, 'trot')));
    return [3, 4, 5].filter(loops => loops <= most).map(loops => ({ loops, yieldM: 0 }));
  },
  standAt: ground => atFarEnd(ground, 0.5),
  figures: (ground, { loops, yieldM }) => [
    {
      kind: 'serpentine',
      start: middleOfShortSide(ground),
      rein: 'left',
      loops,
      lengthM: ground.arena.lengthM,
      widthM: ground.arena.widthM,
      ...(yieldM > 0 ? { yieldM } : {}),
    },
  ],
  cones: ({ arena }, { loops }) =>
    // Inside the tip of each loop, to be ridden round; the first loop lies on the right, coming from A on the left rein.
    Array.from({ length: loops }, (_, loop) => ({
      xM: loop % 2 === 0 ? arena.widthM - CONE_INSIDE_M : CONE_INSIDE_M,
      yM: ((loop + 0.5) * arena.lengthM) / loops,
    })),
  stages: () => [
    stage('In walk', 'Straight over the line', 'rising', { gait: 'walk' }),
    stage('In trot', 'The same bend both ways', 'rising'),
  ],
  facts: ({ arena }, { loops }) => [{ what: 'length of each loop', horse: null, lengthM: arena.lengthM / loops }],
});

/** Common practice, no source: so far from one cone to the next for a horse to bend round each, metres. */
const CONES_APART_M = 10;

export const roundCones = flatRecipe({
  kind: 'round-cones',
  guidance: flatGuidance({
    title: 'Round a row of cones',
    purposes: ['suppleness', 'obedience', 'accuracy'],
    level: 'green',
    knowFirst: ['A 10 m circle on both reins'],
    watchHorse: ['Bent round each cone, straight between them', 'As near to the last as to the first'],
    watchRider: ['Looks at the next cone before it leaves this one'],
    faults: [
      { fault: 'It cuts in to a cone', remedy: 'A cone beside it, so that one rides between the two.' },
      { fault: 'It drifts wide on one side', remedy: 'That is the stiff side: once in walk, with a wider row.' },
    ],
    stand: 'At the end of the row, looking along it.',
  }),
  gait: 'trot',
  wishes: ({ arena }) => {
    const cones = Math.max(2, Math.min(4, Math.floor(arena.lengthM / CONES_APART_M) - 1));
    return [{ cones, spacingM: CONES_APART_M, offsetM: CONES_APART_M / 2 }];
  },
  standAt: ground => atFarEnd(ground, 0.5),
  figures: (ground, params) => [
    {
      ...{ kind: 'serpentine', start: rowOfCones(ground, params), rein: 'right', loops: params.cones },
      ...{ lengthM: params.cones * params.spacingM, widthM: 2 * params.offsetM },
    },
  ],
  cones: (ground, params) => {
    const { at } = rowOfCones(ground, params);
    return Array.from({ length: params.cones }, (_, cone) => ({
      xM: at.xM,
      yM: at.yM + (cone + 0.5) * params.spacingM,
    }));
  },
  stages: () => [
    stage('In walk', 'Round each, as near as the last', 'rising', { gait: 'walk' }),
    stage('In trot', 'Look on to the next', 'rising'),
  ],
});

/** Where the row begins, half a gap before the first cone, crossing it to the left. */
const rowOfCones = ({ arena }: ExerciseGround, { cones, spacingM }: { cones: number; spacingM: number }): Pose => ({
  at: { xM: arena.widthM / 2, yM: (arena.lengthM - cones * spacingM) / 2 },
  headingRad: Math.PI,
});

export const figureOfEight = flatRecipe({
  kind: 'figure-of-eight',
  guidance: flatGuidance({
    title: 'A figure of eight',
    purposes: ['suppleness', 'accuracy'],
    level: 'green',
    knowFirst: ['Circles of the same size on both reins'],
    watchHorse: ['Two circles of one size', 'Straight for a moment where they touch'],
    watchRider: ['Changes rein, bend and diagonal in time'],
    faults: [{ fault: 'One circle is larger', remedy: 'That rein is the stiff one: cones at its four points.' }],
    stand: 'Beside the point where the circles touch.',
  }),
  gait: 'trot',
  wishes: ({ arena }) => [{ diameterM: Math.min(20, arena.widthM, arena.lengthM / 2), times: 2 }],
  standAt: besideMiddle,
  figures: ({ arena }, { diameterM, times }) => [
    {
      kind: 'eight',
      start: { at: { xM: arena.widthM / 2, yM: arena.lengthM / 2 }, headingRad: 0 },
      rein: 'left',
      firstDiameterM: diameterM,
      secondDiameterM: diameterM,
      times,
    },
  ],
  stages: () => [
    stage('In walk', 'Straight where they touch', 'rising', { gait: 'walk' }),
    stage('In trot', 'Two circles of one size', 'rising'),
  ],
});

export const halfCircleReturn = flatRecipe({
  kind: 'half-circle-return',
  guidance: flatGuidance({
    title: 'Half a circle and return',
    purposes: ['suppleness', 'obedience'],
    level: 'green',
    knowFirst: ['A circle of the size of the half circle'],
    watchHorse: ['Bent in the half circle, straight on the way back', 'Does not fall to the wall'],
    watchRider: ['Looks for the place where it meets the track again'],
    faults: [{ fault: 'It leans to the wall on the way back', remedy: 'A few steps of leg-yield away from it.' }],
    stand: 'Opposite, to see the half circle close.',
  }),
  gait: 'trot',
  wishes: ground => [{ diameterM: Math.max(10, 2 * turnRadiusM(ground, 'trot')), lineFirst: false }],
  standAt: ({ arena }) => ({ xM: arena.widthM * 0.25, yM: arena.lengthM * 0.75 }),
  figures: ({ arena }, { diameterM, lineFirst }) => [
    {
      kind: 'half-circle-return',
      start: wallPose(arena, 'right', arena.lengthM * (lineFirst ? 0.25 : 0.75), 'left'),
      rein: 'left',
      diameterM,
      returnM: 2 * diameterM,
      lineFirst,
    },
  ],
  stages: () => [stage('In trot', 'Round, then straight', 'rising')],
});

export const shallowLoop = flatRecipe({
  kind: 'shallow-loop',
  guidance: flatGuidance({
    title: 'A shallow loop',
    purposes: ['suppleness', 'obedience'],
    level: 'green',
    knowFirst: ['Riding off the wall and straight'],
    watchHorse: ['The bend changes twice', 'The rhythm stays as on the wall'],
    watchRider: ['Rides away from the wall before the horse asks for it'],
    faults: [{ fault: 'It stays on the wall', remedy: 'A cone on the quarter line to ride round.' }],
    stand: 'At the end of the long side.',
  }),
  gait: 'trot',
  wishes: ({ arena }) => [{ depthM: Math.min(5, arena.widthM / 4), lengthM: arena.lengthM - 12 }],
  standAt: ({ arena }) => ({ xM: arena.widthM - 1.5, yM: arena.lengthM - 2 }),
  figures: (ground, { depthM, lengthM }) => [
    {
      kind: 'shallow-loop',
      start: alongLongSide(ground, lengthM),
      rein: 'left',
      lengthM,
      depthM,
    },
  ],
  cones: ({ arena }, { depthM }) => [{ xM: arena.widthM - depthM + 1, yM: arena.lengthM / 2 }],
  stages: () => [
    stage('In trot', 'Away, change, back, change', 'rising'),
    stage('In canter, staying on the lead', 'Hold the lead, not the neck', 'sitting', { gait: 'canter' }),
  ],
});
