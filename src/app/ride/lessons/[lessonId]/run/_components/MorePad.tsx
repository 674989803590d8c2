'use client';

import { Sand } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import {
  DEPARTS,
  HEAD_HEIGHTS,
  standingMarks,
  TRACK_GAITS,
  type Layout,
  type PassMark,
  type TappedMark,
  type TrackGait,
} from '@/core';
import { useRef, useState, type MouseEvent } from 'react';
import { Keys } from '@/app/ride/_components/Keys';
import classes from './RunLesson.module.css';

type MorePadProps = {
  layout: Layout;
  /** The gait that is asked: a gaited horse’s own gaits are offered where it is one of them. */
  gait: TrackGait;
  /** The yard’s own words. */
  faults: readonly string[];
  riderMarks: readonly string[];
  marks: readonly PassMark[];
  ready: boolean;
  onMark: (mark: TappedMark) => void;
};

const QUALITIES = [1, 2, 3, 4, 5];
const TROT_STEPS = [0, 1, 2, 3, 4, 5, 6];
const GAITS: readonly TrackGait[] = ['walk', 'trot', 'canter'];

/** The gaits that may be ridden instead: those of every horse, and, where one of them is asked, a gaited horse’s own. */
function gaitsAbout(asked: TrackGait): readonly TrackGait[] {
  const isPlain = asked === 'course-canter' || GAITS.includes(asked);
  return isPlain ? GAITS : TRACK_GAITS.filter(gait => gait !== 'course-canter');
}

/** What can be said of a pass as a whole: how it was, what went wrong, the rider, a place on the sand, a word. */
export function MorePad({ layout, gait, faults, riderMarks, marks, ready, onMark }: MorePadProps) {
  const [note, setNote] = useState('');
  const standing = standingMarks(marks);
  const said = <Kind extends PassMark['kind']>(kind: Kind) =>
    standing.find((mark): mark is Extract<PassMark, { kind: Kind }> => mark.kind === kind);
  const depart = said('depart');
  const many = (
    values: readonly string[],
    label: string,
    mark: (value: string) => TappedMark,
    held: readonly string[],
  ) => (
    <div role="group" aria-label={label} className={classes.keys}>
      {values.map(value => (
        <button
          key={value}
          type="button"
          className={classes.key}
          disabled={!ready}
          aria-pressed={held.includes(value)}
          onClick={() => onMark(mark(value))}
        >
          {value}
        </button>
      ))}
    </div>
  );
  return (
    <section aria-label="The pass as a whole">
      <h2>Quality</h2>
      <Keys
        label="Quality, 1 to 5"
        short
        value={said('quality')?.value ?? null}
        disabled={!ready}
        options={QUALITIES.map(value => ({ value, label: String(value) }))}
        onChoose={value => onMark({ kind: 'quality', value })}
      />
      <details className={classes.more}>
        <summary>More to mark</summary>
        <h2>What went wrong</h2>
        {many(
          faults,
          'What went wrong',
          fault => ({ kind: 'fault', place: null, fault }),
          marks.flatMap(mark => (mark.kind === 'fault' ? [mark.fault] : [])),
        )}
        <h2>Canter depart</h2>
        <Keys
          label="Canter depart"
          value={depart?.how ?? null}
          disabled={!ready}
          options={DEPARTS.map(value => ({ value, label: value }))}
          onChoose={how => onMark({ kind: 'depart', how, trotSteps: depart?.trotSteps ?? null })}
        />
        <Keys
          label="Trot steps before it"
          value={depart?.trotSteps ?? null}
          disabled={!ready}
          options={TROT_STEPS.map(value => ({ value, label: String(value) }))}
          onChoose={trotSteps => onMark({ kind: 'depart', how: depart?.how ?? 'right', trotSteps })}
        />
        <h2>Ridden gait</h2>
        <Keys
          label="Ridden gait"
          value={said('gait')?.ridden ?? null}
          disabled={!ready}
          options={gaitsAbout(gait).map(value => ({ value, label: value.replace('-', ' ') }))}
          onChoose={ridden => onMark({ kind: 'gait', ridden })}
        />
        <h2>Head</h2>
        <Keys
          label="Head"
          value={said('head')?.height ?? null}
          disabled={!ready}
          options={HEAD_HEIGHTS.map(value => ({ value, label: value }))}
          onChoose={height => onMark({ kind: 'head', height })}
        />
        <h2>The rider</h2>
        {many(
          riderMarks,
          'The rider',
          what => ({ kind: 'rider', what }),
          marks.flatMap(mark => (mark.kind === 'rider' ? [mark.what] : [])),
        )}
        <h2>Where on the sand</h2>
        <SpotOnSand layout={layout} marks={marks} ready={ready} onMark={onMark} />
        <h2>A word of note</h2>
        <form
          className={classes.note}
          onSubmit={event => {
            event.preventDefault();
            const words = note.trim();
            if (words === '') return;
            onMark({ kind: 'note', words });
            setNote('');
          }}
        >
          <input
            aria-label="A word of note"
            maxLength={500}
            value={note}
            onChange={event => setNote(event.currentTarget.value)}
          />
          <button type="submit" className={classes.key} disabled={!ready || note.trim() === ''}>
            Note it
          </button>
        </form>
        <button type="button" className={classes.key} disabled={!ready} onClick={() => onMark({ kind: 'void' })}>
          Given up before the line: does not count
        </button>
      </details>
    </section>
  );
}

/** A tap on the sand says where it was. */
function SpotOnSand({ layout, marks, ready, onMark }: Omit<MorePadProps, 'faults' | 'riderMarks' | 'gait'>) {
  const svg = useRef<SVGSVGElement>(null);
  const view = sandView(layout.arena, 'along');
  const spots = marks.flatMap(mark => (mark.kind === 'spot' ? [mark] : []));
  const tap = (event: MouseEvent) => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix || !ready) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const at = view.toSand({ x, y });
    const inside = at.xM >= 0 && at.yM >= 0 && at.xM <= layout.arena.widthM && at.yM <= layout.arena.lengthM;
    if (inside) onMark({ kind: 'spot', at });
  };
  return (
    <div onClick={tap}>
      <Sand ref={svg} arena={layout.arena} view={view} label="The sand: tap where it was">
        {layout.items.map(({ id, at }) => {
          const { x, y } = view.toPaper(at);
          return <circle key={id} cx={x} cy={y} r={0.4} />;
        })}
        {spots.map(({ id, at }) => {
          const { x, y } = view.toPaper(at);
          return <circle key={id} cx={x} cy={y} r={0.9} className={classes.spot} />;
        })}
      </Sand>
    </div>
  );
}
