'use client';

import { STEPS_FROM_EASY } from '@/components/FitMark/stepsFromEasy';
import { groupGlance, type GlanceWord, type HorseGlance, type ReckonedItemTrack } from '@/core';
import { Title } from '@mantine/core';
import type { LegPlace } from '../../_state/selection';
import { fullWords } from '../ribbon/callWords';
import classes from './GroupGlance.module.css';

type GroupGlanceProps = {
  reckoned: ReckonedItemTrack;
  /** What each stop is called in short. */
  stops: readonly string[];
  chosen: string | null;
  onHorse: (id: string) => void;
  onSelectLeg: (leg: LegPlace) => void;
};

/** Every horse over the whole track at a glance, the one that it suits least first: a mark a leg, and its worst leg in words. */
export function GroupGlance({ reckoned, stops, chosen, onHorse, onSelectLeg }: GroupGlanceProps) {
  const glances = groupGlance(reckoned);
  if (glances.length === 0) return null;
  return (
    <section aria-label="The group at a glance">
      <Title order={3} size="h5">
        The group
      </Title>
      <ul className={classes.horses}>
        {glances.map(glance => (
          <li key={glance.horseId} data-glance={glance.horse}>
            <button
              type="button"
              aria-pressed={glance.horseId === chosen}
              className={classes.name}
              onClick={() => onHorse(glance.horseId)}
            >
              {glance.horse}
            </button>
            <WorstLeg {...{ glance, reckoned, stops, onSelectLeg }} />
            <LegMarks words={glance.words} />
          </li>
        ))}
      </ul>
    </section>
  );
}

type WorstLegProps = Pick<GroupGlanceProps, 'reckoned' | 'stops' | 'onSelectLeg'> & { glance: HorseGlance };

function WorstLeg({ glance, reckoned, stops, onSelectLeg }: WorstLegProps) {
  const { worst, words, horseId } = glance;
  const leg = worst === null ? undefined : reckoned.legs[worst];
  const reading = leg?.readings.find(one => one.horseId === horseId);
  if (worst === null || !leg || !reading || words[worst] === 'easy')
    return (
      <span className={classes.worst}>{words.some(word => word !== null) ? 'easy all the way' : 'not rated'}</span>
    );
  return (
    <button type="button" className={classes.worst} onClick={() => onSelectLeg({ track: reckoned.id, leg: worst })}>
      {fullWords(reading)}, {stops[worst]} to {stops[worst + 1]}
    </button>
  );
}

/** A mark for each leg in order: bars that close in where it is tight and stand off where it is far; a cross where it cannot be. */
function LegMarks({ words }: { words: readonly (GlanceWord | null)[] }) {
  const everyPx = Math.min(16, 96 / Math.max(1, words.length));
  return (
    <svg
      width={words.length * everyPx}
      height={16}
      role="img"
      aria-label={words.map(word => word ?? 'not rated').join(', ')}
      className={classes.marks}
    >
      {words.map((word, index) => {
        const x = (index + 0.5) * everyPx;
        if (word === null) return <circle key={index} cx={x} cy={8} r={1} className={classes.unrated} />;
        if (word === 'cannot')
          return <path key={index} d={`M${x - 4} 4l8 8m0 -8l-8 8`} className={classes.cannot} data-word={word} />;
        const step = word === 'between' ? 2 : Math.abs(STEPS_FROM_EASY[word]);
        const apartPx = word === 'between' ? 3 : 3 + STEPS_FROM_EASY[word] * 0.7;
        return (
          <path
            key={index}
            d={`M${x - apartPx} 3v10m${apartPx * 2} -10v10${word === 'between' ? `M${x - 3} 8h6` : ''}`}
            className={classes.mark}
            data-word={word}
            data-off={step}
            data-way={
              word === 'between' || STEPS_FROM_EASY[word] === 0
                ? undefined
                : STEPS_FROM_EASY[word] < 0
                  ? 'cold'
                  : 'warm'
            }
          />
        );
      })}
    </svg>
  );
}
