'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { AsksOfPair } from './asksOfPair';
import type { LessonPair } from './LessonEditor';
import classes from './LessonEditor.module.css';
import { workWords } from './workWords';

/** What a lesson asks of one pair, stage by stage and leg by leg, before it rides. */
export function PairPanel({ pair, asks }: { pair: LessonPair; asks: AsksOfPair }) {
  const { say } = useLengths();
  return (
    <section aria-label={`What ${pair.horse} is asked`} className={classes.panel}>
      <h2>
        {pair.horse} <small>with {pair.rider}</small>
      </h2>
      <p>{workWords(asks.work)}.</p>
      {asks.outOfReach.map(words => (
        <p key={words} role="status">
          <strong>Out of reach.</strong> {say(words)}
        </p>
      ))}
      {asks.asks.map(({ stage, question, legs }, at) => (
        <div key={at} className={classes.ask} role="group" aria-label={`${stage}, ${question}`}>
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
