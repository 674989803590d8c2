'use client';

import { CautionList } from '@/components/Caution/CautionList';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { PageHead } from '@/components/PageHead/PageHead';
import { Delivery } from '@/components/sync/Delivery';
import {
  riddenRow,
  settingSheet,
  stretchesOf,
  walkedOffM,
  type Caution,
  type Layout,
  type PointM,
  type ReckonedTrack,
  type SetPeg,
  type SetPiece,
  type SettingWish,
  type Tolerance,
} from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import { printedSheet, type PrintedLine } from '@/files/printedSheet';
import { placeOf, placeOfPoint, type TicksAnswer } from '@/files/settingTick';
import { SegmentedControl, Select } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useTicks } from '../_state/useTicks';
import { BigPiece } from './BigPiece';
import { GroundPanel } from './GroundPanel';
import { HalfSteps } from './HalfSteps';
import { OneAtATime } from './OneAtATime';
import { PaperMenu } from './PaperMenu';
import { StepList } from './StepList';
import { SheetDrawing } from './SheetDrawing';
import { SheetWords } from './SheetWords';
import { StandingBanner, type StandingNow } from './StandingBanner';
import type { SetStep } from './setStep';
import type { StepDrawn } from './StepPicture';
import classes from './SettingSheet.module.css';

export type Walker = { id: string; name: string; stepLengthM: number; stepShare: number };

type SettingSheetProps = {
  layoutId: string;
  revision: number;
  arenaName: string;
  marks: ArenaMarks;
  /** What lies there, in a line. */
  contents: string;
  layout: Layout;
  /** Where the kit comes from. */
  from: PointM;
  tracks: ReckonedTrack[];
  cautions: Caution[];
  tolerances: Tolerance[];
  horseIds: readonly string[];
  /** People whose own step is known. */
  walkers: Walker[];
  walkerId: string | null;
  measureBy: SettingWish['measureBy'];
  firstTicks: TicksAnswer;
  standing: StandingNow | null;
};

type View = 'list' | 'one' | 'ground';

