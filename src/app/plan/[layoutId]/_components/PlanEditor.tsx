'use client';

import { AnyHorse } from '@/components/AnyHorse/AnyHorse';
import { FollowThread } from '@/components/Shell/thread';
import { newId } from '@/components/newId';
import {
  appendStop,
  comesFromBehind,
  headingFromFacing,
  isRidden,
  itemsOutside,
  newItem,
  thingIds,
  type ItemChoice,
  type Plan,
  type PointM,
  type RiddenLately,
} from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import type { Horse } from '@/data/queries/horses';
import type { OwnExercise } from '@/data/queries/ownExercises';
import { Button } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { notifications } from '@mantine/notifications';
import dynamic from 'next/dynamic';
import { useCallback, useMemo, useReducer, useState } from 'react';
import type { OtherArena } from '../_fit/RefitModal';
import type { CautionSpot } from '../_state/cautionSpots';
import { BARE_DESK, deskAfter, NOWHERE, type DeskAct } from '../_state/desk';
import { dropDraft } from '../_state/draft';
import { nextPlace } from '../_state/nextPlace';
import type { OfferedChange, OfferedMend } from '../_state/offeredMend';
import { planDeeds, toggleRiding } from '../_state/planDeeds';
import { standing, type LegPlace, type Selection } from '../_state/selection';
import type { EditorGround } from '../_state/shown';
import { useAutosave } from '../_state/useAutosave';
import { useFreshHorses } from '../_state/useFreshHorses';
import { usePlanDraft } from '../_state/usePlanDraft';
import { usePlanEditor, type MadeOnServer } from '../_state/usePlanEditor';
import { usePlanKeys } from '../_state/usePlanKeys';
import { useSameGround } from '../_state/useSameGround';
import { useSandView } from '../_state/useSandView';
import { useTyping } from '../_state/useTyping';
import type { TeachPair } from '../../_teach/teachPairs';
import { PlanBar } from './PlanBar';
import classes from './PlanEditor.module.css';
import { PlanSand } from './PlanSand';
import { PlanSheets } from './PlanSheets';
import { placeOfCaution, ReadingPanel } from './ReadingPanel';
import type { RiddenLegOfHorse } from './reading/LegCountsHere';
import { Ribbon } from './ribbon/Ribbon';
import { RidingHint } from './RidingHint';
import { SandZoom } from './SandZoom';

const SessionRibbon = dynamic(() => import('./ribbon/SessionRibbon').then(m => m.SessionRibbon));
const StaleNotice = dynamic(() => import('./StaleNotice').then(m => m.StaleNotice), { ssr: false });
const SaddleView = dynamic(() => import('./SaddleView'), { ssr: false });
const WalkBar = dynamic(() => import('./WalkBar'), { ssr: false });

type PlanEditorProps = {
  layoutId: string;
  name: string;
  revision: number;
  plan: Plan;
  arena: NamedArena;
  /** The yard’s other arenas. */
  arenas: OtherArena[];
  horses: Horse[];
  /** Those who may ride it. */
  pairs: TeachPair[];
  ground: EditorGround;
  own: OwnExercise[];
  /** What horses were ridden in lately, by their ids. */
  lately: Readonly<Record<string, RiddenLately[]>>;
  /** What was counted in the legs of this layout, horse by horse. */
  riddenLegs: readonly RiddenLegOfHorse[];
  made: MadeOnServer;
  /** What changing this layout touches, in a sentence; null where it was never ridden and is not planned. */
  touches: string | null;
};

