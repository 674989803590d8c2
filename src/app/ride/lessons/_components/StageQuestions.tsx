'use client';

import { useLengths, useSay } from '@/components/Lengths/LengthsProvider';
import { newId } from '@/components/newId';
import {
  AS_OF_ALL,
  askedLayout,
  outOfReachWords,
  readForPairs,
  type AskedQuestion,
  type PairAsk,
  type PairLeg,
  type Question,
} from '@/core';
import { Button, NumberInput, Select, Switch } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import type { TodayOf } from './questionsToday';
import type { LessonPair } from './lessonPair';
import { NewQuestion } from './NewQuestion';
import classes from './LessonEditor.module.css';

type StageQuestionsProps = {
  layout: LayoutHere;
  questions: readonly AskedQuestion[];
  todayOf: TodayOf;
  pairs: readonly LessonPair[];
  onChange: (questions: AskedQuestion[]) => void;
  /** A question that was chosen from what the layout offers: what it is today goes with it. */
  onOffered: (id: string, offered: OfferedHere) => void;
};

/** What a stage asks: each question with what it is for every pair, and what is asked of one pair otherwise. */
export function StageQuestions(props: StageQuestionsProps) {
  const say = useSay();
  const { layout, questions, todayOf, pairs, onChange, onOffered } = props;
  const add = (offered: OfferedHere) => {
    const id = newId();
    onOffered(id, offered);
    onChange([...questions, { question: { id, ...offered.planned }, ofPairs: {} }]);
  };
  return (
    <div className={classes.questions}>
      {questions.length === 0 && <p>This stage asks nothing yet.</p>}
      {questions.map((asked, index) => (
        <OneQuestion
          key={asked.question.id}
          {...{ asked, layout, pairs }}
          today={todayOf(asked.question)}
          onChange={changed => onChange(questions.map((one, at) => (at === index ? changed : one)))}
          onRemove={() => onChange(questions.filter((_, at) => at !== index))}
        />
      ))}
      <Select
        aria-label="Ask something else too"
        placeholder="Ask something else too"
        searchable
        value={null}
        data={layout.questions.map(({ today }, at) => ({ value: String(at), label: say(today.words) }))}
        onChange={at => at !== null && add(layout.questions[Number(at)]!)}
      />
      <details className={classes.made}>
        <summary>Another question</summary>
        <NewQuestion
          layout={layout.layout}
          pairs={pairs}
          gait={questions[0]?.question.gait ?? 'course-canter'}
          ready
          onAsk={question => onChange([...questions, { question, ofPairs: {} }])}
        />
      </details>
    </div>
  );
}

type OneQuestionProps = {
  asked: AskedQuestion;
  layout: LayoutHere;
  pairs: readonly LessonPair[];
  /** As the layout has it today; null where it no longer has it. */
  today: { question: Question; words: string } | null;
  onChange: (asked: AskedQuestion) => void;
  onRemove: () => void;
};

function OneQuestion({ asked, layout, pairs, today, onChange, onRemove }: OneQuestionProps) {
  const { say } = useLengths();
  const readings = today
    ? readForPairs(
        layout.layout,
        { question: today.question, ofPairs: asked.ofPairs },
        pairs.map(({ id, strides }) => ({ id, horse: strides })),
      )
    : [];
  const horseOf = (pairId: string) => pairs.find(({ id }) => id === pairId)!.horse;
  return (
    <section className={classes.question} aria-label={say(today?.words ?? 'A question that is gone')}>
      <div className={classes.stageHead}>
        <span>
          {say(today?.words ?? 'The layout no longer has what this goes over: take it out, and ask something else.')}
        </span>
        <Button variant="subtle" size="compact-sm" aria-label="Take this question out" onClick={onRemove}>
          <IconX size={16} />
        </Button>
      </div>
      {readings.some(({ legs }) => legs && legs.length > 0) && (
        <dl className={classes.finds} aria-label="What it is for each pair">
          {readings.map(({ pairId, legs }) => (
            <div key={pairId}>
              <dt>{horseOf(pairId)}</dt>
              {alikeTogether(legs ?? []).map(({ words, usable, times }, at) => (
                <dd key={at} data-unusable={!usable || undefined}>
                  {words}
                  {times > 1 && ` × ${times}`}
                </dd>
              ))}
            </div>
          ))}
        </dl>
      )}
      {outOfReachWords(readings, horseOf).map(words => (
        <p key={words} role="status">
          <strong>Out of reach.</strong> {say(words)}
        </p>
      ))}
      {today && <ByPair {...{ asked, layout, pairs, today }} onChange={onChange} />}
    </section>
  );
}

