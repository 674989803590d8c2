'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { ExerciseGround, Guidance, LaidExercise } from '@/core';
import { Text } from '@mantine/core';
import classes from './ExerciseGuide.module.css';
import { ExercisePicture } from './ExercisePicture';

type ExerciseGuideProps = { guidance: Guidance; laid: LaidExercise; ground: ExerciseGround };

/** An exercise as one teaches it: what to know first, its stages as pictures, where to stand, what to watch, what to do. */
export function ExerciseGuide({ guidance, laid, ground }: ExerciseGuideProps) {
  const { say } = useLengths();
  const { eachRein, stop } = guidance.repetitions;
  return (
    <div className={classes.guide}>
      <Text size="sm">
        <strong>Know first:</strong> {say(guidance.knowFirst.join('; ').toLowerCase())}.
      </Text>
      <ol className={classes.stages} aria-label="Stages">
        {laid.stages.map((stage, index) => (
          <li key={stage.name}>
            <span className={classes.picture} aria-hidden="true">
              <ExercisePicture laid={laid} ground={ground} stage={stage} withStand={index === laid.stages.length - 1} />
            </span>
            <strong>
              {index + 1}. {say(stage.name)}
            </strong>
            <span>
              {say(stage.focus)} · {stage.seat}
            </span>
          </li>
        ))}
      </ol>
      <Text size="sm">
        {eachRein} {eachRein === 1 ? 'time' : 'times'} each rein
        {stop.when === 'minutes' && `, ${stop.minutes} minutes at most`}
        {stop.when === 'first clear improvement' && ', or until the first clear improvement'}.
      </Text>
      <Text size="sm">
        <strong>Stand:</strong> {say(guidance.stand)}
      </Text>
      <Words title="Watch the horse" lines={guidance.watchHorse.map(say)} />
      <Words title="Watch the rider" lines={guidance.watchRider.map(say)} />
      <Words title="If it goes wrong" lines={guidance.faults.map(({ fault, remedy }) => say(`${fault}: ${remedy}`))} />
      <Words title="Take care" lines={guidance.cautions.map(say)} />
    </div>
  );
}

function Words({ title, lines }: { title: string; lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <details className={classes.words} open={title.startsWith('Watch')}>
      <summary>{title}</summary>
      <ul>
        {lines.map(line => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </details>
  );
}
