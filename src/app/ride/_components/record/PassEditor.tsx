'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { amend, reverseTap, tapHistory, type ChangedValue, type Tap } from '@/core';
import { passOf, passWords } from '@/app/ride/recordWords';
import { saying } from '@/app/ride/saying';
import { yardTime } from '@/app/_server/yardTime';
import { useEffect, useRef } from 'react';
import { ChangeList } from './ChangeList';
import { PassDrawing } from './PassDrawing';
import { UndoRedo } from './UndoRedo';
import classes from './Record.module.css';
import { Marks } from './MarksOfPass';
import { WhoAndWhen } from './WhoAndWhen';
import { type PassEditorProps } from './passEditorProps';

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
