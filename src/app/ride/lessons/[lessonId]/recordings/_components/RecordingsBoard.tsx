'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Card } from '@/components/Card/Card';
import { askedRide, type AskedRide } from '@/app/ride/askedRide';
import { hasReins, howMany, type Question, questionWords } from '@/core';
import { wayWords } from '@/app/ride/wayWords';
import { Alert, Button, Group, NumberInput, Select } from '@mantine/core';
import { useState, useTransition } from 'react';
import { standInRidesAction } from '../actions';
import { ReadFiles } from './ReadFiles';
import classes from './RecordingsBoard.module.css';
import type { Named, RecordedStage, RiddenAsk } from './recordedStage';

type RecordingsBoardProps = { lessonId: string; pairs: Named[]; stages: RecordedStage[] };

/** Who rode what; a recording of it read in, or the stand-in riding it. */
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
          <StandIn asked={asked} ride={ride} />
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

type StandInProps = { asked: RiddenAsk; ride: AskedRide };

/** The stand-in rides it as this pair: passes for the record, or the files of one ride. */
function StandIn({ asked, ride }: StandInProps) {
  const say = useSay();
  const [eachRein, setEachRein] = useState<number | string>(3);
  const [seed, setSeed] = useState<number | string>(1);
  const [said, setSaid] = useState<{ ok: boolean; words: string } | null>(null);
  const [busy, begin] = useTransition();
  const letRide = () =>
    begin(async () => {
      const wish = { ...asked, eachRein: Number(eachRein), seed: Number(seed) };
      const answer = await standInRidesAction(wish).catch(() => null);
      setSaid(
        answer?.ok
          ? { ok: true, words: `${howMany(answer.passes, 'pass is', 'passes are')} in the record of this lesson.` }
          : { ok: false, words: answer?.problem ?? 'The server does not answer: nothing was recorded.' },
      );
    });
  const { lessonId, pairId, stageId, questionId } = asked;
  const file = (way: number, kind: string) =>
    `/api/lessons/${lessonId}/stand-in?${new URLSearchParams({ pair: pairId, stage: stageId, question: questionId, way: String(way + 1), seed: String(seed || 0), file: kind })}`;
  const onEachRein = hasReins(ride.ways);
  return (
    <Card label="The stand-in" title="The stand-in">
      <p>
        A made-up ride with this horse’s own strides, a mistake now and then, more on its stiff side. It is marked as
        any other pass: use it to try Roan, and keep it out of the record of a real lesson.
      </p>
      <Group align="flex-end">
        <NumberInput
          label={onEachRein ? 'Passes on each rein' : 'Passes'}
          w={150}
          min={1}
          max={20}
          value={eachRein}
          onChange={setEachRein}
        />
        <NumberInput label="Seed" w={110} min={0} max={999999999} value={seed} onChange={setSeed} />
        <Button loading={busy} onClick={letRide}>
          Let it ride
        </Button>
        {ride.track &&
          ride.ways.map((way, index) => (
            <Group key={wayWords(way)} gap="xs">
              <Button component="a" variant="default" href={file(index, 'gpx')} download>
                {wayWords(way)}: track (GPX)
              </Button>
              <Button component="a" variant="default" href={file(index, 'csv')} download>
                Footfalls (CSV)
              </Button>
            </Group>
          ))}
      </Group>
      {said && (
        <Alert mt="sm" color={said.ok ? 'slate' : 'chestnut'} role={said.ok ? 'status' : 'alert'}>
          {say(said.words)}
        </Alert>
      )}
    </Card>
  );
}
