'use client';

import { CautionList } from '@/components/Caution/CautionList';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { PageHead } from '@/components/PageHead/PageHead';
import { RowDrawing } from '@/components/Sand/RowDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { rowKit, rowRoomCautions, setPoleEnds, wallName, type Arena, type PlacedRow, type PoleGait } from '@/core';
import { Button, Select, Text, Title } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { PlacingTable } from './PlacingTable';
import classes from './SettingSheet.module.css';

export type Walker = { id: string; name: string; stepLengthM: number };

type SettingSheetProps = {
  layoutId: string;
  name: string;
  arena: Arena & { name: string };
  placed: PlacedRow;
  gait: PoleGait;
  horseName: string;
  /** People whose own step is known. */
  walkers: Walker[];
  walkerId: string | null;
};

/** One page that becomes paper: the drawing with numbered poles, what to carry out, and where each end goes. */
export function SettingSheet(props: SettingSheetProps) {
  const { layoutId, name, arena, placed, gait, horseName, walkers, walkerId } = props;
  const { format, formatTape } = useLengths();
  const router = useRouter();
  const walker = walkers.find(({ id }) => id === walkerId) ?? walkers[0] ?? null;
  const setting = setPoleEnds(arena, placed.poles);
  const view = sandView(arena, 'along');
  const { spacingM } = placed.spacing;
  const count = placed.poles.length;
  return (
    <article className={classes.sheet}>
      <PageHead
        title={name}
        sub={`${arena.name}. ${count} ${gait} ${count === 1 ? 'pole' : `poles, ${format(spacingM)} apart`}, for ${horseName}.`}
        actions={
          <>
            {walkers.length > 0 && (
              <Select
                aria-label="Whose steps"
                value={walker?.id ?? null}
                data={walkers.map(({ id, name: person }) => ({ value: id, label: `Steps of ${person}` }))}
                onChange={id => id && router.replace(`/set/${layoutId}?steps=${id}`, { scroll: false })}
              />
            )}
            <Button leftSection={<IconPrinter size={16} />} onClick={() => window.print()}>
              Print
            </Button>
          </>
        }
      />
      <div className={classes.top}>
        <Sand arena={arena} view={view} label={`${name}, with the poles numbered`} className={classes.drawing}>
          <RowDrawing placed={placed} view={view} textM={sandTextM(arena)} numbered plain />
        </Sand>
        <div className={classes.words}>
          <Kit placed={placed} />
          <Title order={2} size="h4">
            How to measure
          </Title>
          <Text size="sm">
            Square from the <strong>{wallName(arena, setting.longSide)}</strong> and from the{' '}
            <strong>{wallName(arena, setting.shortSide)}</strong>. Left and right are as the row is ridden, along the
            arrow.
            {walker && ` One step of ${walker.name} is ${format(walker.stepLengthM)}.`}
          </Text>
          {walkers.length === 0 && (
            <Text size="sm" className="roan-no-print">
              Nobody’s step is known yet: <Link href="/yard">type your own in the yard</Link> and the sheet speaks in
              it.
            </Text>
          )}
          {count > 1 && (
            <Text size="sm">
              Then check: pole to pole <strong>{formatTape(spacingM)}</strong> at both ends, first pole to last{' '}
              <strong>{formatTape(setting.overallM)}</strong>.
            </Text>
          )}
        </div>
      </div>
      <PlacingTable setting={setting} arena={arena} walker={walker} />
      <CautionList cautions={rowRoomCautions(arena, placed.poles, gait)} />
    </article>
  );
}

function Kit({ placed }: { placed: PlacedRow }) {
  const { format } = useLengths();
  const kit = rowKit(placed.poles);
  return (
    <>
      <Title order={2} size="h4">
        Carry out
      </Title>
      <ul className={classes.kit}>
        {kit.poles.map(({ count, lengthM }) => (
          <li key={lengthM}>
            {count} {count === 1 ? 'pole' : 'poles'} of {format(lengthM)}
          </li>
        ))}
        {kit.blocks.map(({ count, heightM }) => (
          <li key={heightM}>
            {count} {count === 1 ? 'block' : 'blocks'} of {format(heightM)}
          </li>
        ))}
      </ul>
    </>
  );
}
