'use client';

import { useUnit, useLengths } from '@/components/Lengths/LengthsProvider';
import { walkedOutline, type PointM } from '@/core';
import { Modal } from '@/components/Modal/Modal';
import { Button, Group, Text, Textarea } from '@mantine/core';
import { useState } from 'react';
import { readWalls } from './readWalls';

/** So far a walk may end from where it began, metres: paces are paces. */
const MOST_GAP_M = 1.5;

/** The walls of a sand as they are walked, one to a line: how long each is, and which way the next one turns. */
export function WalkTheWalls({ onWalked }: { onWalked: (corners: PointM[]) => string | null }) {
  const unit = useUnit();
  const { format } = useLengths();
  const [opened, setOpened] = useState(false);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const walk = () => {
    const read = readWalls(typed, unit);
    if (!read.ok) return setProblem(read.reason);
    const { corners, gapM } = walkedOutline(read.walls);
    if (gapM > MOST_GAP_M)
      return setProblem(
        `The walk ends ${format(gapM)} from where it began: look for a wall that is missing, or a turn the other way.`,
      );
    const fault = onWalked(corners);
    setProblem(fault);
    if (fault === null) setOpened(false);
  };
  return (
    <>
      <Button size="compact-sm" variant="default" onClick={() => setOpened(true)}>
        Walk the walls
      </Button>
      <Modal opened={opened} onClose={() => setOpened(false)} title="Walk the walls">
        <Text size="sm">
          Begin at the corner left of A and walk round with the sand on your left. A line for each wall: its length, and
          how the next wall turns: left, right, or degrees to the left.
        </Text>
        <Textarea
          label="Walls"
          autosize
          minRows={6}
          mt="sm"
          placeholder={'20 left\n30 left\n8 right\n10 left\n12 left\n40 left'}
          value={typed}
          onChange={event => setTyped(event.currentTarget.value)}
          error={problem}
        />
        <Group mt="sm">
          <Button onClick={walk}>Take this outline</Button>
          <Button variant="default" onClick={() => setOpened(false)}>
            Cancel
          </Button>
        </Group>
      </Modal>
    </>
  );
}