/** The plan of a layout: the sand, the ribbon under it, and the reading beside it. */
export function PlanEditor(props: PlanEditorProps) {
  const { layoutId, name, revision, plan, arena, horses, own, made } = props;
  const ground = useSameGround(props.ground);
  // The page hands the layout again when the server renders anew; the editor holds what came first.
  const [first] = useState(() => ({ name, plan }));
  const [firstRevision] = useState(revision);
  const [firstMade] = useState(made);
  useFreshHorses();
  const controls = usePlanEditor(first, ground, firstMade);
  const status = useAutosave(layoutId, firstRevision, first, controls.present);
  const outdated = usePlanDraft(layoutId, firstRevision, ground.arena, controls.put);
  const isPhone = useMediaQuery('(max-width: 36em)', false) ?? false;
  const [outside] = useState(() =>
    itemsOutside(ground.arena, controls.shown.resolved.layout.items).map(({ at }) => at),
  );
  const sand = useSandView(ground.arena, isPhone ? 'up' : 'along', outside);

  const [desk, act] = useReducer(deskAfter, BARE_DESK);
  const { riding, walkedM, playing, saddle, pointed } = desk;
  const typing = useTyping(controls);
  const [offered, setOffered] = useState<OfferedMend | null>(null);
  // Whatever changes, a mend that was made for what stood before is none any more.
  const mend = offered?.of === controls.shown ? offered : null;
  const [fitted, setFitted] = useState<OfferedChange | null>(null);

  const { resolved, tracks } = controls.shown;
  const { layout } = resolved;
  const things = thingIds(controls.shown.plan);
  const selection = standing(desk.selected, id => things.includes(id));
  const trackAt = wishedTrack(layout.tracks, resolved.ownerOf, desk.track);
  const trackId = layout.tracks[trackAt]?.id ?? null;
  const track = layout.tracks[trackAt] ?? null;
  const reckoned = tracks[trackAt] ?? null;
  const horse = layout.horses.find(one => one.id === desk.horse) ?? layout.horses[0] ?? null;

  const { onSelect, onPoint, onPointLeg, onSelectLeg, onHorse } = useDeskHands(act);
  const grow = async (id: string) => {
    const reason = await typing.grow(id);
    if (reason !== null) notifications.show({ message: reason });
  };
  const showCaution = ({ cautions }: CautionSpot) => {
    act({ do: 'read', part: 'cautions' });
    const caution = controls.cautions[cautions[0]!];
    if (caution) act({ do: 'point', pointed: placeOfCaution(caution) });
  };
  const addPiece = (choice: ItemChoice) => {
    const item = newItem(choice, newId(), nextPlace(controls.shown, selection, ground.arena), headingFromFacing(0));
    controls.change(before => ({ ...before, items: [...before.items, item] }));
    onSelect({ ids: [item.id], leg: null });
  };
  const ride = useCallback(
    (id: string, from: PointM | null, behind: boolean) => {
      const item = layout.items.find(one => one.id === id);
      if (!item || !isRidden(item) || riding === null) return;
      const reversed = from ? comesFromBehind(item, from) : behind;
      const gait = item.kind === 'fence' ? 'course-canter' : 'trot';
      controls.change(current => appendStop(current, riding, gait, { item: id, reversed }));
      act({ do: 'rode over' });
    },
    [controls, layout.items, riding],
  );
  usePlanKeys(planDeeds({ controls, desk, act, sand, ground, selection, track, horse }));

  const dropMine = () => dropDraft(layoutId);
  if (outdated) return <StaleNotice arenaId={arena.id} mine={outdated} onDropMine={dropMine} />;
  const showsSaddle = saddle && walkedM !== null;
  const canWalk = reckoned !== null && reckoned.lengthM > 0;
  return (
    <div className={classes.page}>
      <FollowThread layout={{ id: layoutId, name: controls.present.name }} />
      <PlanBar
        {...{ layoutId, controls, status, horses, canWalk }}
        touches={props.touches}
        riding={riding !== null}
        canCall={track !== undefined && track !== null}
        opened={{
          add: desk.menu === 'add',
          onAdd: opened => act({ do: 'menu', menu: opened ? 'add' : null }),
          horses: desk.menu === 'horses',
          onHorses: opened => act({ do: 'menu', menu: opened ? 'horses' : null }),
        }}
        onShelf={() => act({ do: 'open', over: 'shelf' })}
        onAdd={addPiece}
        onCautions={() => act({ do: 'read', part: 'cautions' })}
        onTeach={() => act({ do: 'open', over: 'teach' })}
        onSelectAll={() => onSelect({ ids: things, leg: null })}
        onRefit={() => act({ do: 'open', over: 'refit' })}
        onCompose={() => act({ do: 'open', over: 'compose' })}
        onRide={() => toggleRiding(desk, act)}
        onWalk={() => act({ do: 'walk' })}
        onCall={() => act({ do: 'open', over: 'call' })}
      />
      {layout.horses.length === 0 && resolved.exercises.some(({ placed }) => placed.horseIds === null) && (
        <AnyHorse matters=": distances follow once you choose who rides.">
          <Button size="compact-sm" variant="default" onClick={() => act({ do: 'menu', menu: 'horses' })}>
            Choose who rides
          </Button>
        </AnyHorse>
      )}
      {status.kind === 'stale' && <StaleNotice arenaId={arena.id} mine={controls.present} onDropMine={dropMine} />}
      <p className={classes.phoneHint}>Drawing is easier on a tablet or at a desk; everything is here too.</p>
      {riding !== null && <RidingHint {...{ controls, act }} trackId={riding} />}
      <div className={classes.desk}>
        <div className={classes.drawing}>
          <div className={classes.seen} data-saddle={showsSaddle || undefined}>
            <div className={classes.sand}>
              <PlanSand
                arena={ground.arena}
                marks={arena.marks}
                controls={controls}
                window={sand}
                selection={selection}
                onSelect={onSelect}
                chosenTrack={trackId}
                horse={horse}
                riding={riding !== null}
                onRide={ride}
                marked={pointed}
                onPoint={onPoint}
                walkedM={walkedM}
                mend={mend ?? (fitted?.of === controls.shown ? fitted : null)}
                onGrow={grow}
                onCaution={showCaution}
              />
              <SandZoom window={sand} />
              {layout.items.length === 0 && layout.tracks.length === 0 && (
                <p className={classes.emptyHint}>
                  Empty sand. Take an exercise from the shelf, or add poles and fences.
                </p>
              )}
            </div>
            {showsSaddle && track && reckoned && (
              <SaddleView {...{ controls, layout, horse, walkedM }} ridden={{ track, reckoned }} />
            )}
          </div>
          {walkedM !== null && track && reckoned && (
            <WalkBar
              {...{ layout, track, reckoned, horse, walkedM, playing, saddle }}
              onSaddle={seated => act({ do: 'sit', saddle: seated })}
              onWalk={toM => act({ do: 'walk to', walkedM: toM })}
              onPlay={plays => act({ do: 'play', playing: plays })}
            />
          )}
          {track?.kind === 'items' && reckoned?.kind === 'items' && reckoned.legs.length > 0 && (
            <Ribbon
              {...{ controls, track, reckoned, horse, walkedM }}
              horses={layout.horses}
              onHorse={onHorse}
              marked={pointed}
              selectedLeg={selection.leg}
              onPoint={onPoint}
              onPointLeg={onPointLeg}
              onSelectLeg={onSelectLeg}
            />
          )}
          {track?.kind === 'figures' && reckoned?.kind === 'figures' && (
            <SessionRibbon
              {...{ controls, track, reckoned, horse, walkedM }}
              horses={layout.horses}
              onHorse={onHorse}
            />
          )}
        </div>
        <ReadingPanel
          {...{ controls, selection, trackId, horse, horses, mend }}
          part={desk.part}
          lately={props.lately}
          riddenLegs={props.riddenLegs}
          onFitted={setFitted}
          onPart={part => act({ do: 'read', part })}
          onHorse={onHorse}
          onMend={setOffered}
          arena={ground.arena}
          onSelect={onSelect}
          onTrack={id => act({ do: 'look at track', track: id })}
          onSelectLeg={onSelectLeg}
          onPoint={at => act({ do: 'point', pointed: at })}
          onKeep={() => act({ do: 'open', over: 'keep' })}
          onRideOn={id => act({ do: 'ride', track: id })}
        />
      </div>
      <PlanSheets
        {...{ layoutId, controls, ground, horses, own, track, reckoned, act }}
        over={desk.over}
        pairs={props.pairs}
        arenas={props.arenas}
        selectedIds={selection.ids}
      />
    </div>
  );
}

/** The track that is looked at: by its own name, or by the exercise it belongs to; the first where neither is there. */
function wishedTrack(
  tracks: readonly { id: string }[],
  ownerOf: ReadonlyMap<string, string>,
  wish: string | null,
): number {
  return Math.max(
    0,
    tracks.findIndex(({ id }) => wish !== null && (id === wish || ownerOf.get(id) === wish)),
  );
}

/** What parts of the page tell the desk: the same functions for as long as the page is open. */
function useDeskHands(act: (act: DeskAct) => void) {
  return useMemo(
    () => ({
      onSelect: (selected: Selection) => act({ do: 'select', selected }),
      onPoint: (item: string | null) =>
        act({ do: 'point', pointed: item === null ? NOWHERE : { items: [item], leg: null } }),
      onPointLeg: (leg: LegPlace | null) => act({ do: 'point', pointed: leg === null ? NOWHERE : { items: [], leg } }),
      onSelectLeg: (leg: LegPlace) => act({ do: 'select leg', leg }),
      onHorse: (id: string | null) => act({ do: 'look at horse', horse: id }),
    }),
    [act],
  );
}
