'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { type LoggedPass } from '@/core';
import classes from '@/app/ride/_components/record/Record.module.css';
import { marksInWords, passWords, type RecordNames } from '@/app/ride/recordWords';
import { yardTime } from '@/app/_server/yardTime';
import { LATE_MS } from './Conflicts';

type PassRowProps = { logged: LoggedPass; names: RecordNames; timeZone: string; onOpen: () => void };

export function PassRow({ logged, names, timeZone, onOpen }: PassRowProps) {
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
