import { wallPose } from '../../figures/figurePlaces';
import { pointAlong, type PointM } from '../../geometry/pointM';
import type { ExerciseGround } from '../exercise';
import { flatGuidance, flatRecipe, middleOfCircle } from './flatRecipe';
import { middleOfShortSide, stage, turnRadiusM } from './parts';

/** From the middle of the long side that one comes up on the left rein. */
const fromB = ({ arena }: ExerciseGround) => wallPose(arena, 'right', arena.lengthM / 2, 'left');

/** As wide as wished, but no tighter than the horses carry at a trot. */
const atLeast = (ground: ExerciseGround, diameterM: number) => Math.max(diameterM, 2 * turnRadiusM(ground, 'trot'));

/** Common practice, no source: a cone stands so far inside the line that is ridden round it, metres. */
const CONE_INSIDE_M = 1;

/** Cones inside the four points of the largest circle, to be ridden round. */
const coneRing = (ground: ExerciseGround, diameterM: number): PointM[] => {
  const middle = middleOfCircle(ground, diameterM);
  return [0, 1, 2, 3].map(quarter => pointAlong(middle, (quarter * Math.PI) / 2, diameterM / 2 - CONE_INSIDE_M));
};

export const circle = flatRecipe({
  kind: 'circle',
  guidance: flatGuidance({
    title: 'A circle',
    purposes: ['suppleness', 'rhythm'],
    level: 'green',
    knowFirst: ['Straight along the wall in the gait'],
    watchHorse: ['Four quarters of one size', 'Bent as much as the circle: next to nothing on 20 m, clearly on 10 m'],
    watchRider: ['Looks a quarter ahead', 'Outside rein and leg keep the size'],
    faults: [
      { fault: 'It falls in on one side', remedy: 'Cones at the four points, and ride outside that one.' },
      { fault: 'It drifts out to the gate', remedy: 'Turn a little before the wall takes over.' },
    ],
    stand: 'In the middle of the circle.',
  }),
  gait: 'trot',
  wishes: ground =>
    [20, 15].map(diameterM => ({
      ...{ diameterM: Math.min(diameterM, ground.arena.widthM), rounds: 2 },
      withCones: false,
    })),
  standAt: (ground, { diameterM }) => middleOfCircle(ground, diameterM),
  cones: (ground, { diameterM, withCones }) => (withCones ? coneRing(ground, diameterM) : []),
  figures: (ground, { diameterM, rounds }) => [
    { kind: 'circle', start: middleOfShortSide(ground), rein: 'left', diameterM, rounds },
  ],
  stages: () => [
    stage('In walk', 'Four points, one size', 'rising', { gait: 'walk' }),
    stage('In trot', 'The same rhythm all round', 'rising'),
    stage('In canter', 'Round, not faster', 'half-seat', { gait: 'canter' }),
  ],
});

export const largeAndSmallCircle = flatRecipe({
  kind: 'large-and-small-circle',
  guidance: flatGuidance({
    title: 'A large faster circle and a small slower one',
    purposes: ['adjustability', 'suppleness', 'obedience'],
    level: 'novice',
    knowFirst: ['A 20 m circle in balance'],
    watchHorse: ['The stride changes, the rhythm does not', 'It waits without leaning'],
    watchRider: ['The seat asks first', 'The small circle is ridden forward too'],
    faults: [{ fault: 'It hurries instead of lengthening', remedy: 'Half a round long only, then back.' }],
    stand: 'Between the two middles.',
  }),
  gait: 'trot',
  wishes: ground => [{ largeM: Math.min(20, ground.arena.widthM), smallM: atLeast(ground, 12) }],
  standAt: (ground, { largeM, smallM }) => middleOfCircle(ground, (largeM + smallM) / 2),
  figures: (ground, { largeM, smallM }) => [
    {
      figure: { kind: 'circle', start: middleOfShortSide(ground), rein: 'left', diameterM: largeM, rounds: 1 },
      gait: null,
      parts: [{ fromM: 0, toM: Math.PI * largeM, pace: 'long' }],
    },
    {
      figure: { kind: 'circle', start: middleOfShortSide(ground), rein: 'left', diameterM: smallM, rounds: 1 },
      gait: null,
      parts: [{ fromM: 0, toM: Math.PI * smallM, pace: 'short' }],
    },
  ],
  stages: () => [
    stage('In trot', 'Longer and shorter, never quicker', 'rising'),
    stage('In canter', 'Large and forward, small and slow', 'sitting', { gait: 'canter' }),
  ],
});

