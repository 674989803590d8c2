'use client';

import { useAct } from '@/components/form/useAct';
import { Card } from '@/components/Card/Card';
import { Sand } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { placeName, type AskedRide } from '@/app/ride/askedRide';
import { wayWords } from '@/app/ride/wayWords';
import { layoutLabels, type Layout, type PointM } from '@/core';
import { Alert, Button, FileButton, Group, Select } from '@mantine/core';
import { useState } from 'react';
import { readRecordingAction, type ReadRecording } from '../actions';
import type { RiddenAsk } from './recordedStage';
import classes from './RecordingsBoard.module.css';

type ReadFilesProps = { asked: RiddenAsk; layout: Layout; ride: AskedRide };
type Chosen = { name: string; text: string } | null;

/** Reads a track and footfalls from files: looked at first, then kept as a pass. */
export function ReadFiles({ asked, layout, ride }: ReadFilesProps) {
  const [gpx, setGpx] = useState<Chosen>(null);
  const [feet, setFeet] = useState<Chosen>(null);
  const [wayIndex, setWayIndex] = useState(0);
  const [found, setFound] = useState<ReadRecording | null>(null);
  const { act, busy, problem } = useAct('The server does not answer: nothing was kept.');
  const choose = (set: (chosen: Chosen) => void) => async (file: File | null) => {
    if (!file) return;
    setFound(null);
    set({ name: file.name, text: await file.text() });
  };
  const read = (keep: boolean) => {
    setFound(null);
    const sent = {
      ...{ ...asked, ...ride.ways[wayIndex]!, keep },
      ...{ gpx: gpx?.text ?? null, footfalls: feet?.text ?? null },
    };
    act(
      () => readRecordingAction(sent),
      ({ recording }) => setFound(recording),
    );
  };
  return (
    <Card label="From a file" title="From a file">
      <Group align="flex-end">
        <FileButton accept=".gpx,application/gpx+xml" onChange={choose(setGpx)}>
          {props => (
            <Button variant="default" {...props}>
              {gpx ? gpx.name : 'Choose a track (GPX)'}
            </Button>
          )}
        </FileButton>
        <FileButton accept=".csv,text/csv" onChange={choose(setFeet)}>
          {props => (
            <Button variant="default" {...props}>
              {feet ? feet.name : 'Choose footfalls (CSV)'}
            </Button>
          )}
        </FileButton>
        <Select
          label="How it was ridden"
          allowDeselect={false}
          data={ride.ways.map((way, index) => ({ value: String(index), label: wayWords(way) }))}
          value={String(wayIndex)}
          onChange={index => {
            setFound(null);
            setWayIndex(Number(index));
          }}
        />
        <Button loading={busy} disabled={!gpx && !feet} onClick={() => read(false)}>
          Look at it
        </Button>
      </Group>
      <p>Strides are counted from footfalls only. The two files begin at the same moment.</p>
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
        </Alert>
      )}
      {found && <Found {...{ layout, ride, found, busy }} onKeep={() => read(true)} />}
    </Card>
  );
}

type FoundProps = { layout: Layout; ride: AskedRide; found: ReadRecording; busy: boolean; onKeep: () => void };

/** What a recording comes to, in words and on the sand. */
function Found({ layout, ride, found, busy, onKeep }: FoundProps) {
  const { ridden, missed, extra, strides, feet, kept } = found;
  const nameOf = (place: number) => placeName(ride, place);
  const labels = layoutLabels(layout);
  const named = (ids: readonly string[]) => ids.map(labels.inWords).join(', ');
  return (
    <div className={classes.read} role="group" aria-label="What was found">
      <div>
        <p>Ridden over, in order: {named(ridden)}.</p>
        {missed.length > 0 && <p>Not ridden: {named(missed)}.</p>}
        {extra.length > 0 && <p>Ridden beside the plan: {named(extra)}.</p>}
        {feet === 0 && <p>No footfalls, so no strides.</p>}
        {strides.length > 0 && (
          <ul>
            {strides.map(({ place, count }) => (
              <li key={place}>
                {nameOf(place)} to {nameOf(place + 1)}: {count} {count === 1 ? 'stride' : 'strides'}
              </li>
            ))}
          </ul>
        )}
        {kept ? (
          <p role="status">It is a pass of this lesson now.</p>
        ) : (
          <Button loading={busy} onClick={onKeep}>
            Keep it as a pass
          </Button>
        )}
      </div>
      <Way layout={layout} path={found.path} />
    </div>
  );
}

/** Where the pair went, over what stands there. */
function Way({ layout, path }: { layout: Layout; path: readonly PointM[] }) {
  const view = sandView(layout.arena, 'along');
  const { short } = layoutLabels(layout);
  const d = path.map((at, index) => {
    const { x, y } = view.toPaper(at);
    return `${index === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`;
  });
  return (
    <Sand arena={layout.arena} view={view} label="The track as it was recorded">
      {layout.items.map(({ id, at }) => {
        const { x, y } = view.toPaper(at);
        return (
          <g key={id}>
            <circle cx={x} cy={y} r={0.5} className={classes.item} />
            <text x={x + 0.9} y={y} className={classes.name}>
              {short(id)}
            </text>
          </g>
        );
      })}
      <path d={d.join('')} className={classes.way} />
    </Sand>
  );
}
