'use client';

import { CommitField, type Read } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  facingFromHeading,
  headingFromFacing,
  MAX_POLE_LENGTH_M,
  MAX_ROW_POLES,
  MAX_SPACING_M,
  MIN_POLE_LENGTH_M,
  MIN_ROW_POLES,
  MIN_SPACING_M,
  wallName,
  type Arena,
  type PlacedRow,
} from '@/core';
import type { Horse } from '@/data/queries/horses';
import { Button, SegmentedControl, Select, Text, Title } from '@mantine/core';
import type { PlanControls } from '../_state/usePlan';
import { RaisedPoles } from './RaisedPoles';
import classes from './RowReading.module.css';

type RowReadingProps = { plan: PlanControls; arena: Arena; horses: Horse[]; horse: Horse; placed: PlacedRow };

/** The row in numbers; all of it can be typed as well as dragged. */
export function RowReading({ plan, arena, horses, horse, placed }: RowReadingProps) {
  return (
    <section aria-label="The row" className={classes.reading}>
      <WhoAndWhat plan={plan} horses={horses} />
      <Spacing plan={plan} horse={horse} placed={placed} />
      <Place plan={plan} arena={arena} placed={placed} />
      <RaisedPoles plan={plan} />
    </section>
  );
}

function WhoAndWhat({ plan, horses }: { plan: PlanControls; horses: Horse[] }) {
  const { row, change } = plan;
  return (
    <div className={classes.group}>
      <SegmentedControl
        fullWidth
        aria-label="Gait"
        value={row.gait}
        onChange={gait => change({ kind: 'gait', gait: gait as typeof row.gait })}
        data={[
          { value: 'walk', label: 'Walk' },
          { value: 'trot', label: 'Trot' },
          { value: 'canter', label: 'Canter' },
        ]}
      />
      <Select
        label="Set for"
        value={row.horseId}
        onChange={horseId => horseId && change({ kind: 'horse', horseId })}
        data={horses.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <div className={classes.two}>
        <CommitField
          label="Poles"
          text={String(row.raised.length)}
          read={readCount}
          onCommit={count => change({ kind: 'count', count })}
        />
        <LengthField
          label="Pole length"
          lengthM={row.poleLengthM}
          minM={MIN_POLE_LENGTH_M}
          maxM={MAX_POLE_LENGTH_M}
          onCommit={poleLengthM => change({ kind: 'pole-length', poleLengthM })}
        />
      </div>
    </div>
  );
}

function readCount(typed: string): Read<number> {
  const count = /^\s*\d{1,3}\s*$/.test(typed) ? Number(typed) : Number.NaN;
  if (count >= MIN_ROW_POLES && count <= MAX_ROW_POLES) return { ok: true, value: count };
  return { ok: false, reason: `A row has ${MIN_ROW_POLES} to ${MAX_ROW_POLES} poles.` };
}

function Spacing({ plan, horse, placed }: { plan: PlanControls; horse: Horse; placed: PlacedRow }) {
  const { format, formatChange } = useLengths();
  const { spacingM, normalM, raisedCloserM, source } = placed.spacing;
  const stepName = plan.row.gait === 'canter' ? 'canter stride' : `${plan.row.gait} step`;
  const origin = source === 'default' ? 'expected of its height and type' : `${source} for ${horse.name}`;
  return (
    <div className={classes.group}>
      <LengthField
        label="Spacing, pole to pole"
        lengthM={spacingM}
        minM={MIN_SPACING_M}
        maxM={MAX_SPACING_M}
        onCommit={set => plan.change({ kind: 'spacing', spacing: { by: 'hand', spacingM: set } })}
      />
      {source === 'hand' ? (
        <Text size="sm" c="slate.7">
          Set by hand, {formatChange(spacingM - normalM)} on {horse.name}’s own {stepName}.{' '}
          <Button
            size="compact-xs"
            variant="light"
            onClick={() => plan.change({ kind: 'spacing', spacing: { by: 'horse' } })}
          >
            Back to {format(normalM)}
          </Button>
        </Text>
      ) : (
        <Text size="sm" c="slate.7">
          {horse.name}’s {stepName} over poles is {format(normalM)} ({origin})
          {raisedCloserM > 0 ? `, set ${formatChange(raisedCloserM).slice(1)} closer for the raised poles.` : '.'}
        </Text>
      )}
    </div>
  );
}

function Place({ plan, arena, placed }: { plan: PlanControls; arena: Arena; placed: PlacedRow }) {
  const { centre, headingRad } = placed.row;
  return (
    <div className={classes.group}>
      <Title order={2} size="h5">
        Middle of the row
      </Title>
      <div className={classes.two}>
        <LengthField
          label={`From ${wallName(arena, 'near')}`}
          lengthM={centre.yM}
          minM={0}
          maxM={arena.lengthM}
          onCommit={yM => plan.change({ kind: 'move', centre: { ...centre, yM } })}
        />
        <LengthField
          label={`From ${wallName(arena, 'left')}`}
          lengthM={centre.xM}
          minM={0}
          maxM={arena.widthM}
          onCommit={xM => plan.change({ kind: 'move', centre: { ...centre, xM } })}
        />
      </div>
      <CommitField
        label="Ridden towards, degrees"
        description={`0 is towards ${arena.letters === 'none' ? 'the far short side' : 'C'}, 90 to the right of that`}
        text={facingText(headingRad)}
        read={readFacing}
        onCommit={facingDeg => plan.change({ kind: 'turn', headingRad: headingFromFacing(facingDeg) })}
      />
    </div>
  );
}

function facingText(headingRad: number): string {
  const degrees = Math.round(facingFromHeading(headingRad) * 10) / 10;
  return String(degrees === 360 ? 0 : degrees);
}

function readFacing(typed: string): Read<number> {
  const match = /^\s*(-?\d{1,4}(?:[.,]\d+)?)\s*°?\s*$/.exec(typed);
  if (match?.[1] === undefined) return { ok: false, reason: 'Type a direction in degrees, such as 90.' };
  return { ok: true, value: Number(match[1].replace(',', '.')) };
}