export const volte = flatRecipe({
  kind: 'volte',
  guidance: flatGuidance({
    title: 'A volte',
    purposes: ['suppleness', 'obedience'],
    level: 'novice',
    knowFirst: ['A 10 m circle', 'Corners at the radius of the gait'],
    repetitions: { eachRein: 2, stop: { when: 'repetitions' } },
    watchHorse: ['Round, and back on the track where it left', 'The hind feet follow the front feet'],
    watchRider: ['Inside hip forward, outside leg behind', 'No stronger inside rein'],
    faults: [{ fault: 'The quarters swing out', remedy: 'Larger, or in walk; the outside leg before the turn.' }],
    cautions: ['Hard work: half a round, or once.'],
    stand: 'Opposite, so that the way back to the track is seen.',
  }),
  gait: 'trot',
  wishes: ground => [{ diameterM: atLeast(ground, 8) }],
  standAt: ({ arena }) => ({ xM: arena.widthM * 0.35, yM: arena.lengthM / 2 }),
  figures: (ground, { diameterM }) => [{ kind: 'circle', start: fromB(ground), rein: 'left', diameterM, rounds: 1 }],
  stages: () => [
    stage('In walk', 'Step by step round', 'sitting', { gait: 'walk' }),
    stage('In trot', 'The same rhythm in and out', 'sitting'),
  ],
});

export const spiral = flatRecipe({
  kind: 'spiral',
  guidance: flatGuidance({
    title: 'A spiral in and out',
    purposes: ['suppleness', 'obedience', 'rhythm'],
    level: 'novice',
    knowFirst: ['A 10 m circle', 'Two steps of leg-yield'],
    watchHorse: ['In on the bend, or yielding in with outside flexion', 'Out from the inside leg, not thrown out'],
    watchRider: ['Inside leg at the girth on the way out', 'The outside rein lets it out'],
    faults: [
      { fault: 'It falls out over the shoulder', remedy: 'One size at a time, with a whole round between.' },
      { fault: 'It loses the rhythm inside', remedy: 'Stay at 12 m, or walk the small ones.' },
    ],
    cautions: ['Not longer than a few minutes on the small sizes.'],
    stand: 'In the middle of the spiral.',
  }),
  gait: 'trot',
  wishes: ground => [
    { school: 'bend', times: 3, smallestM: atLeast(ground, 10), eachSize: 'half a round', withCones: true },
  ],
  standAt: ground => middleOfCircle(ground, 20),
  cones: (ground, { withCones }) => (withCones ? coneRing(ground, Math.min(20, ground.arena.widthM)) : []),
  figures: (ground, { school, times, smallestM, eachSize }) => [
    {
      kind: 'spiral',
      start: middleOfShortSide(ground),
      rein: 'left',
      diametersM: [Math.min(20, ground.arena.widthM), 15, 12, 10]
        .filter((sizeM, index, [widestM]) => index === 0 || (sizeM >= smallestM && sizeM < widestM!))
        .flatMap(sizeM => (eachSize === 'a whole round' ? [sizeM, sizeM] : [sizeM])),
      school: school === 'yield' ? 'yield' : 'bend',
      times,
    },
  ],
  stages: () => [
    stage('In walk', 'One size, then the next', 'rising', { gait: 'walk' }),
    stage('In trot', 'Out from the inside leg', 'rising'),
    stage('In canter', 'Smaller without slower', 'half-seat', { gait: 'canter' }),
  ],
});
