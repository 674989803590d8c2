'use client';

import { CommitField } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import { facingFromHeading, headingFromFacing, wallName, type Arena, type Pose } from '@/core';
import { Group } from '@mantine/core';

type PlaceFieldsProps = {
  arena: Arena;
  pose: Pose;
  hasFacing: boolean;
  disabled: boolean;
  onMove: (pose: Pose) => void;
};

/** A facing in whole and parted degrees, the full turn included. */
function readFacing(typed: string) {
  const degrees = /^\s*\d{1,3}([.,]\d+)?\s*°?\s*$/.test(typed)
    ? Number(typed.replace(/[°\s]/g, '').replace(',', '.'))
    : NaN;
  if (!(degrees <= 360)) return { ok: false as const, reason: 'Type a direction in degrees, such as 90.' };
  return { ok: true as const, value: degrees % 360 };
}

/** Where something lies, from a long and a short side, and which way it faces: typed to the centimetre and the degree. */
export function PlaceFields({ arena, pose, hasFacing, disabled, onMove }: PlaceFieldsProps) {
  const { at, headingRad } = pose;
  const facingDeg = Math.round(facingFromHeading(headingRad) * 100) / 100;
  const move = (next: Pose) => {
    onMove(next);
    return null;
  };
  return (
    <>
      <Group grow align="flex-start" gap="xs">
        <LengthField
          label={`From ${wallName(arena, 'left')}`}
          lengthM={at.xM}
          minM={-5}
          maxM={arena.widthM + 5}
          disabled={disabled}
          onCommit={xM => move({ headingRad, at: { ...at, xM } })}
        />
        <LengthField
          label={`From ${wallName(arena, 'near')}`}
          lengthM={at.yM}
          minM={-5}
          maxM={arena.lengthM + 5}
          disabled={disabled}
          onCommit={yM => move({ headingRad, at: { ...at, yM } })}
        />
      </Group>
      {hasFacing && (
        <CommitField
          label="Ridden towards, degrees"
          description="0 is towards C, 90 to the right of it"
          text={String(facingDeg % 360)}
          read={readFacing}
          disabled={disabled}
          onCommit={degrees => move({ at, headingRad: headingFromFacing(degrees) })}
        />
      )}
    </>
  );
}
