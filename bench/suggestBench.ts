/** How long suggestions for twelve pairs take, each by itself, as the page Today asks for them. */
import {
  dayNumber,
  purposesOf,
  suggestFrom,
  TAUGHT,
  USUAL_GATE,
  USUAL_LIMITS,
  NO_EARLIER_WORK,
  USUAL_RULES,
  seededRandom,
  type LayoutHorse,
  type PairSeen,
  type SuggestMaterial,
} from '@/core';

const ROUNDS = 5;
const PAIRS = 12;
const DAYS = 60;
const DAY = dayNumber('2026-11-20');

/** A pair with a season of sixty days behind it. */
function pair(index: number): PairSeen {
  const random = seededRandom(index + 1);
  const horse: LayoutHorse = {
    ...{ id: `h${index}`, name: `h${index}`, heightM: 1.2 + 0.045 * index, type: 'all-round', level: 'novice' },
    strides: {},
  };
  const ridden = Array.from({ length: DAYS }, (_, at) => {
    const { kind: exercise } = TAUGHT[Math.floor(random() * TAUGHT.length)]!;
    const kind = (['flat', 'poles', 'fences'] as const)[at % 3]!;
    const passes = Array.from({ length: 12 }, (__, pass) => ({
      rein: pass % 2 === 0 ? ('left' as const) : ('right' as const),
      isClean: random() < 0.7,
    }));
    const own = { exercise, stage: 0, kind, gait: 'trot' as const, purposes: purposesOf(exercise, kind) };
    return { ...own, day: DAY - 3 * (DAYS - at), passes };
  });
  return {
    ...{ id: `p${index}`, name: `h${index}`, horse, ridden, goals: [], planned: [] },
    ...{ earlier: NO_EARLIER_WORK, jumpingDays: [] },
  };
}

/** Milliseconds for one suggestion each, the middle of some rounds. */
export function benchSuggest(): { eachMs: number; made: number } {
  const pairs = Array.from({ length: PAIRS }, (_, index) => pair(index));
  const material: SuggestMaterial = {
    ...{ day: DAY, minutes: 40, limits: USUAL_RULES.limits, rule: USUAL_GATE, pairs },
    wishes: pairs.map(({ id }) => ({ pairIds: [id], refused: [], most: 1 })),
    ground: {
      ...{ name: '', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, kit: null },
      horses: pairs.map(({ horse }) => horse),
    },
    ...{ cautionLimits: USUAL_LIMITS, own: [], standing: [] },
  };
  const times: number[] = [];
  let made = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const from = performance.now();
    made = suggestFrom(material).filter(({ suggestions }) => suggestions.length > 0).length;
    times.push(performance.now() - from);
  }
  return { eachMs: times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!, made };
}
