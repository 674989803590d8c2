import { footfallDirection } from '../record/suggestSpacing';
import { NO_GROUND, type FaultGround } from './faultGround';
import { isVoid, passFaults, type JudgedPass, type PassFault } from '../record/passJudged';
import { standingMarks } from '../record/passMark';

/** What can be done about a fault with one tap. Legs count from 0, places from 1. */
export type FaultAnswer =
  | { kind: 'distance'; leg: number; byM: number }
  /** All gaps of a row together. */
  | { kind: 'row'; byM: number }
  | { kind: 'stage down' }
  | { kind: 'only this line'; from: number; to: number };

/** The same fault at the same place again and again, and what to look at (common practice, no source). */
export type RepeatedFault = {
  what: string;
  place: number | null;
  part?: number;
  times: number;
  suggestion: string;
  answers: FaultAnswer[];
};

/** A landing pole is rolled out by so much at a time, metres (common practice, no source). */
const ROLL_OUT_M = 0.3;

/** Gaps of a row are closed or opened by so much at a time, metres (common practice, no source). */
const ROW_CHANGE_M = 0.05;

/** Common practice, no source: the third time it is a question about the distance, the line, the footing or the rider. */
const TIMES = 3;

/** Distances are changed by a little only: never by more than this at once, metres (common practice, no source). */
const CHANGE_M = 0.1;

/** A landing pole lies about this far behind a fence, metres (common practice, no source). */
const LANDING_POLE_M = 3;

type Advice = { words: string; answers?: (place: number | null) => FaultAnswer[] };

const change = (byM: number, legOf: (place: number) => number) => (place: number | null) =>
  place === null || legOf(place) < 0 ? [] : [{ kind: 'distance' as const, leg: legOf(place), byM }];
/** Strides are marked on a leg; a take-off at the fence that the leg leads to. */
const ofLeg = (place: number) => place - 1;
const before = (place: number) => place - 2;
const stageDown = (): FaultAnswer[] => [{ kind: 'stage down' }];
const lineTo = (place: number | null): FaultAnswer[] =>
  place === null || place < 2 ? [] : [{ kind: 'only this line', from: place - 1, to: place }];

/** What to try, by what goes wrong. One thing at a time. */
const ADVICE: Record<string, Advice> = {
  'deep take-off': {
    words: 'The distance rides short here: open it by 10 cm, or ride a shorter canter to it.',
    answers: change(CHANGE_M, before),
  },
  'strides left out': {
    words: 'The distance rides short here: open it by 10 cm, or ask for one stride fewer.',
    answers: change(CHANGE_M, ofLeg),
  },
  'long take-off': {
    words: 'The distance rides long here: close it by 10 cm, or ride a stronger canter to it.',
    answers: change(-CHANGE_M, before),
  },
  'strides added': {
    words: 'The distance rides long here: close it by 10 cm, or ask for one stride more.',
    answers: change(-CHANGE_M, ofLeg),
  },
  hit: { words: 'Lower this one, or lay it as a pole, and leave the rest.', answers: lineTo },
  down: { words: 'Lower this one, or lay it as a pole, and leave the rest.', answers: lineTo },
  'landed close': {
    words: `Lay a landing pole ${LANDING_POLE_M} m behind it, and roll it out a little each pass.`,
    answers: lineTo,
  },
  refusal: {
    words: 'A stage down for this one; let the horse stand and look, and look at the footing before it.',
    answers: place => [...stageDown(), ...lineTo(place)],
  },
  'break of gait': {
    words: 'Stop, back up and start again from a circle; a gait down until it is calm.',
    answers: stageDown,
  },
  spooked: { words: 'Look at what stands there: lead past it, or ride it away from home first.' },
  rush: { words: 'Close the gaps a little, walk between passes, and ride it away from home.' },
};
ADVICE['ran into it'] = ADVICE['wrong lead'] = ADVICE['break of gait']!;
for (const side of ['left', 'right']) {
  ADVICE[`run-out ${side}`] = ADVICE[`aim off to the ${side}`] = {
    words: `Look at the line: a guide rail on the ${side}, a straighter way to it, or a mark to ride at.`,
    answers: lineTo,
  };
  ADVICE[`drift ${side}`] = {
    words: 'Guide rails as a V on the fence, or tunnel poles behind it.',
    answers: lineTo,
  };
}
const HEAD: Advice = {
  words: 'Ask for a slower gait until the head is where it is wanted; look at the contact and at the back.',
  answers: stageDown,
};
const NO_ADVICE: Advice = { words: 'Look at the distance, the line, the footing, and the rider, in that order.' };

