import { useLengths } from '@/components/Lengths/LengthsProvider';
import { countName, countsThatCanBe, type PassMark, type TappedMark } from '@/core';
import type { RunTrack } from '@/app/ride/askedRide';
import classes from './Pad.module.css';

type DoubtProps = {
  track: RunTrack;
  marks: readonly PassMark[];
  /** Counts that were said to be right, by their marks. */
  sure: ReadonlySet<string>;
  onSure: (markId: string) => void;
  onMark: (said: TappedMark) => void;
};

type Count = Extract<PassMark, { kind: 'strides' }>;

/** The last count that cannot be; null where each can. */
export function doubtfulCount(track: RunTrack, marks: readonly PassMark[], sure: ReadonlySet<string>): Count | null {
  const counts = marks.filter(
    (mark): mark is Count => mark.kind === 'strides' && !sure.has(`${mark.id} ${mark.count}`),
  );
  return (
    counts.findLast(({ place, count }) => {
      const leg = track.legs[place - 1];
      if (!leg) return false;
      const { from, to } = countsThatCanBe(leg.likely, leg.asked);
      return count < from || count > to;
    }) ?? null
  );
}

/** A count that cannot be on its ground asks; it stays as it is until somebody says otherwise. */
export function Doubt({ track, marks, sure, onSure, onMark }: DoubtProps) {
  const { format } = useLengths();
  const doubt = doubtfulCount(track, marks, sure);
  const leg = doubt && track.legs[doubt.place - 1];
  if (!doubt || !leg) return null;
  const likely = leg.asked ?? leg.likely;
  const name = (count: number) => (count === 0 ? countName(0, leg.zeroIs) : String(count));
  return (
    <div className={classes.word} role="status" aria-label="A count that cannot be">
      <p>
        <strong>
          {name(doubt.count)} from {leg.from} to {leg.to}?
        </strong>{' '}
        <small>That is {format(leg.groundM)}.</small>
      </p>
      <button type="button" className={classes.wordKey} onClick={() => onSure(`${doubt.id} ${doubt.count}`)}>
        It was
      </button>
      {[likely, likely + 1].map(count => (
        <button
          key={count}
          type="button"
          className={classes.wordKey}
          onClick={() => onMark({ kind: 'strides', place: doubt.place, count })}
        >
          {name(count)}
        </button>
      ))}
    </div>
  );
}
