'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Delivery } from '@/components/sync/Delivery';
import {
  aboutMinutes,
  amend,
  changedAfterwards,
  doubledPasses,
  type Layout,
  type LayoutHorse,
  type LessonState,
  type LoggedPass,
  minutesRidden,
  offeredQuestions,
  type Question,
  recordConflicts,
  standingPasses,
  tapHistory,
  trackKey,
  type YardRules,
} from '@/core';
import { ChangeList } from '@/app/ride/_components/record/ChangeList';
import { PassEditor } from '@/app/ride/_components/record/PassEditor';
import classes from '@/app/ride/_components/record/Record.module.css';
import { UndoRedo } from '@/app/ride/_components/record/UndoRedo';
import { askedRide } from '@/app/ride/askedRide';
import { changeWords, marksInWords, passOf, passWords, type RecordNames } from '@/app/ride/recordWords';
import { saying } from '@/app/ride/saying';
import { yardTime } from '@/app/_server/yardTime';
import Link from 'next/link';
import { useState } from 'react';
import { ArchiveLesson } from '../../_components/ArchiveLesson';
import { useLesson, type FirstRecord } from '../../_state/useLesson';
import { useVersions } from '../../run/_state/useVersions';

type BoardProps = {
  lessonId: string;
  state: LessonState;
  /** When the lesson was over, on the yard's clock; null where it is not. */
  over: string | null;
  /** What is said since then puts it right, and is what an undo here takes back; null while it is ridden. */
  sinceMs: number | null;
  /** Whether its day lies back. */
  isPast: boolean;
  /** Whether it may run: on another day than its own it is written down instead. */
  isItsDay: boolean;
  first: FirstRecord;
  /** The pass that is put right when the page opens. */
  openPassId: string | null;
  layouts: Record<string, Layout>;
  /** The pairs of the lesson, then the others of the yard, with the strides of that day. */
  pairs: { id: string; name: string; strides: LayoutHorse }[];
  stages: { id: string; name: string; questions: Question[] }[];
  rules: YardRules;
  homeFacingDeg: number | null;
  timeZone: string;
};

/** A lesson's record to be read, and to be put right: pass by pass, mark by mark, with everything that was changed. */
export function LessonRecordBoard(props: BoardProps) {
  const say = useSay();
  const { lessonId, pairs, stages, timeZone } = props;
  const lesson = useLesson(lessonId, props.first);
  const { log, ready } = lesson;
  const layouts = useVersions(
    props.layouts,
    log.passes.map(({ pass }) => pass),
  );
  const [openId, setOpenId] = useState(props.openPassId);
  const names: RecordNames = {
    log,
    pairOf: id => pairs.find(pair => pair.id === id)?.name ?? joinedName(log.joins, id),
    timeOf: atMs => yardTime(atMs, timeZone, 'ddd D MMM YYYY, HH:mm'),
    rideOf: ({ layoutVersionId, question, pairId }) => {
      const layout = layouts[layoutVersionId];
      return layout ? askedRide(layout, question, pairs.find(({ id }) => id === pairId)?.strides ?? null) : null;
    },
  };
  const sinceMs = props.sinceMs ?? undefined;
  const history = tapHistory(log, 'all', sinceMs);
  const passes = [...log.passes].sort((a, b) => a.pass.riddenAtMs - b.pass.riddenAtMs);
  const counting = passes.filter(({ counts }) => counts);
  const gone = passes.filter(({ counts }) => !counts);
  const open = log.passes.find(({ pass }) => pass.id === openId);
  const openLayout = open && layouts[open.pass.layoutVersionId];
  const row = (logged: LoggedPass) => (
    <PassRow key={logged.pass.id} {...{ logged, names, timeZone }} onOpen={() => setOpenId(logged.pass.id)} />
  );
  const told = changedAfterwards(log);
  /** How long each pair rode at a stage. */
  const timesAt = (id: string) => {
    const own = counting.filter(({ pass }) => stageKey(pass) === id);
    return [...new Set(own.map(({ pass }) => pass.pairId))]
      .map(pairId => {
        const began = own.flatMap(({ pass }) => (pass.pairId === pairId ? [pass.riddenAtMs] : []));
        return `${names.pairOf(pairId)}: ${aboutMinutes(minutesRidden(began))}`;
      })
      .join('; ');
  };
  return (
    <div className={classes.board}>
      <LessonLife {...props} lesson={lesson} />
      <Delivery ready={lesson.ready} waits={lesson.waits} />
      <div className={classes.row}>
        <UndoRedo {...{ history, names, ready }} onReverse={lesson.reverse} />
        <a className={classes.key} href={`/api/lessons/${lessonId}/changes`} download>
          What was changed (CSV)
        </a>
      </div>
      <Conflicts names={names} onOpen={setOpenId} />
      <Doubled
        names={names}
        ready={ready}
        onTakeBack={({ pass }) =>
          lesson.tap([
            amend(log, lessonId, { on: 'pass', of: pass.id, what: 'counts', was: true, to: false }, saying()),
          ])
        }
      />
      {open && openLayout && (
        <PassEditor
          key={open.pass.id}
          {...{ log, names, ready, timeZone, stages, sinceMs }}
          passId={open.pass.id}
          layout={openLayout}
          horse={pairs.find(({ id }) => id === open.pass.pairId)?.strides ?? null}
          pairs={withJoined(pairs, log.joins)}
          questions={couldBe(openLayout, open, log.passes, stages)}
          rules={props.rules}
          homeFacingDeg={props.homeFacingDeg}
          onSay={lesson.tap}
          onClose={() => setOpenId(null)}
        />
      )}
      {counting.length === 0 && <p>Nothing is in this record yet.</p>}
      {stagesOf(stages, counting).map(({ id, name }) => (
        <section key={id} aria-label={name}>
          <h2>{say(name)}</h2>
          <small>{timesAt(id)}</small>
          <ol className={classes.passes}>{counting.filter(({ pass }) => stageKey(pass) === id).map(row)}</ol>
        </section>
      ))}
      {gone.length > 0 && (
        <section aria-label="Taken back">
          <h2>Taken back</h2>
          <p>These do not count. Each can be brought back.</p>
          <ol className={classes.passes}>{gone.map(row)}</ol>
        </section>
      )}
      {told.length > 0 && (
        <ChangeList changes={told} names={names} timeZone={timeZone} title="What was changed afterwards" />
      )}
    </div>
  );
}

