import { seededRandom } from '../statistics/seededRandom';
import { REINS } from '../track/rein';
import { purposesOf } from './ownLayouts';
import type { RiddenStep, SeenPass } from './step';
import { unevenIn } from './uneven';

const WEEKS = 24;
const EACH_REIN = 5;
const CLEAN = 0.7;

/**
 * Of so many seasons of a pair that is as good on both reins, in every gait and for every purpose: in how many it is ever called
 * uneven, when it is looked at every week.
 */
export function evenSeasonsCalled(seasons: number, seed: number): number {
  const random = seededRandom(seed);
  let called = 0;
  for (let season = 0; season < seasons; season += 1) if (isCalledUneven(random)) called += 1;
  return called;
}

function isCalledUneven(random: () => number): boolean {
  const ridden: RiddenStep[] = [];
  for (let week = 0; week < WEEKS; week += 1) {
    const passes = REINS.flatMap(rein =>
      Array.from({ length: EACH_REIN }, (): SeenPass => ({ rein, isClean: random() < CLEAN })),
    );
    const [exercise, gait] =
      week % 2 === 0 ? (['trot-poles', 'trot'] as const) : (['narrow-fence', 'course-canter'] as const);
    const kind = week % 2 === 0 ? 'poles' : 'fences';
    const day = 7 * week;
    ridden.push({ day, exercise, stage: 0, kind, gait, purposes: purposesOf(exercise, kind), passes });
    if (unevenIn(ridden, day).length > 0) return true;
  }
  return false;
}
