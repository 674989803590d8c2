'use client';

import { CautionList } from '@/components/Caution/CautionList';
import { Choice } from '@/components/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { apart } from '@/components/apart';
import { lazily } from '@/components/lazily';
import { PageHead } from '@/components/PageHead/PageHead';
import { Delivery } from '@/components/sync/Delivery';
import {
  sheetLabels,
  walkedLengthOffM,
  type Caution,
  type Layout,
  type ReckonedTrack,
  type SettingSheet as Sheet,
  type SettingWish,
  type Tolerance,
} from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import type { PrintedLine, PrintedSheet } from '@/files/printedSheet';
import { placeOf, placeOfPoint, type TicksAnswer } from '@/files/settingTick';
import { ShortSelect } from '@/components/fields/ShortSelect';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useGroundTruth } from '../_state/useGroundTruth';
import { useTicks } from '../_state/useTicks';
import { HalfSteps } from './HalfSteps';
import { PaperMenu } from './PaperMenu';
import { StepList } from './StepList';
import { SheetDrawing } from './SheetDrawing';
import { SheetWords } from './SheetWords';
import { StandingBanner, type StandingNow } from './StandingBanner';
import type { SetStep } from './setStep';
import { TeachHere, type TeachHereProps } from './TeachHere';
import classes from './SettingSheet.module.css';
import type { Walker } from './walker';

const SettingHelp = apart(() => import('@/components/Help/helps').then(m => ({ default: m.SettingHelp })));

/** Beside the list, which is what one walks by at first. */
const GroundPanel = lazily(() => import('./GroundPanel').then(m => ({ default: m.GroundPanel })), { atOnce: true });
const OneAtATime = lazily(() => import('./OneAtATime').then(m => ({ default: m.OneAtATime })), { atOnce: true });
const BigPiece = lazily(() => import('./BigPiece').then(m => ({ default: m.BigPiece })), { atOnce: true });

type SettingSheetProps = {
  layoutId: string;
  revision: number;
  arenaName: string;
  marks: ArenaMarks;
  /** What lies there, in a line. */
  contents: string;
  /** Between the poles of a row; null where it is none. */
  spacingM: number | null;
  layout: Layout;
  /** As drawn, at whatever stage it is set: its numbers are used. */
  whole: Layout;
  stages: { key: string; name: string }[];
  stage: string | null;
  /** For this way of measuring and this walker, reckoned once by the server: what is set from what, and what of it is said. */
  sheet: Sheet;
  printed: PrintedSheet;
  offM: ReadonlyMap<string, number> | null;
  /** What it takes one person, and how long. */
  effort: { walkedM: number; measures: number; minutes: number };
  tracks: ReckonedTrack[];
  cautions: Caution[];
  tolerances: Tolerance[];
  horseIds: readonly string[];
  /** Who may be taught over it; null for a helper. */
  teach: Pick<TeachHereProps, 'pairs' | 'horses'> | null;
  /** People whose own step is known. */
  walkers: Walker[];
  walkerId: string | null;
  measureBy: SettingWish['measureBy'];
  firstTicks: TicksAnswer;
  standing: StandingNow | null;
};

/** Where no stage is chosen. */
const AS_DRAWN = '';

type View = 'list' | 'one' | 'ground';

/** How far off a gap may end when it is walked; null where there is none, or nobody walks. */
function gapOffM(lines: readonly PrintedLine[], walker: Walker | null): number | null {
  const gap = lines.find(({ measure }) => measure.endsWith('|gap'));
  return gap && walker ? walkedLengthOffM(gap.lengthM, walker.stepShare) : null;
}

