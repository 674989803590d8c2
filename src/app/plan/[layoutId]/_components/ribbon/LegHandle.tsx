import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { ItemTrack, Layout, ReckonedLeg } from '@/core';
import { memo, useId, type RefObject, type SyntheticEvent } from 'react';
import type { LegPlace } from '../../_state/selection';
import { chancesOf, chanceWords } from '../chances';
import { fullWords } from './callWords';
import { stridesWords } from '../../_state/thingsShown';
import classes from './Ribbon.module.css';
import type { RibbonProps } from './ribbonProps';

type LegHandleProps = {
  track: ItemTrack;
  index: number;
  leg: ReckonedLeg;
  /** What its two ends are called. */
  from: string;
  to: string;
  /** What a drag has made of it, once the hand rests; null while there is none. */
  rested: ReckonedLeg | null;
  xPx: number;
  widthPx: number;
  selected: boolean;
  marked: boolean;
  latest: RefObject<RibbonProps>;
};

/** A leg to press and to read: pressed, it is read beside the sand; pointed at, it tells every horse's chances. */
export const LegHandle = memo(function LegHandle(props: LegHandleProps) {
  const { track, index, leg, from, to, rested, xPx, widthPx, selected, marked, latest } = props;
  const { format } = useLengths();
  const wordsId = useId();
  const place = { track: track.id, leg: index };
  const asked = track.legs[index]!.asked;
  const point = (at: LegPlace | null) => latest.current.onPointLeg(at);
  // Reckoned only when it is asked for: a drag has no time for chances that nobody reads.
  const tell = ({ currentTarget }: SyntheticEvent<HTMLElement>) => {
    currentTarget.title = horsesWords(latest.current.controls.shown.resolved.layout, track, index, leg);
    point(place);
  };
  return (
    <button
      type="button"
      aria-label={`From ${from} to ${to}, ${format(leg.groundM)}${asked === null ? '' : `, asked in ${asked === 0 ? stridesWords(0, leg.readings[0]?.zeroIs) : asked}`}`}
      aria-describedby={wordsId}
      aria-pressed={selected}
      className={classes.leg}
      style={{ left: xPx, width: widthPx }}
      data-marked={marked || undefined}
      onClick={() => latest.current.onSelectLeg(place)}
      onPointerEnter={tell}
      onPointerLeave={() => point(null)}
      onFocus={tell}
      onBlur={() => point(null)}
    >
      <span id={wordsId} hidden>
        {(rested ?? leg).readings.map(reading => (
          <span key={reading.horseId}>
            {reading.horse}: <span data-call={reading.horse}>{fullWords(reading)}</span>.{' '}
          </span>
        ))}
      </span>
    </button>
  );
});

/** What every horse makes of a leg, with the chance of each count, a line for each. */
function horsesWords(layout: Layout, track: ItemTrack, index: number, leg: ReckonedLeg): string {
  return layout.horses
    .flatMap(horse => {
      const reading = leg.readings.find(one => one.horseId === horse.id);
      return reading
        ? `${horse.name}: ${reading.call}. ${chanceWords(chancesOf(layout, track, index, leg, horse))}`
        : [];
    })
    .join('\n');
}
