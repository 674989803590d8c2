'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Card } from '@/components/Card/Card';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { howMany, TEST_PACES, type FootLanding } from '@/core';
import { Alert, Button, Group, NumberInput, Select } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import classes from '../StandInForm.module.css';

type Choice = { id: string; name: string };

type StandInFormProps = { horses: Choice[]; layouts: Choice[] };

const LANE = 'lane';

/** Chooses a ride, keeps it as CSV, or lets it play. */
export function StandInForm({ horses, layouts }: StandInFormProps) {
  const say = useSay();
  const [horseId, setHorseId] = useState(horses[0]?.id ?? null);
  const [over, setOver] = useState(LANE);
  const [laneM, setLaneM] = useState<number | string>(20);
  const [gait, setGait] = useState('trot');
  const [pace, setPace] = useState('normal');
  const [seed, setSeed] = useState<number | string>(1);
  if (!horseId)
    return (
      <EmptyState title="No horse to play" action={<LinkButton href="/yard">To the yard</LinkButton>}>
        The stand-in rides a horse of the yard with its own strides: add one first.
      </EmptyState>
    );
  const ground: Record<string, string> =
    over === LANE ? { gait, laneM: String(laneM === '' ? 20 : laneM) } : { layoutId: over };
  const query = String(new URLSearchParams({ horseId, pace, seed: String(seed === '' ? 0 : seed), ...ground }));
  return (
    <Card label="The ride">
      <Group align="flex-end" gap="sm">
        <Select
          label="Horse"
          data={horses.map(({ id, name }) => ({ value: id, label: name }))}
          value={horseId}
          onChange={setHorseId}
        />
        <Select
          label="Over"
          data={[{ value: LANE, label: 'A lane' }, ...layouts.map(({ id, name }) => ({ value: id, label: name }))]}
          value={over}
          onChange={chosen => setOver(chosen ?? LANE)}
        />
        {over === LANE && (
          <>
            <NumberInput label="Length, m" w={110} min={1} max={200} value={laneM} onChange={setLaneM} />
            <Select
              label="Gait"
              w={120}
              data={['walk', 'trot', 'canter'].map(value => ({ value, label: say(value) }))}
              value={gait}
              onChange={chosen => chosen && setGait(chosen)}
            />
          </>
        )}
        <Select
          label="Pace"
          w={120}
          data={[...TEST_PACES]}
          value={pace}
          onChange={chosen => chosen && setPace(chosen)}
        />
        <NumberInput
          label="Seed: the same, the same ride"
          w={220}
          min={0}
          max={1e9}
          allowDecimal={false}
          value={seed}
          onChange={setSeed}
        />
      </Group>
      <Group mt="sm">
        <Button component="a" href={`/api/stand-in/footfalls.csv?${query}`} download="footfalls.csv">
          Keep as CSV
        </Button>
        <LinkButton href={`/yard/horses/${horseId}/test`} variant="default">
          Into a stride test
        </LinkButton>
      </Group>
      <LiveFeet key={query} query={query} />
    </Card>
  );
}

/** The ride as it plays: every landing as it comes. */
function LiveFeet({ query }: { query: string }) {
  const [landings, setLandings] = useState<FootLanding[]>([]);
  const [state, setState] = useState<'still' | 'playing' | 'over' | 'failed'>('still');
  const source = useRef<EventSource | null>(null);
  useEffect(() => () => source.current?.close(), []);
  const play = () => {
    setLandings([]);
    setState('playing');
    const stream = new EventSource(`/api/stand-in?${query}&speed=2`);
    source.current = stream;
    stream.onmessage = ({ data }: MessageEvent<string>) =>
      setLandings(current => [...current, JSON.parse(data) as FootLanding]);
    stream.addEventListener('end', () => {
      stream.close();
      setState('over');
    });
    stream.onerror = () => {
      stream.close();
      setState('failed');
    };
  };
  return (
    <div className={classes.live}>
      <Button variant="default" onClick={play} disabled={state === 'playing'}>
        Play it, twice as fast as life
      </Button>
      {state === 'failed' && (
        <Alert color="chestnut" role="alert">
          The stand-in did not answer. Look at the numbers above, and play it again.
        </Alert>
      )}
      <p aria-live="polite" className={classes.quiet}>
        {state === 'over' && `Over: ${howMany(landings.length, 'footfall')}.`}
        {state === 'playing' && `${howMany(landings.length, 'footfall')} so far.`}
      </p>
      <ol className={classes.feet}>
        {landings.slice(-12).map(({ timeS, foot, xM }) => (
          <li key={`${timeS}-${foot}`}>
            <strong>{foot}</strong> {timeS.toFixed(2)} s{xM !== null && `, ${xM.toFixed(2)} m`}
          </li>
        ))}
      </ol>
    </div>
  );
}