type Joins = ReturnType<typeof useLesson>['log']['joins'];

function joinedName(joins: Joins, pairId: string): string {
  const join = joins.find(one => one.pairId === pairId);
  return join ? `${join.horse.name} with ${join.rider.name}` : 'a pair';
}

/** The pairs that a pass may be said to be of: those that the page came with, and those that joined since. */
function withJoined(pairs: BoardProps['pairs'], joins: Joins): { id: string; name: string }[] {
  const joined = joins.filter(({ pairId }) => !pairs.some(({ id }) => id === pairId));
  return [...pairs, ...joined.map(({ pairId }) => ({ id: pairId, name: joinedName(joins, pairId) }))];
}

const stageKey = ({ stageId, stage }: LoggedPass['pass']) => stageId ?? stage;

/** The stages of the plan that something was ridden in, in order, and then those that are not in the plan any more. */
function stagesOf(stages: BoardProps['stages'], passes: readonly LoggedPass[]): { id: string; name: string }[] {
  const ridden = new Map(passes.map(({ pass }) => [stageKey(pass), pass.stage]));
  const planned = stages.filter(({ id }) => ridden.has(id));
  const others = [...ridden].filter(([id]) => !stages.some(stage => stage.id === id));
  return [...planned, ...others.map(([id, name]) => ({ id, name }))];
}

/** What may have been ridden over the layout of a pass: what its lesson asks, what others rode there, what the layout offers. */
function couldBe(
  layout: Layout,
  { pass }: LoggedPass,
  passes: readonly LoggedPass[],
  stages: BoardProps['stages'],
): Question[] {
  const asked = stages.flatMap(({ questions }) => questions);
  const ridden = passes.flatMap(one => (one.pass.layoutVersionId === pass.layoutVersionId ? [one.pass.question] : []));
  const offered = offeredQuestions({ layout, exercises: [], ownerOf: new Map() });
  const all = [...ridden, ...asked, ...offered.map((one, index): Question => ({ ...one, id: `offered-${index + 1}` }))];
  const byTrack = new Map<string, Question>();
  for (const question of all) if (!byTrack.has(trackKey(question))) byTrack.set(trackKey(question), question);
  byTrack.delete(trackKey(pass.question));
  return [...byTrack.values()];
}

type PassRowProps = { logged: LoggedPass; names: RecordNames; timeZone: string; onOpen: () => void };

function PassRow({ logged, names, timeZone, onOpen }: PassRowProps) {
  const say = useSay();
  const { pass, counts, by, saidAtMs } = logged;
  const ride = names.rideOf(pass);
  const marked = marksInWords(logged, ride);
  const isLate = saidAtMs - pass.riddenAtMs > LATE_MS;
  return (
    <li data-gone={!counts || undefined}>
      <span>
        <strong>{names.pairOf(pass.pairId)}</strong>, {yardTime(pass.riddenAtMs, timeZone, 'HH:mm')}:{' '}
        {say(passWords(pass, ride))}: {marked.length === 0 ? 'nothing to mark' : say(marked.join(', '))}
        <small>
          {[
            by === null ? '' : `by ${by}`,
            isLate ? `written down ${yardTime(saidAtMs, timeZone, 'D MMM YYYY, HH:mm')}` : '',
          ]
            .filter(Boolean)
            .join(', ')}
        </small>
      </span>
      <button type="button" className={classes.key} onClick={onOpen}>
        Put right
      </button>
    </li>
  );
}

