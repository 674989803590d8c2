'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Delivery } from '@/components/sync/Delivery';
import {
  aboutMinutes,
  amend,
  changedAfterwards,
  type Layout,
  type LoggedPass,
  minutesRidden,
  offeredQuestions,
  type Question,
  tapHistory,
  trackKey,
} from '@/core';
import { ChangeList } from '@/app/ride/_components/record/ChangeList';
import { PassEditor } from '@/app/ride/_components/record/PassEditor';
import classes from '@/app/ride/_components/record/Record.module.css';
import { UndoRedo } from '@/app/ride/_components/record/UndoRedo';
import { askedRide } from '@/app/ride/askedRide';
import { type RecordNames } from '@/app/ride/recordWords';
import { saying } from '@/app/ride/saying';
import { yardTime } from '@/app/_server/yardTime';
import { useState } from 'react';
import { useLesson } from '../../_state/useLesson';
import { useVersions } from '../../run/_state/useVersions';
import { LessonLife } from './LessonLife';
import { Conflicts, Doubled } from './Conflicts';
import { PassRow } from './PassRow';
import { type BoardProps } from './boardProps';

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
