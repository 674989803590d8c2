'use client';

import { Card } from '@/components/Card/Card';
import { CommitField, type Read } from '@/components/CommitField/CommitField';
import type { ArenaMarks } from '@/files/arenaMarks';
import { Button, Group } from '@mantine/core';
import classes from './ArenaMarksBoard.module.css';

type Place = NonNullable<ArenaMarks['place']>;

type PlaceOnEarthProps = { place: ArenaMarks['place']; onChange: (place: ArenaMarks['place']) => void };

const FIELDS: { key: keyof Place; label: string; least: number; most: number }[] = [
  { key: 'latDeg', label: 'Degrees north (south with a minus)', least: -85, most: 85 },
  { key: 'lonDeg', label: 'Degrees east (west with a minus)', least: -180, most: 180 },
  { key: 'bearingDeg', label: 'The long side runs, degrees from north', least: 0, most: 359.99 },
];
const FIRST: Place = { latDeg: 0, lonDeg: 0, bearingDeg: 0 };

/** Where the arena lies on the earth, so that a track from a watch or a phone can be laid over it. */
export function PlaceOnEarth({ place, onChange }: PlaceOnEarthProps) {
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
            text={place ? String(place[key]) : ''}
            read={read(least, most)}
            onCommit={value => {
              onChange({ ...(place ?? FIRST), [key]: value });
              return null;
            }}
          />
        ))}
        {place && (
          <Group>
            <Button size="compact-sm" variant="subtle" onClick={() => onChange(null)}>
              Take it away
            </Button>
          </Group>
        )}
      </div>
    </Card>
  );
}
