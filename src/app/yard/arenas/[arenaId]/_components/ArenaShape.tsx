'use client';

import { Card } from '@/components/Card/Card';
import { LengthField } from '@/components/LengthField/LengthField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { arenaCorners, keptOutline, outlineFault, type PointM } from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import type { ArenaMarks } from '@/files/arenaMarks';
import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import classes from './ArenaMarksBoard.module.css';
import { WalkTheWalls } from './WalkTheWalls';

type ArenaShapeProps = { arena: NamedArena; marks: ArenaMarks; onChange: (marks: ArenaMarks) => void };

/** The outline of a sand, corner by corner: typed, or walked wall by wall; on the drawing its corners are dragged. */
export function ArenaShape({ arena, marks, onChange }: ArenaShapeProps) {
  const { say } = useLengths();
  const [problem, setProblem] = useState<string | null>(null);
  const corners = marks.outline ?? arenaCorners(arena);
  const put = (next: readonly PointM[]): string | null => {
    const fault = outlineFault(next);
    setProblem(fault && say(fault));
    if (fault === null) onChange({ ...marks, outline: keptOutline(next).outline });
    return fault && say(fault);
  };
  const moved = (index: number, to: Partial<PointM>) =>
    put(corners.map((corner, at) => (at === index ? { ...corner, ...to } : corner)));
  const split = (index: number) => {
    const [from, to] = [corners[index]!, corners[(index + 1) % corners.length]!];
    const middle = { xM: (from.xM + to.xM) / 2, yM: (from.yM + to.yM) / 2 };
    put([...corners.slice(0, index + 1), middle, ...corners.slice(index + 1)]);
  };
  return (
    <Card label="Its shape" title="Its shape">
      <div className={classes.marks}>
        <Text size="sm">
          {marks.outline
            ? 'Corners round the sand, from the one left of A to the right. Across and up are from the left and near sides.'
            : 'A rectangle. Put a corner between two others where a wall turns, or walk the walls.'}
        </Text>
        <ol className={classes.corners}>
          {corners.map((corner, index) => (
            <li key={index}>
              <div className={classes.cornerRow}>
                <LengthField
                  label={`Corner ${index + 1}, across`}
                  lengthM={corner.xM}
                  minM={0}
                  maxM={200}
                  onCommit={xM => moved(index, { xM })}
                />
                <LengthField
                  label={`Corner ${index + 1}, up`}
                  lengthM={corner.yM}
                  minM={0}
                  maxM={200}
                  onCommit={yM => moved(index, { yM })}
                />
                <Button size="compact-sm" variant="default" flex="none" onClick={() => split(index)}>
                  Corner after {index + 1}
                </Button>
                {corners.length > 3 && (
                  <Button
                    size="compact-sm"
                    variant="subtle"
                    flex="none"
                    aria-label={`Take away: corner ${index + 1}`}
                    onClick={() => put(corners.filter((_, at) => at !== index))}
                  >
                    Take away
                  </Button>
                )}
              </div>
            </li>
          ))}
        </ol>
        {problem && (
          <Text size="sm" role="alert">
            {problem} The outline stays as it was.
          </Text>
        )}
        <Group gap="xs">
          <WalkTheWalls onWalked={put} />
          {marks.outline && (
            <Button size="compact-sm" variant="default" onClick={() => onChange({ ...marks, outline: null })}>
              A rectangle again
            </Button>
          )}
        </Group>
      </div>
    </Card>
  );
}
