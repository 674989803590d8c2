'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Problem } from '@/components/form/Problem';
import { useAct } from '@/components/form/useAct';
import type { AskedRide } from '@/app/ride/askedRide';
import { hasReins, howMany } from '@/core';
import { wayWords } from '@/app/ride/wayWords';
import { Alert, Button, Group, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { standInRidesAction } from '../actions';
import type { RiddenAsk } from './recordedStage';

type StandInProps = { asked: RiddenAsk; ride: AskedRide };

/** Out of the way of a real lesson: a simulated rider rides it as this pair, into the record or as the files of one ride. */
export function StandInRides({ asked, ride }: StandInProps) {
  const say = useSay();
  const [eachRein, setEachRein] = useState<number | string>(3);
  const [seed, setSeed] = useState<number | string>(1);
  const [ridden, setRidden] = useState<string | null>(null);
  const { act, busy, problem } = useAct('The server does not answer: nothing was recorded.');
  const letRide = () => {
    setRidden(null);
    act(
      () => standInRidesAction({ ...asked, eachRein: Number(eachRein), seed: Number(seed) }),
      ({ passes }) => setRidden(`${howMany(passes, 'pass is', 'passes are')} in the record of this lesson.`),
    );
  };
  const { lessonId, pairId, stageId, questionId } = asked;
  const file = (way: number, kind: string) =>
    `/api/lessons/${lessonId}/stand-in?${new URLSearchParams({ pair: pairId, stage: stageId, question: questionId, way: String(way + 1), seed: String(seed || 0), file: kind })}`;
  const onEachRein = hasReins(ride.ways);
  return (
    <details>
      <summary>No recording at hand? A simulated rider rides it</summary>
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
      {ridden && (
        <Alert mt="sm" color="slate" role="status">
          {say(ridden)}
        </Alert>
      )}
      <Problem>{problem}</Problem>
    </details>
  );
}
