'use client';

import { Card } from '@/components/Card/Card';
import { CommitField, type Read } from '@/components/CommitField/CommitField';
import type { ArenaMarks } from '@/files/arenaMarks';
import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import classes from './ArenaMarksBoard.module.css';

type Place = NonNullable<ArenaMarks['place']>;

type PlaceOnEarthProps = { place: ArenaMarks['place']; onChange: (place: ArenaMarks['place']) => void };

const FIELDS: { key: keyof Place; label: string; least: number; most: number }[] = [
  { key: 'latDeg', label: 'Degrees north (south with a minus)', least: -85, most: 85 },
  { key: 'lonDeg', label: 'Degrees east (west with a minus)', least: -180, most: 180 },
  { key: 'bearingDeg', label: 'The long side runs, degrees from north', least: 0, most: 359.99 },
];

/** How many of the three are still to be typed, in words. */
const LEFT = ['', 'One more number, and it is kept.', 'Two more numbers, and it is kept.'];

/** Where the arena lies on the earth, so that a track from a watch or a phone can be laid over it. */
export function PlaceOnEarth({ place, onChange }: PlaceOnEarthProps) {
  // A place is three numbers together: until the last of them is typed the others wait here.
  const [begun, setBegun] = useState<Partial<Place>>({});
  const typed: Partial<Place> = place ?? begun;
  const left = FIELDS.filter(({ key }) => typed[key] === undefined).length;
  const commit = (key: keyof Place, value: number) => {
    const next: Partial<Place> = { ...typed, [key]: value };
    setBegun(next);
    const { latDeg, lonDeg, bearingDeg } = next;
    if (latDeg !== undefined && lonDeg !== undefined && bearingDeg !== undefined)
      onChange({ latDeg, lonDeg, bearingDeg });
  };
  const takeAway = () => {
    setBegun({});
    onChange(null);
  };
  const read =
    (least: number, most: number) =>
    (text: string): Read<number> => {
      const plain = text.trim().replace(',', '.').replace('−', '-');
      const value = /^-?\d{1,3}(\.\d{1,9})?$/.test(plain) ? Number(plain) : Number.NaN;
      return value >= least && value <= most ? { ok: true, value } : { ok: false, reason: `${least} to ${most}.` };
    };
  return (
    <Card label="Where it lies" title="Where it lies">
      <div className={classes.marks}>
        <p className={classes.quiet}>
          Only for tracks from a watch or a phone: where its corner left of A is on the earth, and which way its long
          side runs from there.
        </p>
        {FIELDS.map(({ key, label, least, most }) => (
          <CommitField
            key={key}
            label={label}
            text={typed[key] === undefined ? '' : String(typed[key])}
            read={read(least, most)}
            onCommit={value => {
              commit(key, value);
              return null;
            }}
          />
        ))}
        {left > 0 && left < FIELDS.length && (
          <p role="status" className={classes.quiet}>
            {LEFT[left]}
          </p>
        )}
        {left < FIELDS.length && (
          <Group>
            <Button size="compact-sm" variant="subtle" onClick={takeAway}>
              Take it away
            </Button>
          </Group>
        )}
      </div>
    </Card>
  );
}
