'use client';

import { ItemDrawing } from '@/components/Sand/ItemDrawing';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { newId } from '@/components/newId';
import {
  askedLayout,
  GAITED_GAITS,
  gaitWord,
  isRidden,
  type Layout,
  type LayoutHorse,
  layoutLabels,
  madeQuestion,
  type MadeStops,
  type Question,
  readForPairs,
  reckonLayout,
  type TrackGait,
  withStop,
} from '@/core';
import { useMemo, useState } from 'react';
import { Keys } from '@/app/ride/_components/Keys';
import classes from '../[lessonId]/run/_components/RunLesson.module.css';

type NewQuestionProps = {
  layout: Layout;
  pairs: readonly { id: string; horse: string; strides: LayoutHorse }[];
  gait: TrackGait;
  ready: boolean;
  onAsk: (question: Question) => void;
};

const GAITS: readonly TrackGait[] = ['walk', 'trot', 'canter', 'course-canter'];

/** What may be asked: a gaited horse’s own gaits where one rides. */
const gaitsFor = (pairs: NewQuestionProps['pairs']) =>
  pairs.some(({ strides }) => strides.type === 'gaited') ? [...GAITS, ...GAITED_GAITS] : GAITS;

/** Another question, made where one stands: fences tapped in order on the drawing, read at once for every pair. */
export function NewQuestion({ layout, pairs, gait: usual, ready, onAsk }: NewQuestionProps) {
  const [stops, setStops] = useState<MadeStops>([]);
  const [gait, setGait] = useState(usual);
  const { short, inWords } = layoutLabels(layout);
  const view = sandView(layout.arena, 'along');
  const textM = sandTextM(layout.arena);
  const made = useMemo(() => madeQuestion(layout, stops, { id: 'made', gait }), [layout, stops, gait]);
  const asked = made && askedLayout({ ...layout, horses: [] }, made);
  const tracks = asked ? reckonLayout(asked) : [];
  const readings =
    made && stops.length > 1
      ? readForPairs(
          layout,
          { question: made, ofPairs: {} },
          pairs.map(({ id, strides }) => ({ id, horse: strides })),
        )
      : [];
  const ridden = layout.items.filter(isRidden);
  const labels = new Map(ridden.map(({ id }) => [id, short(id)]));
  return (
    <section className={classes.part} aria-label="Another question">
      <h2>Another question</h2>
      <p>Tap what is ridden, in order.</p>
      <Sand arena={layout.arena} view={view} label="The sand: tap what is ridden, in order" className={classes.tapSand}>
        <LayoutDrawing layout={layout} tracks={tracks} view={view} textM={textM * 1.3} labels={labels} />
        {ridden.map(item => {
          const { x, y } = view.toPaper(item.at);
          return (
            <g
              key={item.id}
              role="button"
              tabIndex={0}
              aria-label={`Ride ${inWords(item.id)} next`}
              className={classes.tapItem}
              onClick={() => setStops(withStop(layout, stops, item.id))}
              onKeyDown={event => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                setStops(withStop(layout, stops, item.id));
              }}
            >
              <circle cx={x} cy={y} r={Math.max(2, textM * 2)} />
              <ItemDrawing item={item} view={view} />
            </g>
          );
        })}
      </Sand>
      <p role="status" aria-label="Tapped so far">
        {stops.length === 0 ? 'Nothing yet' : stops.map(({ item }) => short(item)).join(', ')}
      </p>
      <Keys
        label="Gait"
        value={gait}
        options={gaitsFor(pairs).map(value => ({ value, label: gaitWord(value) }))}
        onChoose={setGait}
      />
      {readings.length > 0 && (
        <ul className={classes.passes} aria-label="What it is for each pair">
          {readings.map(({ pairId, legs }) => {
            const pair = pairs.find(({ id }) => id === pairId)!;
            return (
              <li key={pairId}>
                <strong>{pair.horse}</strong>: {(legs ?? []).map(({ words }) => words).join('; ')}
                {(legs ?? []).some(({ usable }) => !usable) && <em> out of reach</em>}
              </li>
            );
          })}
        </ul>
      )}
      <div className={classes.keys}>
        <button
          type="button"
          className={classes.key}
          disabled={stops.length === 0}
          onClick={() => setStops(stops.slice(0, -1))}
        >
          Take the last away
        </button>
        <button
          type="button"
          className={classes.key}
          disabled={!ready || !made}
          onClick={() => {
            if (!made) return;
            onAsk({ ...made, id: newId() });
            setStops([]);
          }}
        >
          Ask this
        </button>
      </div>
    </section>
  );
}
