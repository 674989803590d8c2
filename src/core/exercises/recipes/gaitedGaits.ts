import { wallPose } from '../../figures/figurePlaces';
import { flatGuidance, flatRecipe } from './flatRecipe';
import { stage } from './parts';

const CORNER_M = 6;
/** Common practice, no source: long enough to hear the beat, short enough to keep it. */
const SLOW_M = 20;
const FAST_M = 30;

/** The slow gait and the faster one in turn, round the arena: where it slips is told stretch by stretch. */
export const gaitedGaits = flatRecipe({
  kind: 'gaited-gaits',
  guidance: flatGuidance({
    title: 'Flat walk and a faster gait in turn',
    purposes: ['rhythm', 'obedience'],
    level: 'green',
    knowFirst: ['Flat walk on a loose rein, all round the arena'],
    failure: 'stop, back up, restart',
    watchHorse: ['The beat stays when the speed changes', 'The head as high as this gait wants it, and nodding'],
    watchRider: ['Asks with the seat, keeps the hands quiet', 'Comes back before the gait slips'],
    faults: [
      { fault: 'It slips into trot or pace', remedy: 'Stop, back up, start again: a shorter stretch of it.' },
      { fault: 'The head rises with the speed', remedy: 'A slower gait until it nods again, then a little more.' },
    ],
    stand: 'In the middle of the arena.',
  }),
  gait: 'running-walk',
  wishes: () => [{ stretches: 4 }, { stretches: 3 }],
  figures: ({ arena }, { stretches }) => {
    const lengthM = stretches * (SLOW_M + FAST_M);
    const roundM = 2 * (arena.widthM + arena.lengthM) - CORNER_M * (8 - 2 * Math.PI);
    return [
      {
        figure: {
          ...{ kind: 'round-arena', start: wallPose(arena, 'right', arena.lengthM / 2, 'left'), rein: 'left' },
          ...{ cornerRadiusM: CORNER_M, rounds: lengthM / roundM },
        },
        gait: null,
        parts: Array.from({ length: stretches }, (_, at) => ({
          ...{ fromM: at * (SLOW_M + FAST_M), toM: at * (SLOW_M + FAST_M) + SLOW_M },
          gait: 'flat-walk' as const,
        })),
      },
    ];
  },
  stages: () => [
    stage('Flat walk all the way', 'The head nods with every step', 'sitting', { gait: 'flat-walk' }),
    stage('The two in turn', 'The same beat, only faster', 'sitting'),
  ],
});
