'use client';

import { CautionList } from '@/components/Caution/CautionList';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { PageHead } from '@/components/PageHead/PageHead';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import {
  kitOfAll,
  riddenRow,
  setItems,
  wallName,
  type Caution,
  type Item,
  type Kit as KitCounts,
  type Layout,
  type ReckonedTrack,
} from '@/core';
import { Button, Select, Text, Title } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { PlacingTable } from './PlacingTable';
import classes from './SettingSheet.module.css';

export type Walker = { id: string; name: string; stepLengthM: number };

type SettingSheetProps = {
  layoutId: string;
  arenaName: string;
  /** What lies there, in a line. */
  contents: string;
  layout: Layout;
  tracks: ReckonedTrack[];
  cautions: Caution[];
  /** People whose own step is known. */
  walkers: Walker[];
  walkerId: string | null;
};

/** One page that becomes paper: the drawing with numbered pieces, what to carry out, and where each end goes. */
export function SettingSheet(props: SettingSheetProps) {
  const { layoutId, arenaName, contents, layout, tracks, cautions, walkers, walkerId } = props;
  const { arena } = layout;
  const { format, formatTape } = useLengths();
  const router = useRouter();
  const walker = walkers.find(({ id }) => id === walkerId) ?? walkers[0] ?? null;
  const setting = setItems(arena, inOrder(layout));
  const numbers = new Map(setting.placings.map(({ item, number }) => [item.id, number]));
  const view = sandView(arena, 'along');
  const row = riddenRow(layout);
  return (
    <article className={classes.sheet}>
      <PageHead
        title={layout.name}
        sub={`${arenaName}. ${contents}${row?.spacingM ? `, ${format(row.spacingM)} apart` : ''}.`}
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
        <Sand arena={arena} view={view} label={`${layout.name}, with the pieces numbered`} className={classes.drawing}>
          <LayoutDrawing layout={layout} tracks={tracks} view={view} textM={sandTextM(arena)} numbers={numbers} plain />
        </Sand>
        <div className={classes.words}>
          <CarryOut items={layout.items} />
          <Title order={2} size="h4">
            How to measure
          </Title>
          <Text size="sm">
            Square from the <strong>{wallName(arena, setting.longSide)}</strong> and from the{' '}
            <strong>{wallName(arena, setting.shortSide)}</strong>. Left and right are as each piece is ridden.
            {walker && ` One step of ${walker.name} is ${format(walker.stepLengthM)}.`}
          </Text>
          {walkers.length === 0 && (
            <Text size="sm" className="roan-no-print">
              Nobody’s step is known yet: <Link href="/yard">type your own in the yard</Link> and the sheet speaks in
              it.
            </Text>
          )}
          {row?.spacingM && (
            <Text size="sm">
              Then check: pole to pole <strong>{formatTape(row.spacingM)}</strong> along the track.
            </Text>
          )}
        </div>
      </div>
      <PlacingTable setting={setting} arena={arena} walker={walker} />
      <CautionList cautions={cautions} items={layout.items} />
    </article>
  );
}

/** As the first track rides over them, then the rest. */
function inOrder({ items, tracks }: Layout): Item[] {
  const ridden = tracks.flatMap(track => (track.kind === 'items' ? track.through.map(({ item }) => item) : []));
  const first = [...new Set(ridden)].flatMap(id => items.find(item => item.id === id) ?? []);
  return [...first, ...items.filter(item => !first.includes(item))];
}

const KIT_WORDS: Record<keyof KitCounts, [string, string]> = {
  poles: ['pole', 'poles'],
  stands: ['stand', 'stands'],
  cups: ['cup', 'cups'],
  blocks: ['block', 'blocks'],
  cones: ['cone', 'cones'],
  fillers: ['filler', 'fillers'],
  markers: ['marker', 'markers'],
};

function CarryOut({ items }: { items: readonly Item[] }) {
  const kit = kitOfAll(items);
  return (
    <>
      <Title order={2} size="h4">
        Carry out
      </Title>
      <ul className={classes.kit}>
        {Object.entries(KIT_WORDS).flatMap(([kind, [one, many]]) => {
          const count = kit[kind as keyof KitCounts];
          return count === 0
            ? []
            : [
                <li key={kind}>
                  {count} {count === 1 ? one : many}
                </li>,
              ];
        })}
      </ul>
    </>
  );
}
