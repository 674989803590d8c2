'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { type CautionLimits, gaitWord, type SessionMeasure, type TrackGait } from '@/core';
import { Text, Title } from '@mantine/core';
import classes from './SessionReading.module.css';

const minutesWords = (minutes: number) => {
  const seconds = Math.round(minutes * 60);
  return seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;
};

type BalanceProps = {
  measure: SessionMeasure;
  byHorse: { horse: string; measure: SessionMeasure }[];
  /** What the yard allows on small circles, on each rein. */
  most: CautionLimits['smallCircle'];
};

/** Rein against rein in each gait as bars, then what else it is; each horse by its own speed. */
export function Balance({ measure, byHorse, most: limit }: BalanceProps) {
  const { format, say } = useLengths();
  const { workMetres, workMinutes, restMinutes, changesOfRein, transitions, onRailShare, smallestRadiusM } = measure;
  const small = measure.smallCircleMinutes.left + measure.smallCircleMinutes.right;
  const most = Math.max(1, ...Object.values(workMetres).flatMap(({ left, right }) => [left, right]));
  return (
    <section aria-label="The balance">
      <Title order={2} size="h6">
        The balance
      </Title>
      <table className={classes.balance}>
        <thead>
          <tr>
            <th scope="col">Work</th>
            <th scope="col">Left rein</th>
            <th scope="col">Right rein</th>
          </tr>
        </thead>
        <tbody>
          {Object.entries(workMetres).map(([gait, metres]) => (
            <tr key={gait}>
              <th scope="row">{say(gaitWord(gait as TrackGait))}</th>
              {(['left', 'right'] as const).map(rein => (
                <td key={rein}>
                  <span
                    className={classes.bar}
                    style={{ width: `${(metres[rein] / most) * 100}%` }}
                    aria-hidden="true"
                  />
                  {metres[rein] < 0.005
                    ? 'none'
                    : `${format(metres[rein])}, ${minutesWords(workMinutes[gait as keyof typeof workMinutes]![rein])}`}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Text size="sm">
        {minutesWords(measure.minutes)} in all, {minutesWords(restMinutes)} of it rest; {changesOfRein}{' '}
        {changesOfRein === 1 ? 'change' : 'changes'} of rein, {transitions}{' '}
        {transitions === 1 ? 'transition' : 'transitions'}, {Math.round(onRailShare * 100)} % on the rail
        {smallestRadiusM !== null && `, tightest turn ${format(smallestRadiusM)}`}
        {small > 0.01 &&
          `, ${minutesWords(small)} on circles of ${format(limit.diameterM)} and less, of ${limit.minutes} min at most`}
        .
      </Text>
      {byHorse.length > 0 && (
        <Text size="xs">
          {byHorse
            .map(({ horse, measure: own }) => {
              const ownSmall = own.smallCircleMinutes.left + own.smallCircleMinutes.right;
              const circles = ownSmall > 0.01 ? `, ${minutesWords(ownSmall)} of small circles` : '';
              return `${horse} ${minutesWords(own.minutes)}${circles}`;
            })
            .join('; ')}
        </Text>
      )}
    </section>
  );
}
