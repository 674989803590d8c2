import type { Arena } from '../arena/arena';
import { USUAL_LIMITS } from '../cautions/cautionLimits';
import { HORSE_LEVELS } from '../horse/horseLevel';
import type { KitAtHand } from '../items/kit';
import type { LayoutHorse } from '../layout/layout';
import { USUAL_GATE } from '../lesson/stageGate';
import { seededRandom } from '../statistics/seededRandom';
import { NO_WORK } from '../work/passWork';
import { USUAL_WORK_LIMITS } from '../work/workCounts';
import { TAUGHT } from './catalogue';
import { purposesOf } from './ownLayouts';
import type { PairSeen } from './pairSeen';
import type { RiddenStep, WorkKind } from './step';
import type { SuggestMaterial } from './suggestFrom';

/** The sands that yards are thrown on. */
const ARENAS: readonly Arena[] = [
  { widthM: 20, lengthM: 40, letters: '20x40' },
  { widthM: 20, lengthM: 60, letters: '20x60' },
  { widthM: 35, lengthM: 60, letters: 'none' },
];
const HEIGHTS_M = [1.18, 1.35, 1.48, 1.6, 1.68, 1.75];
const DAY = 20_000;

/** For tests and the pages made from them: a yard thrown by chance, with horses, a record, limits near and far, and kit. */
export function seededYard(seed: number): SuggestMaterial {
  const random = seededRandom(seed);
  const pick = <Value>(from: readonly Value[]): Value => from[Math.floor(random() * from.length)]!;
  const upTo = (most: number) => Math.floor(random() * (most + 1));
  const pairs = Array.from({ length: 1 + upTo(3) }, (_, index) => thrownPair(`h${index}`));
  const kit: KitAtHand | null = random() < 0.5 ? null : { poles: 2 + upTo(20), stands: 2 * upTo(10), cones: upTo(20) };
  return {
    ...{ day: DAY, minutes: 15 + upTo(45), limits: USUAL_WORK_LIMITS, rule: USUAL_GATE, pairs },
    wishes: [{ pairIds: pairs.map(({ id }) => id), refused: [], most: 5 }],
    ground: { name: '', arena: pick(ARENAS), fall: null, kit, horses: pairs.map(({ horse }) => horse) },
    ...{ cautionLimits: USUAL_LIMITS, own: [], standing: [] },
  };

  function thrownPair(id: string): PairSeen {
    const horse: LayoutHorse = {
      ...{ id, name: id, heightM: pick(HEIGHTS_M), type: 'all-round', level: pick(HORSE_LEVELS), strides: {} },
    };
    const otherJumpingDays = upTo(2);
    return {
      ...{ id, name: id, horse, goals: [], planned: [] },
      ridden: Array.from({ length: 4 + upTo(20) }, thrownStep).sort((a, b) => a.day - b.day),
      earlier: { ...NO_WORK, lowEfforts: upTo(40), raisedPasses: upTo(6), otherJumpingDays },
      jumpingDays: Array.from({ length: otherJumpingDays }, () => DAY - 1 - upTo(5)),
    };
  }

  function thrownStep(): RiddenStep {
    const exercise = pick(TAUGHT).kind;
    const kind: WorkKind = pick(['flat', 'poles', 'fences']);
    const clean = random();
    const passes = Array.from({ length: 4 + upTo(4) }, (_, index) => ({
      rein: index % 2 === 0 ? ('left' as const) : ('right' as const),
      isClean: random() < clean,
    }));
    const stage = upTo(2);
    return {
      day: DAY - 1 - upTo(60),
      exercise,
      stage,
      kind,
      gait: 'trot',
      purposes: purposesOf(exercise, kind),
      passes,
    };
  }
}