/** One page that becomes paper: the drawing with numbered pieces, what to carry out, and how each piece is found. */
export function SettingSheet(props: SettingSheetProps) {
  const { layoutId, arenaName, contents, layout, whole, tracks, walkers, walkerId, measureBy } = props;
  const { sheet, printed, offM, tolerances, stages, stage } = props;
  const { format, unit, say } = useLengths();
  const router = useRouter();
  const [view, setView] = useState<View>('list');
  const [bigId, setBigId] = useState<string | null>(null);
  const ticks = useTicks(layoutId, props.firstTicks);
  const walker = walkers.find(({ id }) => id === walkerId) ?? null;
  const steps = useMemo<SetStep[]>(() => {
    const numberOf = sheetLabels(whole, layout);
    const pictured = (index: number, of: 'pegs' | 'pieces') => ({
      ...{ layout, sheet },
      step: { set: sheet[of][index]!, lines: printed[of][index]!.lines, numberOf },
    });
    return [
      ...printed.pegs.map(({ peg, lines, serves }, index) => ({
        ...{ id: `peg ${peg}`, label: `Peg ${peg}`, name: serves, lines, checks: [], notes: [] },
        pictured: pictured(index, 'pegs'),
        ...{ place: placeOfPoint(sheet.pegs[index]!.at), tolerance: null, walkedOffM: null, gapOffM: null },
      })),
      ...printed.pieces.map((piece, index) => ({
        ...piece,
        pictured: pictured(index, 'pieces'),
        label: piece.number,
        place: placeOf(layout.items.find(({ id }) => id === piece.id)!),
        tolerance: tolerances.find(({ item }) => item === piece.id) ?? null,
        walkedOffM: offM?.get(piece.id) ?? null,
        gapOffM: gapOffM(piece.lines, walker),
      })),
    ];
  }, [layout, whole, sheet, printed, offM, walker, tolerances]);
  const go = (change: { steps?: string | null; by?: string; stage?: string }) => {
    const wish = new URLSearchParams();
    wish.set('steps', (change.steps === undefined ? walker?.id : change.steps) ?? 'none');
    wish.set('by', change.by ?? measureBy);
    const at = change.stage ?? stage ?? AS_DRAWN;
    if (at !== AS_DRAWN) wish.set('stage', at);
    router.replace(`/set/${layoutId}?${wish}`, { scroll: false });
  };
  const truth = useGroundTruth(
    layout,
    sheet,
    measureBy,
    { unit, stepM: walker?.stepLengthM ?? null },
    `measured ${layoutId} ${props.revision} ${stage ?? AS_DRAWN}`,
  );
  const standing = steps.filter(({ id, place }) => ticks.isTicked(id, place)).length;
  const big = steps.find(({ id }) => id === bigId) ?? null;
  return (
    <article className={classes.sheet} data-view={view}>
      <PageHead
        title={layout.name}
        sub={`${arenaName}. ${contents}${props.spacingM ? `, ${format(props.spacingM)} apart` : ''}.`}
        actions={
          <div className={classes.paper}>
            {props.teach && tracks.length > 0 && (
              <TeachHere layoutId={layoutId} groupIds={props.horseIds} {...props.teach} />
            )}
            <PaperMenu
              layoutId={layoutId}
              measureBy={measureBy}
              walkerId={walker?.id ?? null}
              stage={stage}
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
          effort={props.effort}
          stage={stage}
          walker={walker}
          hasWalkers={walkers.length > 0}
        />
      </div>
      <div className={`${classes.choices} roan-no-print`} data-choices="">
        {stages.length > 0 && (
          <ShortSelect
            aria-label="Built for"
            value={stage ?? AS_DRAWN}
            data={[
              { value: AS_DRAWN, label: 'As drawn' },
              ...stages.map(({ key, name }, index) => ({ value: key, label: say(`${index + 1}. ${name}`) })),
            ]}
            onChange={value => go({ stage: value })}
          />
        )}
        {walkers.length > 0 && (
          <ShortSelect
            aria-label="Whose steps"
            value={walker?.id ?? 'none'}
            data={[
              ...walkers.map(({ id, name: person }) => ({ value: id, label: `Steps of ${person}` })),
              { value: 'none', label: 'With a tape only' },
            ]}
            onChange={value => go({ steps: value })}
          />
        )}
        <Choice
          aria-label="Measured how"
          value={measureBy}
          onChange={by => go({ by })}
          data={[
            { value: 'line', label: 'Along the line' },
            { value: 'walls', label: 'From the walls' },
            { value: 'tapes', label: 'With two tapes' },
          ]}
        />
        {walker && (
          <HalfSteps
            // Another sheet or another step is rounded anew.
            key={`${walker.id} ${measureBy} ${stage ?? AS_DRAWN}`}
            stage={stage}
            layoutId={layoutId}
            walker={walker}
            measureBy={measureBy}
            steps={steps}
          />
        )}
      </div>
      <div className={`${classes.views} roan-no-print`}>
        <Choice
          aria-label="How it is shown"
          value={view}
          onChange={value => setView(value as View)}
          data={[
            { value: 'list', label: 'The list' },
            { value: 'one', label: 'One at a time' },
            { value: 'ground', label: 'As measured' },
          ]}
        />
        <div className={classes.told}>
          <span role="status">
            {standing} of {steps.length} stand
          </span>
          <Delivery className={classes.delivery} ready={ticks.ready} waits={ticks.waits} quiet />
        </div>
      </div>
      {view === 'one' && <OneAtATime steps={steps} ticks={ticks} truth={truth} walker={walker} />}
      {view === 'ground' && (
        <GroundPanel
          layoutId={layoutId}
          revision={props.revision}
          layout={layout}
          whole={whole}
          tracks={tracks}
          truth={truth}
          stage={stage}
          steps={steps}
          walker={walker}
          onKept={() => setView('list')}
        />
      )}
      <SettingHelp />
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