/** One page that becomes paper: the drawing with numbered pieces, what to carry out, and how each piece is found. */
export function SettingSheet(props: SettingSheetProps) {
  const { layoutId, arenaName, contents, layout, from, tracks, walkers, walkerId, measureBy, tolerances } = props;
  const { format, unit } = useLengths();
  const router = useRouter();
  const [view, setView] = useState<View>('list');
  const [bigId, setBigId] = useState<string | null>(null);
  const ticks = useTicks(layoutId, props.firstTicks);
  // Without a word about it the sheet speaks in the first one's steps; “none” is a tape only.
  const walker = walkerId === 'none' ? null : (walkers.find(({ id }) => id === walkerId) ?? walkers[0] ?? null);
  const sheet = useMemo(() => settingSheet(layout, { measureBy, from }), [layout, measureBy, from]);
  const printed = useMemo(
    () => printedSheet(layout, sheet, { unit, stepM: walker?.stepLengthM ?? null }),
    [layout, sheet, unit, walker],
  );
  const steps = useMemo<SetStep[]>(() => {
    const drawn = (set: SetPeg | SetPiece, lines: readonly PrintedLine[]): StepDrawn => {
      const own = 'item' in set ? [set.item] : [];
      const from = 'hangsOn' in set ? set.hangsOn.flatMap(point => (point.kind === 'end' ? point.item : [])) : [];
      const others = layout.items.filter(({ id }) => from.includes(id) && id !== own[0]?.id);
      const tapes = new Map(lines.map(({ measure, tape, follows }) => [measure, follows ? null : tape]));
      const stretches = stretchesOf(layout, sheet.pegs, set)
        .filter(({ measure }) => tapes.get(measure) !== null)
        .map(stretch => ({ ...stretch, tape: tapes.get(stretch.measure) ?? null }));
      return { arena: layout.arena, items: [...own, ...others], stretches };
    };
    const offM = walker ? walkedOffM(layout, sheet, walker.stepLengthM, walker.stepShare) : null;
    return [
      ...printed.pegs.map(({ peg, lines, serves }, index) => ({
        ...{ id: `peg ${peg}`, label: `Peg ${peg}`, name: serves, lines, checks: [], notes: [] },
        drawn: drawn(sheet.pegs[index]!, lines),
        ...{ place: placeOfPoint(sheet.pegs[index]!.at), tolerance: null, walkedOffM: null },
      })),
      ...printed.pieces.map((piece, index) => ({
        ...piece,
        drawn: drawn(sheet.pieces[index]!, piece.lines),
        label: piece.number,
        place: placeOf(layout.items.find(({ id }) => id === piece.id)!),
        tolerance: tolerances.find(({ item }) => item === piece.id) ?? null,
        walkedOffM: offM?.get(piece.id) ?? null,
      })),
    ];
  }, [layout, sheet, printed, walker, tolerances]);
  const go = (change: { steps?: string | null; by?: string }) => {
    const wish = new URLSearchParams();
    wish.set('steps', (change.steps === undefined ? walker?.id : change.steps) ?? 'none');
    wish.set('by', change.by ?? measureBy);
    router.replace(`/set/${layoutId}?${wish}`, { scroll: false });
  };
  const row = riddenRow(layout);
  const standing = steps.filter(({ id, place }) => ticks.isTicked(id, place)).length;
  const big = steps.find(({ id }) => id === bigId) ?? null;
  return (
    <article className={classes.sheet} data-view={view}>
      <PageHead
        title={layout.name}
        sub={`${arenaName}. ${contents}${row?.spacingM ? `, ${format(row.spacingM)} apart` : ''}.`}
        actions={
          <div className={classes.choices} data-choices="">
            {walkers.length > 0 && (
              <Select
                aria-label="Whose steps"
                allowDeselect={false}
                value={walker?.id ?? 'none'}
                data={[
                  ...walkers.map(({ id, name: person }) => ({ value: id, label: `Steps of ${person}` })),
                  { value: 'none', label: 'With a tape only' },
                ]}
                onChange={id => go({ steps: id })}
              />
            )}
            <SegmentedControl
              aria-label="Measured how"
              value={measureBy}
              onChange={by => go({ by })}
              data={[
                { value: 'line', label: 'Along the line' },
                { value: 'walls', label: 'From the walls' },
                { value: 'tapes', label: 'With two tapes' },
              ]}
            />
            <PaperMenu
              layoutId={layoutId}
              measureBy={measureBy}
              walkerId={walker?.id ?? null}
              layout={layout}
              tracks={tracks}
              horseIds={props.horseIds}
            />
          </div>
        }
      />
      {props.standing && (
        <StandingBanner layoutId={layoutId} standing={props.standing} steps={steps} onPiece={setBigId} />
      )}
      <div className={classes.top}>
        <SheetDrawing
          layout={layout}
          marks={props.marks}
          tracks={tracks}
          steps={steps}
          isTicked={ticks.isTicked}
          onPiece={setBigId}
        />
        <SheetWords
          layoutId={layoutId}
          printed={printed}
          tolerances={tolerances}
          walker={walker}
          hasWalkers={walkers.length > 0}
        />
      </div>
      {walker && (
        <HalfSteps
          // Another sheet or another step is rounded anew.
          key={`${walker.id} ${measureBy}`}
          layoutId={layoutId}
          walker={walker}
          measureBy={measureBy}
          steps={steps}
        />
      )}
      <div className={`${classes.views} roan-no-print`}>
        <SegmentedControl
          aria-label="How it is shown"
          value={view}
          onChange={value => setView(value as View)}
          data={[
            { value: 'list', label: 'The list' },
            { value: 'one', label: 'One at a time' },
            { value: 'ground', label: 'As measured' },
          ]}
        />
        <span role="status">
          {standing} of {steps.length} stand
        </span>
        <Delivery ready={ticks.ready} waits={ticks.waits} quiet />
      </div>
      {view === 'one' && <OneAtATime steps={steps} ticks={ticks} />}
      {view === 'ground' && (
        <GroundPanel
          layoutId={layoutId}
          revision={props.revision}
          layout={layout}
          tracks={tracks}
          sheet={sheet}
          measureBy={measureBy}
          steps={steps}
          walker={walker}
          onKept={() => setView('list')}
        />
      )}
      {view !== 'ground' && (
        <div className={view === 'one' ? classes.paperOnly : undefined}>
          <StepList steps={steps} ticks={ticks} onPiece={setBigId} />
        </div>
      )}
      <CautionList cautions={props.cautions} items={layout.items} />
      {big && <BigPiece step={big} ticks={ticks} onClose={() => setBigId(null)} />}
    </article>
  );
}