/** What is recorded so much later than it was ridden was written down afterwards. */
const LATE_MS = 60 * 60 * 1000;

function Conflicts({ names, onOpen }: { names: RecordNames; onOpen: (passId: string) => void }) {
  const { log } = names;
  return recordConflicts(log).map(({ passId, on, what, of, standing, others }) => {
    const words = (value: unknown) => changeWords(names, { on, what, of, was: value, to: value } as never).after;
    const pass = passOf(log, { on, of });
    return (
      <div key={`${on} ${of} ${what}`} className={classes.notice} role="status">
        <p>
          <strong>
            Two said different things{pass ? ` of ${passWords(pass.pass, names.rideOf(pass.pass))}` : ''}.
          </strong>{' '}
          {words(standing.value)} stands{standing.by === null ? '' : `, said by ${standing.by}`};{' '}
          {others.map(one => `${words(one.value)}${one.by === null ? '' : ` was said by ${one.by}`}`).join('; ')}. Both
          are kept.
        </p>
        {passId !== null && (
          <button type="button" className={classes.key} onClick={() => onOpen(passId)}>
            Look at the pass
          </button>
        )}
      </div>
    );
  });
}

type DoubledProps = { names: RecordNames; ready: boolean; onTakeBack: (logged: LoggedPass) => void };

/** One pass that two people recorded: both count until somebody says which. */
function Doubled({ names, ready, onTakeBack }: DoubledProps) {
  return doubledPasses(names.log).map(([one, twin]) => (
    <div key={`${one.pass.id} ${twin.pass.id}`} className={classes.notice} role="status">
      <p>
        <strong>Recorded twice?</strong> {names.pairOf(one.pass.pairId)}, {passWords(one.pass, names.rideOf(one.pass))},
        by {one.by ?? 'one device'} and by {twin.by ?? 'another'} within half a minute. Both count.
      </p>
      <div className={classes.row}>
        {[one, twin].map(logged => (
          <button
            key={logged.pass.id}
            type="button"
            className={classes.key}
            disabled={!ready}
            onClick={() => onTakeBack(logged)}
          >
            Take back the one by {logged.by ?? 'a device without a name'}
          </button>
        ))}
      </div>
    </div>
  ));
}

/** In which state the lesson is, and what can be done about that. */
function LessonLife({
  lessonId,
  state,
  over,
  isPast,
  isItsDay,
  lesson,
}: BoardProps & { lesson: ReturnType<typeof useLesson> }) {
  const { log, ready } = lesson;
  const setEnded = (endedAtMs: number | null) => {
    lesson.tap([
      amend(log, lessonId, { on: 'lesson', of: lessonId, what: 'ended', was: log.endedAtMs, to: endedAtMs }, saying()),
    ]);
  };
  const isOpen = state === 'running' ? log.endedAtMs === null : log.reopenedAtMs !== null && log.endedAtMs === null;
  const n = standingPasses(log).length;
  return (
    <section aria-label="The lesson">
      <p>
        {STATE_WORDS[state === 'running' && !isOpen ? 'ended' : state]}
        {state === 'ended' && over !== null ? `, ${over}` : ''}. {n} {n === 1 ? 'pass counts' : 'passes count'}.
      </p>
      <div className={classes.row}>
        {state === 'running' && (
          <Link href={`/ride/lessons/${lessonId}/run`} className={classes.key}>
            Go on teaching
          </Link>
        )}
        {isOpen && (
          <button type="button" className={classes.key} disabled={!ready} onClick={() => setEnded(Date.now())}>
            End the lesson
          </button>
        )}
        {state === 'ended' && log.endedAtMs !== null && isItsDay && (
          <button type="button" className={classes.key} disabled={!ready} onClick={() => setEnded(null)}>
            Open it again
          </button>
        )}
        {state !== 'running' && isPast && (
          <Link href={`/ride/lessons/${lessonId}/run?write=1`} className={classes.key}>
            Add passes afterwards
          </Link>
        )}
        <Link href={`/ride/lessons/${lessonId}`} className={classes.key}>
          Plan, day and pairs
        </Link>
        <ArchiveLesson lessonId={lessonId} archived={state === 'archived'} />
      </div>
    </section>
  );
}

const STATE_WORDS: Record<LessonState, string> = {
  planned: 'Planned',
  running: 'It runs',
  ended: 'It is over',
  archived: 'It is archived',
};