/** Nothing is lowered that lies. */
const LYING_HIT: Advice = {
  words: 'It lies on the ground already: look at the spacing, or take this one out and leave the rest.',
  answers: lineTo,
};
const SHORT_FOOT: Advice = {
  words: `The step is short for the row: close all gaps by ${ROW_CHANGE_M * 100} cm.`,
  answers: () => [{ kind: 'row', byM: -ROW_CHANGE_M }],
};
const LONG_FOOT: Advice = {
  words: `The step is long for the row: steady the pace first, then open all gaps by ${ROW_CHANGE_M * 100} cm.`,
  answers: () => [{ kind: 'row', byM: ROW_CHANGE_M }],
};

/** A landing pole that lies there already goes out a little. */
function rollOut(poleM: number): Advice {
  const toM = Math.round((poleM + ROLL_OUT_M) * 20) / 20;
  return {
    words: `Roll the landing pole out to ${toM.toFixed(2).replace(/0$/, '')} m.`,
    answers: place => (place === null ? [] : [{ kind: 'distance', leg: place - 1, byM: toM - poleM }]),
  };
}

/** What can be done where it happened; another gait than was asked is a break of it. */
function adviceFor({ what, place }: PassFault, ground: FaultGround): Advice {
  if (what === FOOT_SHORT) return SHORT_FOOT;
  if (what === FOOT_LONG) return LONG_FOOT;
  const there = place === null ? null : ground.at(place);
  if (what === 'hit' && there === 'pole') return LYING_HIT;
  const poleM = what === 'landed close' && place !== null ? ground.landingPoleM(place) : null;
  if (poleM !== null) return rollOut(poleM);
  if (what.startsWith('in ')) return ADVICE['break of gait']!;
  return what.startsWith('head ') ? HEAD : (ADVICE[what] ?? NO_ADVICE);
}

const FOOT_SHORT = 'the foot at a third of the gap';
const FOOT_LONG = 'the foot at three quarters of the gap';

/** Where the foot fell in a row, as a whole: short or long for its gaps. */
function footTrouble({ marks }: JudgedPass): PassFault[] {
  const fractions = standingMarks(marks).flatMap(mark => (mark.kind === 'footfall' ? [mark.fraction] : []));
  if (fractions.length === 0) return [];
  const direction = footfallDirection(fractions.reduce((sum, one) => sum + one, 0) / fractions.length);
  if (direction === 'middle') return [];
  return [{ what: direction === 'short' ? FOOT_SHORT : FOOT_LONG, place: null }];
}

/**
 * What went wrong in a pass, a landing that was close, and a foot that fell short or long in a row: no faults, but worth a change
 * when they come back.
 */
function troubles(pass: JudgedPass, ground: FaultGround): PassFault[] {
  const close = standingMarks(pass.marks).flatMap(mark =>
    mark.kind === 'landing' && mark.where === 'close' ? [{ what: 'landed close', place: mark.place }] : [],
  );
  return [...passFaults(pass), ...close, ...(ground.isRow ? footTrouble(pass) : [])];
}

/**
 * Faults that a pair had at the same place in three passes or more of those that count, the most frequent first.
 * @param passes - of one pair and one question, oldest first
 * @param ground - what stands where they happened
 */
export function repeatedFaults(passes: readonly JudgedPass[], ground: FaultGround = NO_GROUND): RepeatedFault[] {
  const counts = new Map<string, PassFault & { times: number }>();
  for (const pass of passes) {
    if (isVoid(pass)) continue;
    const once = new Map(
      troubles(pass, ground).map(fault => [`${fault.what} ${fault.place} ${fault.part ?? ''}`, fault]),
    );
    for (const [key, fault] of once) counts.set(key, { ...fault, times: (counts.get(key)?.times ?? 0) + 1 });
  }
  return [...counts.values()]
    .filter(({ times }) => times >= TIMES)
    .sort((a, b) => b.times - a.times)
    .map(fault => {
      const { words, answers } = adviceFor(fault, ground);
      return { ...fault, suggestion: words, answers: answers?.(fault.place) ?? [] };
    });
}
