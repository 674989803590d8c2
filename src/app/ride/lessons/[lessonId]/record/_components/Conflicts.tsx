'use client';

import { doubledPasses, type LoggedPass, recordConflicts } from '@/core';
import classes from '@/app/ride/_components/record/Record.module.css';
import { changeWords, passOf, passWords, type RecordNames } from '@/app/ride/recordWords';

/** What is recorded so much later than it was ridden was written down afterwards. */
export const LATE_MS = 60 * 60 * 1000;

export function Conflicts({ names, onOpen }: { names: RecordNames; onOpen: (passId: string) => void }) {
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
export function Doubled({ names, ready, onTakeBack }: DoubledProps) {
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
