'use client';

import { LengthField } from '@/components/LengthField/LengthField';
import { isRaised, MAX_RAISED_M, type RaisedEnds } from '@/core';
import { Button, Group, SegmentedControl, Title } from '@mantine/core';
import { useState } from 'react';
import type { PlanControls } from '../_state/usePlan';
import classes from './RowReading.module.css';

/** Common practice, no source: poles are raised by 10 to 25 cm. */
const USUAL_RAISE_M = 0.15;

type Ends = 'flat' | 'left' | 'right' | 'both';

function endsOf({ leftM, rightM }: RaisedEnds): Ends {
  if (leftM > 0) return rightM > 0 ? 'both' : 'left';
  return rightM > 0 ? 'right' : 'flat';
}

function raisedAt(ends: Ends, heightM: number): RaisedEnds {
  return {
    leftM: ends === 'left' || ends === 'both' ? heightM : 0,
    rightM: ends === 'right' || ends === 'both' ? heightM : 0,
  };
}

/** Each pole flat, or raised on a block at one end or both; the blocks of a row are of one height. */
export function RaisedPoles({ plan }: { plan: PlanControls }) {
  const { raised } = plan.row;
  const highestM = Math.max(...raised.flatMap(({ leftM, rightM }) => [leftM, rightM]));
  const [chosenM, setChosenM] = useState(USUAL_RAISE_M);
  const heightM = highestM > 0 ? highestM : chosenM;
  const raise = (next: RaisedEnds[]) => plan.change({ kind: 'raise', raised: next });
  const setHeight = (blockM: number) => {
    setChosenM(blockM);
    if (highestM === 0) return null;
    return raise(raised.map(ends => raisedAt(endsOf(ends), blockM)));
  };
  return (
    <div className={classes.group}>
      <Title order={2} size="h5">
        Raised poles
      </Title>
      <Group gap={6}>
        <Button
          size="compact-xs"
          variant="light"
          onClick={() => raise(raised.map(() => raisedAt('flat', 0)))}
          disabled={!raised.some(isRaised)}
        >
          All flat
        </Button>
        <Button
          size="compact-xs"
          variant="light"
          onClick={() => raise(raised.map((_, i) => raisedAt(i % 2 === 0 ? 'left' : 'right', heightM)))}
        >
          Alternate ends
        </Button>
        <Button size="compact-xs" variant="light" onClick={() => raise(raised.map(() => raisedAt('both', heightM)))}>
          Both ends
        </Button>
      </Group>
      <LengthField
        label="Height of the blocks"
        lengthM={heightM}
        minM={0.02}
        maxM={MAX_RAISED_M}
        onCommit={setHeight}
      />
      <ol className={classes.poles}>
        {raised.map((ends, index) => (
          <li key={index}>
            <strong>{index + 1}</strong>
            <SegmentedControl
              size="xs"
              fullWidth
              aria-label={`Pole ${index + 1}`}
              value={endsOf(ends)}
              onChange={value =>
                raise(raised.map((other, i) => (i === index ? raisedAt(value as Ends, heightM) : other)))
              }
              data={[
                { value: 'flat', label: 'Flat' },
                { value: 'left', label: 'Left' },
                { value: 'right', label: 'Right' },
                { value: 'both', label: 'Both' },
              ]}
            />
          </li>
        ))}
      </ol>
    </div>
  );
}
