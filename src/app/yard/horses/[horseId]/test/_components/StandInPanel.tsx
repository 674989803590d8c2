'use client';

import { Card } from '@/components/Card/Card';
import { countInLane, type Foot, type FootLanding } from '@/core';
import { readFootfalls } from '@/files/footfallCsv';
import { Alert, Button, FileButton, Group, Select } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { DraftChange, TestDraft } from '../_state/testDraft';
import classes from './StrideTestBoard.module.css';

type StandInPanelProps = { draft: TestDraft; change: (step: DraftChange) => void; horseId: string };

const PLAYED = ['walk', 'trot', 'canter'];

/** Footfalls from a sensor's file, or from the stand-in that plays a ride: both tap the counter. */
export function StandInPanel({ draft, change, horseId }: StandInPanelProps) {
  const { foot } = draft;
  const [speed, setSpeed] = useState('4');
  const [problem, setProblem] = useState<string | null>(null);
  const { playing, play, stop } = usePlayback(change, setProblem);
  const lane = draft.lane.kind === 'taped' ? draft.lane.lengthM : null;

  const readFile = async (file: File | null) => {
    setProblem(null);
    if (!file) return;
    const read = readFootfalls(await file.text());
    if (!read.ok) return setProblem(`${file.name}: ${read.reason}`);
    const count = countInLane(read.landings, foot, lane ?? Infinity);
    if (count === 0) return setProblem(`${file.name}: ${foot} never lands in the lane.`);
    change({ kind: 'count', count });
  };

  return (
    <Card label="From a sensor" title="From a sensor">
      <Group gap="sm" align="flex-end">
        <FileButton accept=".csv,text/csv" onChange={readFile}>
          {props => (
            <Button variant="default" {...props}>
              Count from a file
            </Button>
          )}
        </FileButton>
        <Select
          label="Stand-in plays at"
          w={130}
          data={['1', '2', '4', '10'].map(value => ({ value, label: value === '1' ? 'life' : `${value} × life` }))}
          value={speed}
          onChange={chosen => chosen && setSpeed(chosen)}
        />
        {playing ? (
          <Button variant="default" onClick={stop}>
            Stop
          </Button>
        ) : (
          <Button
            variant="default"
            disabled={lane === null || !PLAYED.includes(draft.entry)}
            onClick={() => play({ horseId, gait: draft.entry, pace: draft.pace, laneM: lane!, speed, foot })}
          >
            Let the stand-in ride a pass
          </Button>
        )}
      </Group>
      <p className={classes.quiet}>
        The stand-in is simulated: it plays a ride of this horse down the lane, with the variation that horses have, so
        that the test can be tried with no horse. Its form is open: a real sensor’s file is read the same way.
      </p>
      {problem && (
        <Alert color="chestnut" role="alert" mt="xs">
          {problem}
        </Alert>
      )}
    </Card>
  );
}

type Playback = { horseId: string; gait: string; pace: string; laneM: number; speed: string; foot: Foot };

/** Listens to the stand-in and taps as the named foot lands between the lines. */
function usePlayback(change: (step: DraftChange) => void, onProblem: (problem: string | null) => void) {
  const source = useRef<EventSource | null>(null);
  const [playing, setPlaying] = useState(false);
  const stop = () => {
    source.current?.close();
    source.current = null;
    setPlaying(false);
  };
  useEffect(() => () => source.current?.close(), []);
  const play = ({ foot, laneM, ...asked }: Playback) => {
    onProblem(null);
    change({ kind: 'start-again' });
    const seed = String(Math.floor(Math.random() * 1e9));
    const query = new URLSearchParams({ ...asked, laneM: String(laneM), seed });
    const stream = new EventSource(`/api/stand-in?${query}`);
    source.current = stream;
    setPlaying(true);
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      if (countInLane([JSON.parse(data) as FootLanding], foot, laneM) > 0) change({ kind: 'tap' });
    };
    stream.addEventListener('end', stop);
    stream.onerror = () => {
      stop();
      onProblem('The stand-in did not answer. What was counted so far is still here.');
    };
  };
  return { playing, play, stop };
}
