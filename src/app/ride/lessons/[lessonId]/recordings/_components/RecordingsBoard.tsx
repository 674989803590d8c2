'use client';

import { Card } from '@/components/Card/Card';
import type { Layout } from '@/core';
import { Alert, Button, Group, NumberInput, Select } from '@mantine/core';
import { useState, useTransition } from 'react';
import { standInRidesAction } from '../actions';
import { ReadFiles } from './ReadFiles';
import classes from './RecordingsBoard.module.css';

type Named = { id: string; name: string };
export type RecordedStage = Named & { layout: Layout; bothWays: boolean };

type RecordingsBoardProps = { lessonId: string; pairs: Named[]; stages: RecordedStage[] };

/** Who rode which stage; a recording of it read in, or the stand-in riding it. */
export function RecordingsBoard({ lessonId, pairs, stages }: RecordingsBoardProps) {
  const [pairId, setPairId] = useState(pairs[0]!.id);
  const [stageId, setStageId] = useState(stages[0]!.id);
  const stage = stages.find(({ id }) => id === stageId) ?? stages[0]!;
  const options = (list: readonly Named[]) => list.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <div className={classes.board}>
      <Group align="flex-end">
        <Select
          label="Pair"
          allowDeselect={false}
          data={options(pairs)}
          value={pairId}
          onChange={id => id && setPairId(id)}
        />
        <Select
          label="Stage"
          allowDeselect={false}
          data={options(stages)}
          value={stageId}
          onChange={id => id && setStageId(id)}
        />
      </Group>
      <ReadFiles key={`${pairId} ${stageId}`} lessonId={lessonId} pairId={pairId} stage={stage} />
      <StandIn lessonId={lessonId} pairId={pairId} stage={stage} />
    </div>
  );
}

type StandInProps = { lessonId: string; pairId: string; stage: RecordedStage };

/** The stand-in rides the stage as this pair: passes for the record, or the files of one ride. */
function StandIn({ lessonId, pairId, stage }: StandInProps) {
  const [eachRein, setEachRein] = useState<number | string>(3);
  const [seed, setSeed] = useState<number | string>(1);
  const [said, setSaid] = useState<{ ok: boolean; words: string } | null>(null);
  const [busy, begin] = useTransition();
  const ride = () =>
    begin(async () => {
      const wish = { lessonId, pairId, stageId: stage.id, eachRein: Number(eachRein), seed: Number(seed) };
      const answer = await standInRidesAction(wish).catch(() => null);
      setSaid(
        answer?.ok
          ? { ok: true, words: `${answer.passes} passes are in the record of this lesson.` }
          : { ok: false, words: answer?.problem ?? 'The server does not answer: nothing was recorded.' },
      );
    });
  const file = (rein: string, kind: string) =>
    `/api/lessons/${lessonId}/stand-in?${new URLSearchParams({ pair: pairId, stage: stage.id, rein, seed: String(seed || 0), file: kind })}`;
  return (
    <Card label="The stand-in" title="The stand-in">
      <p>
        A made-up ride with this horse’s own strides, a mistake now and then, more on its stiff side. It is marked as
        any other pass: use it to try Roan, and keep it out of the record of a real lesson.
      </p>
      <Group align="flex-end">
        <NumberInput label="Passes on each rein" w={150} min={1} max={20} value={eachRein} onChange={setEachRein} />
        <NumberInput label="Seed" w={110} min={0} max={999999999} value={seed} onChange={setSeed} />
        <Button loading={busy} onClick={ride}>
          Let it ride
        </Button>
        {['left', 'right'].map(rein => (
          <Group key={rein} gap="xs">
            <Button component="a" variant="default" href={file(rein, 'gpx')} download>
              One on the {rein} rein: track (GPX)
            </Button>
            <Button component="a" variant="default" href={file(rein, 'csv')} download>
              Footfalls (CSV)
            </Button>
          </Group>
        ))}
      </Group>
      {said && (
        <Alert mt="sm" color={said.ok ? 'slate' : 'chestnut'} role={said.ok ? 'status' : 'alert'}>
          {said.words}
        </Alert>
      )}
    </Card>
  );
}