/** Legs one after the other that read alike, as one. */
function alikeTogether(legs: readonly PairLeg[]): { words: string; usable: boolean; times: number }[] {
  const told: { words: string; usable: boolean; times: number }[] = [];
  for (const { words, usable } of legs) {
    const last = told.at(-1);
    if (last?.words === words) last.times += 1;
    else told.push({ words, usable, times: 1 });
  }
  return told;
}

type ByPairProps = Pick<OneQuestionProps, 'asked' | 'layout' | 'pairs' | 'onChange'> & {
  today: { question: Question };
};

/** Counts, heights, and a fence as a pole: of all, or of one pair otherwise. */
function ByPair({ asked, layout, pairs, today, onChange }: ByPairProps) {
  const track = askedLayout(layout.layout, today.question)?.tracks[0];
  if (track?.kind !== 'items') return null;
  const ofAll = (next: PairAsk) =>
    onChange({
      ...asked,
      question: {
        ...asked.question,
        asked: next.asked ?? asked.question.asked,
        state: {
          ...asked.question.state,
          heightM: { ...asked.question.state.heightM, ...next.heightM },
          asPole: [...next.asPole],
        },
      },
    });
  const ofPair = (pairId: string) => (next: PairAsk) =>
    onChange({ ...asked, ofPairs: { ...asked.ofPairs, [pairId]: next } });
  const { state } = asked.question;
  return (
    <details>
      <summary>Counts and heights, of all or of one pair</summary>
      <AskFields
        who="all"
        ask={{ asked: today.question.asked, heightM: state.heightM, asPole: state.asPole }}
        {...{ layout, track }}
        onChange={ofAll}
      />
      {pairs.map(({ id, horse }) => (
        <AskFields
          key={id}
          who={horse}
          ask={asked.ofPairs[id] ?? AS_OF_ALL}
          {...{ layout, track }}
          onChange={ofPair(id)}
        />
      ))}
    </details>
  );
}

type Track = Extract<LayoutHere['layout']['tracks'][number], { kind: 'items' }>;
type AskFieldsProps = {
  who: string;
  ask: PairAsk;
  layout: LayoutHere;
  track: Track;
  onChange: (ask: PairAsk) => void;
};

/** A count for each leg, empty for none; a height for each fence, empty for as laid out. */
function AskFields({ who, ask, layout, track, onChange }: AskFieldsProps) {
  const counts = track.legs.map((_, leg) => ask.asked?.[leg] ?? null);
  const fences = [...new Set(track.through.map(({ item }) => item))].filter(id =>
    layout.layout.items.some(item => item.id === id && item.kind === 'fence'),
  );
  const place = (id: string) => track.through.findIndex(({ item }) => item === id) + 1;
  return (
    <fieldset className={classes.ask}>
      <legend>Of {who}</legend>
      {counts.map((count, leg) => (
        <NumberInput
          key={leg}
          size="xs"
          label={`Strides ${leg + 1} to ${leg + 2}`}
          min={0}
          max={99}
          allowDecimal={false}
          value={count ?? ''}
          onChange={value => {
            const next = typeof value === 'number' ? value : null;
            onChange({ ...ask, asked: counts.map((before, at) => (at === leg ? next : before)) });
          }}
        />
      ))}
      {fences.map(id => (
        <div key={id} className={classes.fence}>
          <NumberInput
            size="xs"
            label={`Height of ${place(id)}, cm`}
            min={5}
            max={200}
            step={5}
            disabled={ask.asPole.includes(id)}
            value={ask.heightM[id] === undefined ? '' : Math.round(ask.heightM[id] * 100)}
            onChange={value => {
              const { [id]: _, ...others } = ask.heightM;
              onChange({ ...ask, heightM: typeof value === 'number' ? { ...others, [id]: value / 100 } : others });
            }}
          />
          <Switch
            size="xs"
            label="as a pole"
            checked={ask.asPole.includes(id)}
            onChange={event => {
              const others = ask.asPole.filter(other => other !== id);
              onChange({ ...ask, asPole: event.currentTarget.checked ? [...others, id] : others });
            }}
          />
        </div>
      ))}
    </fieldset>
  );
}
