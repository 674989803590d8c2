'use client';

import { TEST_PACES } from '@/core';
import { Button, Group, Select } from '@mantine/core';
import { useState } from 'react';
import { countFromFilmAction } from '../actions';

/** Where strides of a film are counted into: a leg of its pass, or its stride test at a pace. */
export type CountedFilm = { into: 'test' } | { into: 'pass'; legs: readonly string[] };

type CountOfFilmProps = {
  videoId: string;
  counted: CountedFilm;
  strides: number;
  onSend: (task: () => Promise<{ ok: boolean; problem?: string | null }>, done: string) => Promise<boolean>;
};

/** The strides that were tapped in a film, given to its pass or its test. */
export function CountOfFilm({ videoId, counted, strides, onSend }: CountOfFilmProps) {
  const [place, setPlace] = useState('1');
  const [pace, setPace] = useState('normal');
  const isTest = counted.into === 'test';
  const give = () =>
    onSend(
      () =>
        countFromFilmAction(videoId, {
          count: strides,
          place: isTest ? null : Number(place),
          pace: isTest ? pace : null,
        }),
      isTest ? 'The count is a pass of the stride test now.' : 'The count is in the record of the pass now.',
    );
  return (
    <>
      <h3>
        {strides} {strides === 1 ? 'stride' : 'strides'} counted
      </h3>
      <Group align="flex-end">
        {isTest ? (
          <Select label="Ridden" data={[...TEST_PACES]} value={pace} onChange={chosen => chosen && setPace(chosen)} />
        ) : (
          <Select
            label="Counted from"
            data={counted.legs.map((leg, index) => ({ value: String(index + 1), label: leg }))}
            value={place}
            onChange={chosen => chosen && setPlace(chosen)}
          />
        )}
        <Button disabled={strides === 0 || (!isTest && counted.legs.length === 0)} onClick={() => void give()}>
          {isTest ? 'Give it to the test' : 'Give it to the pass'}
        </Button>
      </Group>
    </>
  );
}
