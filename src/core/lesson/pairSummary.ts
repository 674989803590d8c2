import { markWords } from '../record/markWords';
import { standingMarks } from '../record/passMark';
import { firstImprovement, type Improvement } from './improvement';
import { isVoid, passFaults } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';
import { trackKey } from '../question/questionKey';
import { isAtStage } from './atStage';
import { minutesRidden } from './minutesRidden';
import { repeatedFaults } from './repeatedFault';
import { stageGate, type GatedQuestion, type GateRule } from './stageGate';

/** A pass with what it was over in words: names come from its own version and question. */
export type ToldPass = PassRecord & {
  /** What was asked: "In five", "3, 1, 2". */
  questionWords: string;
  nameOf: (place: number) => string;
};

/** What is needed of a stage to tell how it was ridden. */
export type ToldStage = { id: string; name: string; questions: readonly GatedQuestion[] };

export type StageSummary = {
  stage: string;
  question: string;
  left: number;
  right: number;
  /** Passes of a track that changes the rein. */
  without: number;
  clean: number;
  /** About how long it was ridden. */
  minutes: number;
  /** The first clear change for the better, before and after; null where there was none. */
  change: Improvement | null;
  /** Pass by pass, in words. */
  passes: string[];
};

/** What a pair rode in a lesson, how, and what comes next. */
export type PairSummary = { stages: StageSummary[]; next: string[] };

/**
 * A pair's part of a lesson in words, question by question. What comes next is the rule's reason at the last stage that was
 * ridden, and what to try about faults that came back.
 * @param passes - of one pair, oldest first
 */
export function pairSummary(passes: readonly ToldPass[], stages: readonly ToldStage[], rule?: GateRule): PairSummary {
  const summaries = [...byStage(passes, stages)].flatMap(([stage, own]) =>
    [...byQuestion(own).values()].map(asked => summaryOf(stage, asked)),
  );
  const ridden = stages.filter(stage => passes.some(pass => isAtStage(pass, stage)));
  const last = ridden[ridden.length - 1];
  const following = last ? (stages[stages.indexOf(last) + 1] ?? null) : null;
  const own = last ? passes.filter(pass => isAtStage(pass, last)) : [];
  return { stages: summaries, next: last ? whatNext(last, own, following, rule) : [] };
}

/** By what each stage is called now; what belongs to none that is there, by what it was called then. */
function byStage(passes: readonly ToldPass[], stages: readonly ToldStage[]): Map<string, ToldPass[]> {
  const groups = new Map<string, ToldPass[]>();
  for (const stage of stages) {
    const own = passes.filter(pass => isAtStage(pass, stage));
    if (own.length > 0) groups.set(stage.name, [...(groups.get(stage.name) ?? []), ...own]);
  }
  for (const pass of passes)
    if (!stages.some(stage => isAtStage(pass, stage)))
      groups.set(pass.stage, [...(groups.get(pass.stage) ?? []), pass]);
  return groups;
}

function byQuestion(passes: readonly ToldPass[]): Map<string, ToldPass[]> {
  const groups = new Map<string, ToldPass[]>();
  for (const pass of passes) {
    const key = `${pass.question.id} ${trackKey(pass.question)}`;
    groups.set(key, [...(groups.get(key) ?? []), pass]);
  }
  return groups;
}

function summaryOf(stage: string, passes: readonly ToldPass[]): StageSummary {
  const counted = passes.filter(pass => !isVoid(pass));
  const on = (rein: PassRecord['rein']) => counted.filter(pass => pass.rein === rein).length;
  return {
    ...{ stage, question: passes[0]!.questionWords, left: on('left'), right: on('right'), without: on(null) },
    clean: counted.filter(pass => passFaults(pass).length === 0).length,
    minutes: minutesRidden(passes.map(({ riddenAtMs }) => riddenAtMs)),
    change: firstImprovement(passes),
    passes: passes.map(passWords),
  };
}

function passWords({ rein, marks, nameOf }: ToldPass): string {
  const words = standingMarks(marks).map(mark => markWords(mark, nameOf));
  const told = words.length === 0 ? 'clean' : words.join(', ');
  return rein === null ? told : `${rein} rein: ${told}`;
}

function whatNext(
  stage: ToldStage,
  own: readonly ToldPass[],
  following: ToldStage | null,
  rule: GateRule | undefined,
): string[] {
  const gate = stageGate(own, stage.questions, rule);
  const goOn = gate.ready ? (following ? `On to “${following.name}”. ` : 'This exercise is done. ') : '';
  return [
    `${goOn}${gate.reason}`,
    ...[...byQuestion(own).values()].flatMap(asked =>
      repeatedFaults(asked).map(({ what, place, times, suggestion }) => {
        const where = place === null ? '' : ` at ${asked[0]!.nameOf(place)}`;
        return `${what}${where}, ${times} times: ${suggestion}`;
      }),
    ),
  ];
}
