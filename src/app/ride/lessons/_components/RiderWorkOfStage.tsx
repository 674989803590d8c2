'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { keepRiderWork, riderWorkOf, withRiderWork, type LessonStage, type RiderWork } from '@/core';
import { Button, Select } from '@mantine/core';
import { useState, useTransition } from 'react';
import { keepRiderWorkAction } from '../actions';

type RiderWorkOfStageProps = {
  stage: LessonStage;
  /** The yard’s own, and the shelf’s. */
  riderWork: readonly RiderWork[];
  onChange: (stage: LessonStage) => void;
};

/** What the rider works on in a stage: taken from the shelf or from what the yard kept, and kept for the yard. */
export function RiderWorkOfStage({ stage, riderWork, onChange }: RiderWorkOfStageProps) {
  const say = useSay();
  /** Kept here, and perhaps not yet among the yard’s own that the page was told of. */
  const [kept, setKept] = useState<readonly RiderWork[]>([]);
  const offered = kept.reduce<readonly RiderWork[]>(keepRiderWork, riderWork);
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const own = riderWorkOf(stage);
  const keep = (work: RiderWork) =>
    begin(async () => {
      const answer = await keepRiderWorkAction(work).catch(() => null);
      if (answer === null) return setSaid('The server does not answer: it is not kept.');
      if (!answer.ok) return setSaid(answer.problem ?? Object.values(answer.fields)[0] ?? 'It is not kept.');
      setKept(before => [...before, work]);
      setSaid(`“${work.name}” is the yard’s own now.`);
    });
  return (
    <>
      <Select
        searchable
        label="Work for the rider"
        description="Brings its name, one thing to think of, minutes and what is watched; what is ridden stays."
        placeholder="none: the horse is worked on"
        data={offered.map(({ name }) => ({ value: name, label: say(name) }))}
        value={offered.some(({ name }) => name === stage.name) ? stage.name : null}
        onChange={name => {
          const work = offered.find(one => one.name === name);
          if (work) onChange(withRiderWork(stage, work));
        }}
      />
      {own && (
        <Button mih={44} variant="default" loading={busy} onClick={() => keep(own)}>
          Keep “{stage.name}” for other lessons
        </Button>
      )}
      {said && <p role="status">{said}</p>}
    </>
  );
}
