'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { amend, bare, marksFit, passRecord, sayMark, type TappedMark } from '@/core';
import { MarkPanel } from '@/app/ride/_components/pad/MarkPanel';
import { rideSand } from '@/app/ride/_components/pad/rideSand';
import { askedRide, type AskedRide } from '@/app/ride/askedRide';
import { markOfPassWords, passWords } from '@/app/ride/recordWords';
import { saying } from '@/app/ride/saying';
import { yardTime } from '@/app/_server/yardTime';
import { useState } from 'react';
import classes from './Record.module.css';
import { type PartProps } from './passEditorProps';

/** What was marked, mark by mark, and the pad to mark it otherwise. */
export function Marks({ log, logged, names, layout, horse, rules, timeZone, ready, onSay }: PartProps) {
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
