'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import {
  amend,
  askedLayout,
  bare,
  headingFromFacing,
  marksFit,
  passRecord,
  questionWords,
  reverseTap,
  sayMark,
  tapHistory,
  waysToRide,
  type ChangedValue,
  type Layout,
  type LayoutHorse,
  type LoggedPass,
  type Question,
  type RecordEvent,
  type RecordLog,
  type Tap,
  type TappedMark,
  type YardRules,
} from '@/core';
import { MarkPanel } from '@/app/ride/_components/pad/MarkPanel';
import { rideSand } from '@/app/ride/_components/pad/rideSand';
import { askedRide, type AskedRide } from '@/app/ride/askedRide';
import { markOfPassWords, passOf, passWords, type RecordNames } from '@/app/ride/recordWords';
import { saying } from '@/app/ride/saying';
import { instantOf, yardTime } from '@/app/_server/yardTime';
import { useEffect, useRef, useState } from 'react';
import { Steering } from '../Steering';
import { ChangeList } from './ChangeList';
import { PassDrawing } from './PassDrawing';
import { UndoRedo } from './UndoRedo';
import classes from './Record.module.css';

export type PassEditorProps = {
  log: RecordLog;
  passId: string;
  names: RecordNames;
  /** As it was ridden over. */
  layout: Layout;
  /** The horse with its strides of that day. */
  horse: LayoutHorse | null;
  pairs: readonly { id: string; name: string }[];
  /** Of the lesson; none for a ride by itself. */
  stages: readonly { id: string; name: string }[];
  /** What else may have been ridden over the same layout. */
  questions: readonly Question[];
  rules: Pick<YardRules, 'faults' | 'riderMarks'>;
  homeFacingDeg: number | null;
  timeZone: string;
  /** Only what was said since then is undone; all of it where it is left out. */
  sinceMs?: number;
  ready: boolean;
  onSay: (events: RecordEvent[]) => void;
  onClose: () => void;
};

const LOCAL = 'YYYY-MM-DDTHH:mm';

/** A pass put right: who rode what, when and how, and each mark. Whatever is changed is kept with what it was before. */
export function PassEditor(props: PassEditorProps) {
  const say = useSay();
  const { log, passId, names, ready, onSay, onClose } = props;
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    head.current?.scrollIntoView({ block: 'start' });
    head.current?.focus({ preventScroll: true });
  }, [passId]);
  const logged = log.passes.find(({ pass }) => pass.id === passId);
  if (!logged) return null;
  const { pass, counts } = logged;
  const ride = names.rideOf(pass);
  const history = tapHistory(log, { passId }, props.sinceMs);
  const reverse = (tap: Tap) => onSay(reverseTap(log, pass.lessonId, tap, saying()));
  const change = (value: ChangedValue) => onSay([amend(log, pass.lessonId, { ...value, of: passId }, saying())]);
  const own = log.changes.filter(one => passOf(log, one) === logged);
  return (
    <section aria-label="A pass put right" className={classes.editor}>
      <header>
        <h2 ref={head} tabIndex={-1}>
          {say(passWords(pass, ride))}
        </h2>
        <p>
          {names.pairOf(pass.pairId)}, {pass.stage},{' '}
          {yardTime(pass.riddenAtMs, props.timeZone, 'ddd D MMM YYYY, HH:mm')}
          {counts ? '' : '. It was taken back and does not count.'}
        </p>
        <div className={classes.row}>
          <button type="button" className={classes.key} onClick={onClose}>
            Close
          </button>
          <UndoRedo {...{ history, names, ready }} onReverse={reverse} />
          <button
            type="button"
            className={classes.key}
            disabled={!ready}
            onClick={() => change({ on: 'pass', what: 'counts', was: counts, to: !counts })}
          >
            {counts ? 'Take this pass back' : 'Bring this pass back'}
          </button>
        </div>
      </header>
      <PassDrawing layout={props.layout} question={pass.question} direction={pass.direction} />
      <WhoAndWhen {...props} logged={logged} onChange={change} />
      <Marks {...props} logged={logged} />
      {own.length > 0 && (
        <ChangeList changes={own} names={names} timeZone={props.timeZone} title="What was changed of it" />
      )}
    </section>
  );
}

