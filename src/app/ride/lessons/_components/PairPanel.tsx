'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { ENTRY_WORDS } from '@/app/review/entryWords';
import { Checkbox } from '@mantine/core';
import type { AsksOfPair } from './asksOfPair';
import type { LessonPair } from './lessonPair';
import classes from './LessonEditor.module.css';
import { workWords } from './workWords';

type PairPanelProps = {
  pair: LessonPair;
  asks: AsksOfPair;
  /** Whether its legs are read with the strides that were ridden lately. */
  byRecord: boolean;
  onByRecord: (isSo: boolean) => void;
};

/** What a lesson asks of one pair, stage by stage and leg by leg, before it rides. */
export function PairPanel({ pair, asks, byRecord, onByRecord }: PairPanelProps) {
  const { say, format } = useLengths();
  return (
    <section aria-label={`What ${pair.horse} is asked`} className={classes.panel}>
      <h2>
        {pair.horse} <small>with {pair.rider}</small>
      </h2>
      <p>{workWords(asks.work)}.</p>
      {pair.lately.length > 0 && (
        <Checkbox
          label="Read with the strides it was ridden in"
          description={pair.lately
            .map(({ entry, strideM }) => {
              const profile = pair.strides.strides[entry];
              const known = profile ? `, profile ${format(profile.normalM)}` : '';
              return `${say(ENTRY_WORDS[entry])}: ridden ${format(strideM)} lately${known}`;
            })
            .join('; ')}
          checked={byRecord}
          onChange={event => onByRecord(event.currentTarget.checked)}
        />
      )}
      {asks.outOfReach.map(words => (
        <p key={words} role="status">
          <strong>Out of reach.</strong> {say(words)}
        </p>
      ))}
      {asks.asks.map(({ stage, question, legs }, at) => (
        <div key={at} className={classes.pairAsk} role="group" aria-label={`${stage}, ${question}`}>
          <strong>{stage}</strong>
          {question !== stage && <span>{question}</span>}
          {legs !== null && legs.length > 0 && (
            <table className={classes.readings}>
              <tbody>
                {legs.map(({ from, to, groundM, words, usable }, leg) => (
                  <tr key={leg}>
                    <th scope="row">
                      {from} to {to}
                    </th>
                    <td>{say(`${groundM.toFixed(2)} m`)}</td>
                    <td data-unusable={!usable || undefined}>{words}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </div>
      ))}
      {asks.asks.length === 0 && <p>Nothing is asked yet.</p>}
    </section>
  );
}
