import { markWords } from '../record/markWords';
import { standingMarks } from '../record/passMark';
import { isVoid, passFaults } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';
import { repeatedFaults } from './repeatedFault';
import { stageGate, type GateRule } from './stageGate';

/** What is needed of a stage to tell how it was ridden. */
export type ToldStage = { name: string; asked: readonly (number | null)[]; nameOf: (place: number) => string };

export type StageSummary = {
  stage: string;
  left: number;
  right: number;
  clean: number;
  /** Pass by pass, in words. */
  passes: string[];
};

/** What a pair rode in a lesson, how, and what comes next. */
export type PairSummary = { stages: StageSummary[]; next: string[] };

/**
 * A pair's part of a lesson in words. What comes next is the rule's reason at the last stage that was ridden, and what to
 * try about faults that came back.
 * @param passes - of one pair, oldest first
 */
export function pairSummary(passes: readonly PassRecord[], stages: readonly ToldStage[], rule?: GateRule): PairSummary {
  const ridden = stages.flatMap(stage => {
    const own = passes.filter(pass => pass.stage === stage.name);
    return own.length === 0 ? [] : [{ stage, own }];
  });
  const last = ridden[ridden.length - 1];
  const following = last ? stages[stages.indexOf(last.stage) + 1] : stages[0];
  return {
    stages: ridden.map(({ stage, own }) => stageSummary(stage, own)),
    next: last ? whatNext(last, following ?? null, rule) : [],
  };
}

function stageSummary({ name, asked, nameOf }: ToldStage, passes: readonly PassRecord[]): StageSummary {
  const counted = passes.filter(pass => !isVoid(pass));
  return {
    stage: name,
    left: counted.filter(({ rein }) => rein === 'left').length,
    right: counted.filter(({ rein }) => rein === 'right').length,
    clean: counted.filter(pass => passFaults(pass, asked).length === 0).length,
    passes: passes.map(({ rein, marks }) => {
      const words = standingMarks(marks).map(mark => markWords(mark, nameOf));
      return `${rein} rein: ${words.length === 0 ? 'clean' : words.join(', ')}`;
    }),
  };
}

function whatNext(
  { stage, own }: { stage: ToldStage; own: readonly PassRecord[] },
  following: ToldStage | null,
  rule: GateRule | undefined,
): string[] {
  const gate = stageGate(own, rule, stage.asked);
  const goOn = gate.ready ? (following ? `On to “${following.name}”. ` : 'This exercise is done. ') : '';
  return [
    `${goOn}${gate.reason}`,
    ...repeatedFaults(own, stage.asked).map(({ what, place, times, suggestion }) => {
      const where = place === null ? '' : ` at ${stage.nameOf(place)}`;
      return `${what}${where}, ${times} times: ${suggestion}`;
    }),
  ];
}
