import { USUAL_LANE_M } from '../../record/strideTest';
import type { Cone } from '../../items/item';
import type { TrackGait } from '../../layout/trackGait';
import type { Guidance, Recipe } from '../exercise';
import { ahead, quarterLine, sessionOf, stage } from './parts';

type Params = { lengthM: number; gait: string };

const GUIDANCE: Guidance = {
  title: 'A lane for the stride test',
  purposes: ['adjustability', 'rhythm'],
  level: 'green',
  knowFirst: ['The gait on a straight line, in balance'],
  repetitions: { eachRein: 3, stop: { when: 'repetitions' } },
  failure: 'same question again',
  watchHorse: ['One named foot: count each time it lands between the lines', 'The gait does not break before the line'],
  watchRider: ['Normal, then short, then long; the rhythm stays'],
  stand: 'Side-on, in the middle of the lane, so that both ends are seen.',
  faults: [
    { fault: 'The gait breaks before the line', remedy: 'The pass is void: circle and come again.' },
    { fault: 'The count differs by one', remedy: 'Pass again: counts are pooled.' },
  ],
  cautions: [],
};

const HALF_WIDTH_M = 1.5;

/** A straight lane with two cones at each end. */
export const strideTestLane: Recipe<Params> = {
  kind: 'stride-test-lane',
  guidance: GUIDANCE,
  // 60 ft, or 20 m where one thinks in metres.
  wishes: () => [USUAL_LANE_M, 20].map(lengthM => ({ lengthM, gait: 'trot' })),
  place: (ground, { lengthM }) => quarterLine(ground, lengthM),
  layOut: (_, { lengthM, gait }) => {
    const cones = [0, lengthM].flatMap((xM, end) =>
      [1, -1].map((side): Cone => ({
        ...{ kind: 'cone', id: `${end === 0 ? 'start' : 'finish'}-${side === 1 ? 'left' : 'right'}`, name: null },
        at: { xM, yM: side * HALF_WIDTH_M },
      })),
    );
    return {
      items: cones,
      tracks: [sessionOf('lane', gait as TrackGait, [{ kind: 'straight', start: ahead(0), rein: 'left', lengthM }])],
      stages: [
        stage('Normal', 'As it goes by itself', 'rising'),
        stage('Short', 'Shorter, in the same rhythm', 'sitting'),
        stage('Long', 'Longer, in the same rhythm', 'rising'),
      ],
      stand: { xM: lengthM / 2, yM: 7 },
      facts: [{ what: 'length of the lane', horse: null, lengthM }],
    };
  },
};
