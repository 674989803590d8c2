'use client';

import { FitMark } from '@/components/FitMark/FitMark';
import {
  countName,
  countsAround,
  countsOnLeg,
  nearestToEven,
  offEven,
  type CountRead,
  type ItemTrack,
  type Layout,
  type ReckonedLeg,
} from '@/core';
import { Text } from '@mantine/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { chancesOf } from '../chances';
import classes from './Reading.module.css';

type CountsTableProps = { layout: Layout; track: ItemTrack; leg: number; ridden: ReckonedLeg };

/**
 * What each horse makes of a leg in the count that is meant, in one fewer and in one more: each with its word, what is out of reach
 * with a caution, and what the horse would do by itself under its name. The horse it suits least comes first.
 */
export function CountsTable({ layout, track, leg, ridden }: CountsTableProps) {
  const { asked } = track.legs[leg]!;
  const middle = asked ?? likeliest(ridden);
  const counts = middle === null ? [] : countsAround(middle);
  const zeroIs = ridden.readings[0]?.zeroIs ?? 'bounce';
  const horses = countsOnLeg(layout, track, leg, ridden, counts);
  const off = (read: readonly CountRead[]) => offBy(read[counts.indexOf(middle ?? 0)] ?? null);
  const sorted = [...horses].sort((a, b) => off(b.counts) - off(a.counts) || 0);
  if (sorted.length === 0 || counts.length === 0) return null;
  return (
    <div className={`${classes.table} ${classes.counts}`}>
      <table aria-label="What each horse makes of it">
        <thead>
          <tr>
            <th scope="col">Horse</th>
            {counts.map(count => (
              <th key={count} scope="col" aria-current={count === asked || undefined}>
                {countName(count, zeroIs)}
                {count === asked && <small>asked</small>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sorted.map(({ horseId, horse, counts: read }) => (
            <tr key={horseId} data-reads={horse}>
              <th scope="row">{horse}</th>
              {read.map((count, index) => (
                <td key={counts[index]}>
                  <Count read={count} />
                  <Chance {...{ layout, track, leg, ridden, horseId }} strides={counts[index]!} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {ridden.readings.some(({ cannot }) => cannot) && (
        <Text size="xs">Where a turn cannot be ridden at this gait there is no count.</Text>
      )}
      {counts.length > 1 && asked === null && (
        <Text size="xs" c="dimmed">
          No count is asked: {countName(middle!, zeroIs)} is what most do by themselves.
        </Text>
      )}
    </div>
  );
}

function Count({ read }: { read: CountRead }) {
  if (!read) return <>–</>;
  const isOut = read.word === 'too tight' || read.word === 'too far';
  return (
    <>
      <FitMark word={read.word} />
      {isOut && <IconAlertTriangle size={13} aria-label="out of reach" className={classes.outOfReach} />}
    </>
  );
}

type ChanceProps = CountsTableProps & { horseId: string; strides: number };

function Chance({ layout, track, leg, ridden, horseId, strides }: ChanceProps) {
  const horse = layout.horses.find(({ id }) => id === horseId)!;
  const chance = chancesOf(layout, track, leg, ridden, horse).find(one => one.strides === strides)?.chance ?? 0;
  if (chance < 0.005) return null;
  return <small className={classes.chance}>{Math.round(chance * 100)} %</small>;
}

/** What cannot be ridden is the farthest from even. */
const offBy = (read: CountRead) => (read ? offEven(read) : Infinity);

/** The count that most of the horses are nearest to; null where none is rated. */
function likeliest({ readings }: ReckonedLeg): number | null {
  const nearest = readings.flatMap(({ options }) => {
    const best = nearestToEven(options);
    return best ? [best.strides] : [];
  });
  if (nearest.length === 0) return null;
  const often = (count: number) => nearest.filter(one => one === count).length;
  return [...nearest].sort((a, b) => often(b) - often(a) || a - b)[0]!;
}
