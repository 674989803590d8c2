'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { askedRide } from '@/app/ride/askedRide';
import { type Question, questionWords } from '@/core';
import { Group, Select } from '@mantine/core';
import { useState } from 'react';
import { StandInRides } from './StandInRides';
import { ReadFiles } from './ReadFiles';
import classes from './RecordingsBoard.module.css';
import type { Named, RecordedStage } from './recordedStage';

type RecordingsBoardProps = { lessonId: string; pairs: Named[]; stages: RecordedStage[] };

/** Who rode what; a recording of it read in, or a simulated rider riding it. */
export function RecordingsBoard({ lessonId, pairs, stages }: RecordingsBoardProps) {
  const say = useSay();
  const [pairId, setPairId] = useState(pairs[0]!.id);
  const [wish, setWish] = useState<string | null>(null);
  const choices = stages.flatMap(stage =>
    (stage.askedOf[pairId] ?? []).map(question => ({ stage, question, value: `${stage.id} ${question.id}` })),
  );
  const chosen = choices.find(({ value }) => value === wish) ?? choices[0];
  const ride = chosen ? askedRide(chosen.stage.layout, chosen.question, null) : null;
  const asked = chosen && { lessonId, pairId, stageId: chosen.stage.id, questionId: chosen.question.id };
  return (
    <div className={classes.board}>
      <Group align="flex-end">
        <Select
          label="Pair"
          allowDeselect={false}
          data={pairs.map(({ id, name }) => ({ value: id, label: name }))}
          value={pairId}
          onChange={id => id && setPairId(id)}
        />
        <Select
          label="What was ridden"
          w={320}
          allowDeselect={false}
          data={choices.map(({ stage, question, value }) => ({ value, label: say(askWords(stage, question)) }))}
          value={chosen?.value ?? null}
          onChange={value => value && setWish(value)}
        />
      </Group>
      {ride && asked ? (
        <>
          <ReadFiles key={`${pairId} ${chosen.value}`} asked={asked} layout={chosen.stage.layout} ride={ride} />
          <StandInRides asked={asked} ride={ride} />
        </>
      ) : (
        <p>This is not on the layout any more: choose something else.</p>
      )}
    </div>
  );
}

function askWords({ name, layout }: RecordedStage, question: Question): string {
  const words = questionWords(layout, question);
  return words === name ? name : `${name}: ${words}`;
}
