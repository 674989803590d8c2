import type { Figure, StationDeed } from '../../figures/figure';
import { stationAt } from '../../figures/rideStation';
import { pointAlong, type PointM } from '../../geometry/pointM';
import type { Pose } from '../../geometry/pose';
import type { Rein } from '../../track/rein';
import type { ExerciseGround } from '../exercise';
import { flatGuidance, flatRecipe } from './flatRecipe';
import { stage } from './parts';

const UP_RAD = Math.PI / 2;

/** On the quarter line, riding up. */
const onLine = ({ arena }: ExerciseGround, yM: number): Pose => ({
  at: { xM: (arena.widthM * 3) / 4, yM },
  headingRad: UP_RAD,
});

/** Off the line that is ridden up, so far to the left of it and ahead of its middle. */
const besideLine = ({ arena }: ExerciseGround, leftM: number, aheadM: number): PointM => ({
  xM: (arena.widthM * 3) / 4 - leftM,
  yM: arena.lengthM / 2 + aheadM,
});

/** Straight so far, then something on the spot, then straight on from where it left the horse. */
function around(start: Pose, lengthM: number, deeds: readonly StationDeed[], reinAfter: Rein): Figure[] {
  const straight = (from: Pose, rein: Rein): Figure => ({ kind: 'straight', start: from, rein, lengthM });
  let pose: Pose = { at: pointAlong(start.at, start.headingRad, lengthM), headingRad: start.headingRad };
  const stations = deeds.map((deed): Figure => {
    const figure: Figure = { kind: 'station', start: pose, rein: 'left', deed };
    pose = stationAt(pose, 'left', deed).leaves;
    return figure;
  });
  return [straight(start, 'left'), ...stations, straight(pose, reinAfter)];
}

export const haltAndReinBack = flatRecipe({
  kind: 'halt-and-rein-back',
  guidance: flatGuidance({
    title: 'Halt and rein-back',
    purposes: ['obedience', 'straightness'],
    level: 'green',
    knowFirst: ['Walk to halt, square'],
    failure: 'stop, back up, restart',
    watchHorse: ['Stands square', 'Steps back in pairs, straight', 'Walks on at once'],
    watchRider: ['Lightens the seat, does not pull'],
    faults: [{ fault: 'It swings its quarters', remedy: 'Beside a wall or a guide pole, fewer steps.' }],
    stand: 'Head-on, to see that it stays straight.',
  }),
  gait: 'walk',
  wishes: () => [{ steps: 4 }],
  standAt: ground => besideLine(ground, 0, 10),
  figures: (ground, { steps }) =>
    around(
      onLine(ground, ground.arena.lengthM / 2 - 8),
      8,
      [
        { kind: 'halt', seconds: 4 },
        { kind: 'rein-back', steps },
      ],
      'left',
    ),
  stages: () => [stage('From walk', 'Square, back, on', 'sitting')],
});

export const turnOnForehand = flatRecipe({
  kind: 'turn-on-forehand',
  guidance: flatGuidance({
    title: 'A turn on the forehand',
    purposes: ['obedience', 'footwork'],
    level: 'green',
    knowFirst: ['Halt'],
    failure: 'stop, back up, restart',
    watchHorse: ['Crosses behind', 'The front feet step in a small circle, not stuck'],
    watchRider: ['One step, one aid'],
    faults: [{ fault: 'It walks off forward', remedy: 'Facing the wall, step by step.' }],
    stand: 'Beside the quarters, at a safe distance.',
  }),
  gait: 'walk',
  wishes: () => [{ turnDeg: 180 }],
  standAt: ground => besideLine(ground, 4, -2),
  figures: (ground, { turnDeg }) =>
    around(
      onLine(ground, ground.arena.lengthM / 2 - 6),
      6,
      [
        { kind: 'halt', seconds: 4 },
        { kind: 'turn-on-forehand', turnRad: (turnDeg * Math.PI) / 180 },
      ],
      'right',
    ),
  stages: () => [stage('Step by step', 'One step, one aid', 'sitting')],
});

export const turnOnHaunches = flatRecipe({
  kind: 'turn-on-haunches',
  guidance: flatGuidance({
    title: 'A turn on the haunches',
    purposes: ['obedience', 'footwork'],
    level: 'novice',
    knowFirst: ['Turn on the forehand', 'Shoulder-in in walk'],
    failure: 'stop, back up, restart',
    watchHorse: ['The hind feet step on in a small circle', 'The walk stays a walk'],
    watchRider: ['Looks round the turn', 'Outside leg keeps the quarters'],
    faults: [{ fault: 'The quarters swing out', remedy: 'A larger turn, a quarter at a time.' }],
    stand: 'Inside the turn.',
  }),
  gait: 'walk',
  wishes: () => [{ turnDeg: 180 }],
  standAt: ground => besideLine(ground, 4, 0),
  figures: (ground, { turnDeg }) =>
    around(
      onLine(ground, ground.arena.lengthM / 2 - 6),
      6,
      [{ kind: 'turn-on-haunches', turnRad: (turnDeg * Math.PI) / 180 }],
      'right',
    ),
  stages: () => [stage('In walk', 'Step on behind', 'sitting')],
});

export const sidePass = flatRecipe({
  kind: 'side-pass',
  guidance: flatGuidance({
    title: 'Side-pass',
    purposes: ['obedience', 'footwork'],
    level: 'novice',
    knowFirst: ['Leg-yield in walk', 'Turn on the forehand'],
    failure: 'stop, back up, restart',
    watchHorse: ['Crosses in front and behind', 'Neither forward nor back'],
    watchRider: ['Opens the side it goes to'],
    faults: [{ fault: 'It steps back', remedy: 'Two steps, forward, two steps.' }],
    stand: 'In front, to see both pairs cross.',
  }),
  gait: 'walk',
  wishes: () => [{ steps: 3 }],
  standAt: ground => besideLine(ground, 0, 5),
  figures: (ground, { steps }) =>
    around(
      onLine(ground, ground.arena.lengthM / 2 - 6),
      6,
      [
        { kind: 'halt', seconds: 4 },
        { kind: 'side-pass', steps, towards: 'left' },
      ],
      'left',
    ),
  stages: () => [stage('Two steps, then more', 'A step, a rest, a step', 'sitting')],
});

export const flexions = flatRecipe({
  kind: 'flexions',
  guidance: flatGuidance({
    title: 'Flexions on mounting',
    purposes: ['suppleness', 'obedience'],
    level: 'green',
    knowFirst: ['Stands while one mounts'],
    repetitions: { eachRein: 1, stop: { when: 'repetitions' } },
    failure: 'stand and look',
    watchHorse: ['Gives the jaw and the poll, stays where it is'],
    watchRider: ['Asks with the fingers, and gives at once'],
    faults: [{ fault: 'It steps round', remedy: 'Less, and a leg to keep the quarters still.' }],
    stand: 'Beside the head.',
  }),
  gait: 'walk',
  wishes: () => [{ eachSide: 3 }],
  standAt: ground => besideLine(ground, 1.5, 0.5),
  figures: (ground, { eachSide }) =>
    around(onLine(ground, ground.arena.lengthM / 2 - 2), 2, [{ kind: 'flexions', eachSide }], 'left'),
  stages: () => [stage('Three or four each side', 'Ask, wait, give', 'sitting')],
});