type PartProps = PassEditorProps & { logged: LoggedPass };

function WhoAndWhen(props: PartProps & { onChange: (value: ChangedValue) => void }) {
  const say = useSay();
  const { layout, horse, pairs, stages, questions, timeZone, ready, onChange, homeFacingDeg } = props;
  const { pass, marks } = props.logged;
  const [when, setWhen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const ride = askedRide(layout, pass.question, horse);
  const counting = passRecord(props.logged).marks;
  const fitting = questions.filter(
    one => JSON.stringify(one) !== JSON.stringify(pass.question) && marksFit(layout, one, counting),
  );
  const ways = askedLayout(layout, pass.question);
  const told = when ?? yardTime(pass.riddenAtMs, timeZone, LOCAL);
  const toMs = instantOf(told, timeZone);
  return (
    <>
      <div className={classes.fields}>
        <label>
          Who rode
          <select
            value={pass.pairId}
            disabled={!ready}
            onChange={event => onChange({ on: 'pass', what: 'pair', was: pass.pairId, to: event.currentTarget.value })}
          >
            {pairs.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {stages.length > 0 && (
          <label>
            Stage
            <select
              value={pass.stageId ?? ''}
              disabled={!ready}
              onChange={event => {
                const stage = stages.find(({ id }) => id === event.currentTarget.value);
                if (!stage) return;
                const was = { stageId: pass.stageId, stage: pass.stage };
                onChange({ on: 'pass', what: 'stage', was, to: { stageId: stage.id, stage: stage.name } });
              }}
            >
              {!stages.some(({ id }) => id === pass.stageId) && <option value="">{pass.stage}</option>}
              {stages.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <label>
          What was ridden
          <select
            value=""
            disabled={!ready || fitting.length === 0}
            onChange={event => {
              const to = fitting[Number(event.currentTarget.value)];
              if (to) onChange({ on: 'pass', what: 'question', was: pass.question, to });
            }}
          >
            <option value="">{ride?.words ?? pass.stage}</option>
            {fitting.map((question, index) => (
              <option key={question.id} value={index}>
                {say(questionWords(layout, question))}
              </option>
            ))}
          </select>
        </label>
        <form
          className={classes.when}
          onSubmit={event => {
            event.preventDefault();
            if (toMs === null) return setProblem('This is no day and time.');
            if (toMs > Date.now()) return setProblem('That time has not come yet: what was ridden lies before now.');
            onChange({ on: 'pass', what: 'time', was: pass.riddenAtMs, to: toMs });
            setProblem(null);
            setWhen(null);
          }}
        >
          <label>
            When it was ridden
            <input type="datetime-local" value={told} onChange={event => setWhen(event.currentTarget.value)} />
          </label>
          <button type="submit" className={classes.key} disabled={!ready || when === null}>
            Save
          </button>
        </form>
      </div>
      {ways && (
        <Steering
          ways={waysToRide(ways)}
          way={pass}
          homeRad={homeFacingDeg === null ? null : headingFromFacing(homeFacingDeg)}
          headingRad={ride?.headingRad ?? null}
          onSteer={({ rein, direction }) =>
            onChange({
              ...{ on: 'pass', what: 'way', to: { rein, direction } },
              was: { rein: pass.rein, direction: pass.direction },
            })
          }
        />
      )}
      {problem && <p role="alert">{problem}</p>}
      {marks.length === 0 && <p>Nothing was marked in it.</p>}
    </>
  );
}

/** What was marked, mark by mark, and the pad to mark it otherwise. */
function Marks({ log, logged, names, layout, horse, rules, timeZone, ready, onSay }: PartProps) {
  const say = useSay();
  const { pass } = logged;
  const ride = askedRide(layout, pass.question, horse);
  const marks = passRecord(logged).marks;
  const takeBack = (id: string, to: boolean) =>
    onSay([amend(log, pass.lessonId, { on: 'mark', of: id, what: 'counts', was: !to, to }, saying())]);
  const onMark = (tapped: TappedMark) => onSay([sayMark(log, pass.id, tapped, saying())]);
  return (
    <>
      <ul className={classes.marks} aria-label="What was marked">
        {logged.marks.map(({ mark, counts, by }) => (
          <li key={mark.id} data-gone={!counts || undefined}>
            <span>
              {say(markOfPassWords(bare(mark), ride))}
              {by === null ? '' : `, by ${by}`}
              {counts ? '' : ' (taken back)'}
            </span>
            <button type="button" className={classes.key} disabled={!ready} onClick={() => takeBack(mark.id, !counts)}>
              {counts ? 'Take back' : 'Bring back'}
            </button>
          </li>
        ))}
      </ul>
      <MoveMark {...{ log, logged, names, layout, ride, timeZone, ready, onSay }} />
      {ride && (
        <details className={classes.more}>
          <summary>Mark it otherwise, or add a mark</summary>
          <MarkPanel
            {...{ ride, marks, ready, onMark }}
            key={`${ride.key} ${pass.direction}`}
            sand={rideSand(layout, pass.question, pass.direction)}
            passId={pass.id}
            gait={pass.question.gait}
            backwards={pass.direction === 'other-way'}
            faults={rules.faults}
            riderMarks={rules.riderMarks}
            onMarks={said => onSay(said.map(one => sayMark(log, pass.id, one, saying())))}
            onUnmark={id => takeBack(id, false)}
          />
        </details>
      )}
    </>
  );
}

type MoveMarkProps = Pick<PartProps, 'log' | 'logged' | 'names' | 'layout' | 'timeZone' | 'ready' | 'onSay'> & {
  ride: AskedRide | null;
};

/** A mark that belongs to another pass over the same layout: it is taken back here and made there, with one tap. */
function MoveMark({ log, logged, names, layout, ride, timeZone, ready, onSay }: MoveMarkProps) {
  const say = useSay();
  const [markId, setMarkId] = useState('');
  const [passId, setPassId] = useState('');
  const marks = passRecord(logged).marks;
  const mark = marks.find(({ id }) => id === markId);
  const others = log.passes.filter(
    ({ pass, counts }) =>
      counts &&
      pass.id !== logged.pass.id &&
      pass.layoutVersionId === logged.pass.layoutVersionId &&
      marksFit(layout, pass.question, mark ? [mark] : []),
  );
  if (marks.length === 0 || others.length === 0) return null;
  const move = () => {
    if (!mark || !others.some(({ pass }) => pass.id === passId)) return;
    const own = saying();
    onSay([
      amend(log, logged.pass.lessonId, { on: 'mark', of: mark.id, what: 'counts', was: true, to: false }, own),
      sayMark(log, passId, bare(mark), own),
    ]);
    setMarkId('');
  };
  return (
    <details className={classes.more}>
      <summary>Move a mark to another pass</summary>
      <div className={classes.fields}>
        <label>
          Mark
          <select value={markId} onChange={event => setMarkId(event.currentTarget.value)}>
            <option value="">choose a mark</option>
            {marks.map(one => (
              <option key={one.id} value={one.id}>
                {say(markOfPassWords(bare(one), ride))}
              </option>
            ))}
          </select>
        </label>
        <label>
          To the pass of
          <select value={passId} onChange={event => setPassId(event.currentTarget.value)}>
            <option value="">choose a pass</option>
            {others.map(({ pass }) => (
              <option key={pass.id} value={pass.id}>
                {names.pairOf(pass.pairId)}, {yardTime(pass.riddenAtMs, timeZone, 'HH:mm')},{' '}
                {say(passWords(pass, names.rideOf(pass)))}
              </option>
            ))}
          </select>
        </label>
        <button type="button" className={classes.key} disabled={!ready || !mark || passId === ''} onClick={move}>
          Move it
        </button>
      </div>
    </details>
  );
}
