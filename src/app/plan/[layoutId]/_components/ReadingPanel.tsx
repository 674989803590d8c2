'use client';

import { Choice } from '@/components/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  exerciseLabel,
  layoutLabels,
  type Arena,
  type Caution,
  type LayoutHorse,
  type RiddenLately,
  type Plan,
} from '@/core';
import type { Horse } from '@/data/queries/horses';
import { Button, Text, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import dynamic from 'next/dynamic';
import { NOTHING_SELECTED, type LegPlace, type Selection, type Pointed } from '../_state/selection';
import type { OfferedChange, OfferedMend } from '../_state/offeredMend';
import type { PanelPart } from '../_state/desk';
import type { PlanControls } from '../_state/usePlanEditor';
import classes from './PlanEditor.module.css';
import readingClasses from './reading/Reading.module.css';
import type { RiddenLegOfHorse } from './reading/LegCountsHere';

// What is read of a selection comes when something is selected: the page opens without it.
const ExerciseReading = dynamic(() => import('./reading/ExerciseReading').then(m => m.ExerciseReading), { ssr: false });
const ItemReading = dynamic(() => import('./reading/ItemReading').then(m => m.ItemReading), { ssr: false });
const LegReading = dynamic(() => import('./reading/LegReading').then(m => m.LegReading), { ssr: false });
const ManyReading = dynamic(() => import('./reading/ManyReading').then(m => m.ManyReading), { ssr: false });
const TrackReading = dynamic(() => import('./reading/TrackReading').then(m => m.TrackReading), { ssr: false });
const CautionList = dynamic(() => import('@/components/Caution/CautionList').then(m => m.CautionList), { ssr: false });
const FitPanel = dynamic(() => import('../_fit/FitPanel'), { ssr: false });
const MendWords = dynamic(() => import('./MendWords').then(m => m.MendWords), { ssr: false });
const LayoutReading = dynamic(() => import('./reading/LayoutReading').then(m => m.LayoutReading), { ssr: false });

type ReadingPanelProps = {
  controls: PlanControls;
  arena: Arena;
  part: PanelPart;
  onPart: (part: PanelPart) => void;
  selection: Selection;
  trackId: string | null;
  horse: LayoutHorse | null;
  horses: readonly Horse[];
  /** What horses were ridden in lately, by their ids. */
  lately: Readonly<Record<string, RiddenLately[]>>;
  /** What was counted in the legs of this layout, horse by horse. */
  riddenLegs: readonly RiddenLegOfHorse[];
  onHorse: (id: string) => void;
  onSelect: (selection: Selection) => void;
  onTrack: (id: string | null) => void;
  onSelectLeg: (leg: LegPlace) => void;
  onPoint: (pointed: Pointed) => void;
  onKeep: () => void;
  onRideOn: (id: string) => void;
  /** The mend that is looked at before it is made. */
  mend: OfferedMend | null;
  /** What a fit would do, while it is looked at. */
  onFitted: (change: OfferedChange | null) => void;
  onMend: (mend: OfferedMend | null) => void;
};

/**
 * Beside the sand: what is selected in numbers or the whole layout, the track, and what to take care of. While something is
 * dragged its numbers stand beside the hand: the panel follows when it is let go.
 */
export function ReadingPanel(props: ReadingPanelProps) {
  const { controls, part, onPart, selection, onSelect } = props;
  const { plan, resolved } = controls.shown;
  const { say } = useLengths();
  const isSelected = selection.ids.length > 0 || selection.leg !== null;
  return (
    <div className={classes.reading} data-panel={part}>
      <Choice
        fullWidth
        size="xs"
        aria-label="Panel"
        value={part}
        onChange={next => onPart(next as PanelPart)}
        data={[
          { value: 'numbers', label: 'Numbers' },
          { value: 'track', label: 'Track' },
          { value: 'cautions', label: `Cautions ${controls.cautions.length}` },
          { value: 'fit', label: 'Fit' },
        ]}
      />
      {resolved.faults.map(({ id, reason }) => (
        <p key={id} role="alert" className={classes.fault}>
          {exerciseName(plan, id)}: {say(reason)}{' '}
          <button type="button" onClick={() => onSelect({ ids: [id], leg: null })}>
            Show what it asks
          </button>
        </p>
      ))}
      {part === 'numbers' && isSelected && (
        <>
          <Selected {...props} />
          <Button size="xs" variant="default" onClick={() => onSelect(NOTHING_SELECTED)}>
            Back to the whole layout
          </Button>
        </>
      )}
      {part === 'numbers' && !isSelected && <WholeLayout {...props} />}
      {part === 'track' && <OneTrack {...props} />}
      {part === 'cautions' && <Cautions {...props} />}
      {part === 'fit' && <FitPanel controls={controls} onFitted={props.onFitted} />}
    </div>
  );
}

function WholeLayout(props: ReadingPanelProps) {
  const { controls, trackId, horse, onHorse, onTrack, onSelect, onSelectLeg, onPoint } = props;
  return (
    <>
      <TrackChoice {...{ controls, trackId, onTrack }} />
      <LayoutReading {...{ controls, trackId, horse, onHorse, onSelectLeg, onPoint }} />
      <OnTheSand controls={controls} onSelect={onSelect} />
    </>
  );
}

function OneTrack({ controls, trackId, onTrack, onRideOn, onPoint }: ReadingPanelProps) {
  return (
    <>
      <TrackChoice {...{ controls, trackId, onTrack }} />
      {trackId === null ? (
        <Text size="sm">No track yet: choose “Add a track”, then tap fences and poles in their order.</Text>
      ) : (
        <TrackReading {...{ controls, trackId, onTrack, onRideOn, onPoint }} />
      )}
    </>
  );
}

function Cautions({ controls, mend, onMend, onPoint }: ReadingPanelProps) {
  return (
    <>
      {controls.cautions.length === 0 && <Text size="sm">Nothing here wants mending.</Text>}
      <CautionList
        cautions={controls.cautions}
        items={controls.shown.resolved.layout.items}
        action={caution => <Mend {...{ caution, controls, mend, onMend }} />}
        onPoint={caution => onPoint(placeOfCaution(caution))}
      />
    </>
  );
}

/** The tracks by name, where there are several. */
function TrackChoice({ controls, trackId, onTrack }: Pick<ReadingPanelProps, 'controls' | 'trackId' | 'onTrack'>) {
  const { layout } = controls.shown.resolved;
  if (layout.tracks.length < 2) return null;
  return (
    <div role="group" aria-label="Tracks" className={readingClasses.tracks}>
      {layout.tracks.map(({ id }) => (
        <Button
          key={id}
          size="compact-xs"
          variant={id === trackId ? 'filled' : 'default'}
          aria-pressed={id === trackId}
          onClick={() => onTrack(id)}
        >
          {layoutLabels(layout).track(id)}
        </Button>
      ))}
    </div>
  );
}

/** Where a caution is: its items, and the leg it speaks of. */
export function placeOfCaution(caution: Caution | null): { items: string[]; leg: LegPlace | null } {
  if (!caution) return { items: [], leg: null };
  const { track, part } = caution.place;
  return { items: caution.items, leg: track !== null && part !== null ? { track, leg: part } : null };
}

type MendProps = Pick<ReadingPanelProps, 'controls' | 'mend' | 'onMend'> & { caution: Caution };

/** What mends a caution, where the core knows it: shown first, on the sand and in words, and made when it is wanted. */
function Mend({ caution, controls, mend, onMend }: MendProps) {
  const offer = async () => {
    const judge = await import('../_state/judge').catch(() => null);
    if (!judge)
      return notifications.show({ message: 'A mend cannot be looked for without a connection: try again later.' });
    const { offeredMend } = judge;
    const offered = offeredMend(controls.shown, caution, controls.limits);
    onMend(offered);
    if (!offered)
      notifications.show({ message: 'Nothing that Roan can move mends this: it wants a decision of yours.' });
  };
  // A count of a stage is taken out of the exercise, or its distance is typed: nothing is moved for it.
  if (caution.code === 'stage-count' || (caution.level === 'note' && caution.mend === '')) return null;
  if (mend?.caution === caution)
    return (
      <MendWords
        mend={mend}
        onLeave={() => onMend(null)}
        onMake={() => {
          controls.edit(mend.edits);
          onMend(null);
          if (mend.apart.length > 0)
            notifications.show({
              message: `Mended. ${mend.apart.join(', ')} came apart for it: undo puts it together again.`,
            });
        }}
      />
    );
  return (
    <Button size="compact-xs" variant="default" ml={6} onClick={offer}>
      Show a mend
    </Button>
  );
}

function Selected(props: ReadingPanelProps) {
  const { controls, arena, selection, horse, horses, lately, riddenLegs, onSelect, onKeep } = props;
  const { resolved, plan } = controls.shown;
  const { ids, leg } = selection;
  if (leg) {
    const track = resolved.layout.tracks.find(({ id }) => id === leg.track);
    const reckoned = controls.shown.tracks.find(({ id }) => id === leg.track);
    if (track?.kind !== 'items' || reckoned?.kind !== 'items' || !reckoned.legs[leg.leg]) return null;
    return (
      <LegReading
        key={`${leg.track} ${leg.leg}`}
        {...{ controls, track, reckoned, horse, lately, riddenLegs }}
        leg={leg.leg}
      />
    );
  }
  const thing = { controls, arena, ids, onSelect };
  if (ids.length > 1) return <ManyReading {...thing} onKeep={onKeep} />;
  const item = plan.items.find(({ id }) => id === ids[0]);
  if (item) return <ItemReading key={item.id} {...thing} item={item} />;
  const exercise = resolved.exercises.find(({ placed }) => placed.id === ids[0]);
  return exercise ? <ExerciseReading key={exercise.placed.id} {...thing} exercise={exercise} horses={horses} /> : null;
}

/** An exercise that could not be laid out: by its name, else by what it is on the shelf. */
function exerciseName({ exercises }: Plan, id: string): string {
  const placed = exercises.find(one => one.id === id);
  return placed?.name ?? placed?.kind.replaceAll('-', ' ') ?? 'An exercise';
}

/** Exercises on the sand by name: figures on the flat have nothing to take hold of there. */
function OnTheSand({ controls, onSelect }: Pick<ReadingPanelProps, 'controls' | 'onSelect'>) {
  const { exercises } = controls.shown.resolved;
  if (exercises.length === 0) return null;
  return (
    <div>
      <Title order={3} size="h5">
        From the shelf
      </Title>
      <div className={readingClasses.tracks}>
        {exercises.map(({ placed }) => (
          <Button
            key={placed.id}
            size="compact-xs"
            variant="default"
            onClick={() => onSelect({ ids: [placed.id], leg: null })}
          >
            {exerciseLabel(exercises, placed.id)}
          </Button>
        ))}
      </div>
    </div>
  );
}
