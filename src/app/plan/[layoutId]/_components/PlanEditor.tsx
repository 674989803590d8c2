'use client';

import { AnyHorse } from '@/components/AnyHorse/AnyHorse';
import { FollowThread } from '@/components/Shell/thread';
import { newId } from '@/components/newId';
import {
  appendStop,
  comesFromBehind,
  dropLastStop,
  headingFromFacing,
  isRidden,
  itemsOutside,
  lockThings,
  mirrorThings,
  moveThings,
  newItem,
  pointAlong,
  removeThings,
  spaceThings,
  thingIds,
  turnThings,
  type ItemChoice,
  type Plan,
  type PointM,
  type RiddenLately,
  layoutLabels,
} from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import type { Horse } from '@/data/queries/horses';
import type { OwnExercise } from '@/data/queries/ownExercises';
import { Button } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { notifications } from '@mantine/notifications';
import dynamic from 'next/dynamic';
import { useCallback, useState } from 'react';
import { dropDraft } from '../_state/draft';
import { nudgeM } from '../_state/planKeys';
import type { OtherArena } from '../_fit/RefitModal';
import { NOTHING_SELECTED, standing, type LegPlace, type Selection, type Pointed } from '../_state/selection';
import { itemsOf, middleOf } from '../_state/thingsShown';
import { useAutosave } from '../_state/useAutosave';
import { usePlanDraft } from '../_state/usePlanDraft';
import { useFreshHorses } from '../_state/useFreshHorses';
import { usePlanEditor, type MadeOnServer } from '../_state/usePlanEditor';
import type { EditorGround } from '../_state/shown';
import { usePlanKeys } from '../_state/usePlanKeys';
import { useSameGround } from '../_state/useSameGround';
import { useSandView } from '../_state/useSandView';
import { useTyping } from '../_state/useTyping';
import type { TeachPair } from '../../_teach/teachPairs';
import { PlanBar } from './PlanBar';
import classes from './PlanEditor.module.css';
import type { CautionSpot } from '../_state/cautionSpots';
import type { OfferedChange, OfferedMend } from '../_state/offeredMend';
import { PlanSand } from './PlanSand';
import { placeOfCaution, ReadingPanel, type PanelPart } from './ReadingPanel';
import { copySelected } from './reading/ThingActions';
import { Ribbon } from './ribbon/Ribbon';
import { SandZoom } from './SandZoom';
import type { RiddenLegOfHorse } from './reading/LegCountsHere';

const SessionRibbon = dynamic(() => import('./ribbon/SessionRibbon').then(m => m.SessionRibbon));
const ShelfDrawer = dynamic(() => import('./ShelfDrawer'), { ssr: false });
const StaleNotice = dynamic(() => import('./StaleNotice').then(m => m.StaleNotice), { ssr: false });
const SaddleView = dynamic(() => import('./SaddleView'), { ssr: false });
const WalkBar = dynamic(() => import('./WalkBar'), { ssr: false });
const FlatCallSheet = dynamic(() => import('@/components/CallSheet/FlatCallSheet'), { ssr: false });
const CallSheet = dynamic(() => import('@/components/CallSheet/CallSheet'), { ssr: false });
const TeachNow = dynamic(() => import('../../_teach/TeachNow'), { ssr: false });
const ComposeModal = dynamic(() => import('../_fit/ComposeModal'), { ssr: false });
const RefitModal = dynamic(() => import('../_fit/RefitModal'), { ssr: false });
const KeepOnShelf = dynamic(() => import('./KeepOnShelf'), { ssr: false });

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

const TURN_RAD = (5 * Math.PI) / 180;
const FINE_TURN_RAD = Math.PI / 180;

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

  const [selected, setSelectedOnly] = useState<Selection>(NOTHING_SELECTED);
  const [riding, setRiding] = useState<string | null>(null);
  const [trackWish, setTrackWish] = useState<string | null>(null);
  const [horseWish, setHorseWish] = useState<string | null>(null);
  const [pointed, setPointed] = useState<Pointed>(NOWHERE);
  const [walkedM, setWalkedM] = useState<number | null>(null);
  const [playing, setPlaying] = useState(false);
  const [saddle, setSaddle] = useState(false);
  const [open, setOpen] = useState<'shelf' | 'call' | 'keep' | 'teach' | 'refit' | 'compose' | null>(null);
  const [adding, setAdding] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const [part, setPart] = useState<PanelPart>('numbers');
  const typing = useTyping(controls);
  const [offered, setOffered] = useState<OfferedMend | null>(null);
  // Whatever changes, a mend that was made for what stood before is none any more.
  const mend = offered?.of === controls.shown ? offered : null;
  const [fitted, setFitted] = useState<OfferedChange | null>(null);

  const { resolved, tracks } = controls.shown;
  const { layout } = resolved;
  const things = thingIds(controls.shown.plan);
  const selection = standing(selected, id => things.includes(id));
  const trackAt = wishedTrack(layout.tracks, resolved.ownerOf, trackWish);
  const trackId = layout.tracks[trackAt]?.id ?? null;
  const track = layout.tracks[trackAt] ?? null;
  const reckoned = tracks[trackAt] ?? null;
  const horse = layout.horses.find(one => one.id === horseWish) ?? layout.horses[0] ?? null;

  /** What is selected is read beside the sand. */
  const setSelected = useCallback((next: Selection) => {
    setSelectedOnly(next);
    if (next.ids.length > 0 || next.leg) setPart('numbers');
  }, []);
  const pointAtItem = useCallback(
    (item: string | null) => setPointed(item === null ? NOWHERE : { items: [item], leg: null }),
    [],
  );
  const pointAtLeg = useCallback((leg: LegPlace | null) => setPointed(leg === null ? NOWHERE : { items: [], leg }), []);
  const selectLeg = useCallback(
    (leg: LegPlace) => {
      setSelected({ ids: [], leg });
      setTrackWish(leg.track);
    },
    [setSelected],
  );
  const grow = async (id: string) => {
    const reason = await typing.grow(id);
    if (reason !== null) notifications.show({ message: reason });
  };
  const showCaution = ({ cautions }: CautionSpot) => {
    setPart('cautions');
    const caution = controls.cautions[cautions[0]!];
    if (caution) setPointed(placeOfCaution(caution));
  };
  const addPiece = (choice: ItemChoice) => {
    const item = newItem(choice, newId(), nextPlace(controls.shown, selection, ground.arena), headingFromFacing(0));
    controls.change(before => ({ ...before, items: [...before.items, item] }));
    setSelected({ ids: [item.id], leg: null });
  };
  const ride = useCallback(
    (id: string, from: PointM | null, behind: boolean) => {
      const item = layout.items.find(one => one.id === id);
      if (!item || !isRidden(item) || riding === null) return;
      const reversed = from ? comesFromBehind(item, from) : behind;
      const gait = item.kind === 'fence' ? 'course-canter' : 'trot';
      controls.change(current => appendStop(current, riding, gait, { item: id, reversed }));
      setTrackWish(riding);
    },
    [controls, layout.items, riding],
  );
  const toggleRiding = () => {
    if (riding !== null) return setRiding(null);
    setRiding(newId());
    setSelected(NOTHING_SELECTED);
  };
  const walk = () => {
    setWalkedM(current => current ?? 0);
    setPlaying(current => !current || walkedM === null);
  };
  const dropLast = () => riding !== null && controls.change(current => dropLastStop(current, riding));
  const selectedIds = selection.ids;
  usePlanKeys({
    undo: controls.undo,
    redo: controls.redo,
    move: (way, event) => {
      const ids = selectedIds.length > 0 ? selectedIds : focusedThing(resolved.ownerOf);
      const origin = sand.view.toSand({ x: 0, y: 0 });
      const there = sand.view.toSand({ x: way.x * nudgeM(event), y: way.y * nudgeM(event) });
      if (ids.length > 0)
        controls.change(current => moveThings(current, ids, { xM: there.xM - origin.xM, yM: there.yM - origin.yM }));
    },
    pan: way => sand.pan(-way.x * sand.box.width * 0.1, -way.y * sand.box.height * 0.1),
    turn: (leftwards, event) => {
      const about = middleOf(controls.shown, selectedIds);
      const byRad = (event.altKey ? FINE_TURN_RAD : TURN_RAD) * (leftwards ? 1 : -1);
      if (about) controls.change(current => turnThings(current, selectedIds, byRad, about));
    },
    letGo: () => {
      setRiding(null);
      setSelected(NOTHING_SELECTED);
    },
    remove: () => {
      if (riding !== null) return dropLast();
      controls.change(current => removeThings(current, selectedIds, resolved.ownerOf));
    },
    letters: {
      a: () => setSelected({ ids: things, leg: null }),
      i: () => sand.zoom(1.4),
      o: () => sand.zoom(1 / 1.4),
      w: sand.fit,
      m: () => controls.change(current => mirrorThings(current, selectedIds, ground.arena.widthM)),
      c: () => selectedIds.length > 0 && copySelected({ controls, ids: selectedIds, onSelect: setSelected }),
      e: () => controls.change(current => spaceThings(current, selectedIds, null)),
      k: () => {
        const locked = selectedIds.every(id => controls.present.plan.lockedIds.includes(id));
        controls.change(current => lockThings(current, selectedIds, !locked));
      },
      r: toggleRiding,
      h: () => {
        const at = layout.horses.findIndex(one => one.id === horse?.id);
        setHorseWish(layout.horses[(at + 1) % Math.max(1, layout.horses.length)]?.id ?? null);
      },
      p: walk,
      f: () => {
        setWalkedM(current => current ?? 0);
        setSaddle(current => walkedM === null || !current);
      },
      s: () => setOpen('shelf'),
      l: () => setAdding(true),
      v: () => track?.kind === 'items' && setOpen('call'),
    },
  });

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
        opened={{ add: adding, onAdd: setAdding, horses: choosing, onHorses: setChoosing }}
        onShelf={() => setOpen('shelf')}
        onAdd={addPiece}
        onCautions={() => setPart('cautions')}
        onTeach={() => setOpen('teach')}
        onSelectAll={() => setSelected({ ids: things, leg: null })}
        onRefit={() => setOpen('refit')}
        onCompose={() => setOpen('compose')}
        onRide={toggleRiding}
        onWalk={walk}
        onCall={() => setOpen('call')}
      />
      {layout.horses.length === 0 && resolved.exercises.some(({ placed }) => placed.horseIds === null) && (
        <AnyHorse matters=": distances follow once you choose who rides.">
          <Button size="compact-sm" variant="default" onClick={() => setChoosing(true)}>
            Choose who rides
          </Button>
        </AnyHorse>
      )}
      {status.kind === 'stale' && <StaleNotice arenaId={arena.id} mine={controls.present} onDropMine={dropMine} />}
      <p className={classes.phoneHint}>Drawing is easier on a tablet or at a desk; everything is here too.</p>
      {riding !== null && (
        <div className={classes.ridingHint} role="status">
          <span>
            {ridingWords(controls.shown, riding)}: tap fences and poles in their order, each from the side one comes
            from.
          </span>
          <Button size="xs" variant="default" disabled={!isLaid(controls.shown, riding)} onClick={dropLast}>
            Take the last away
          </Button>
          <Button size="xs" onClick={toggleRiding}>
            End the track
          </Button>
        </div>
      )}
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
                onSelect={setSelected}
                chosenTrack={trackId}
                horse={horse}
                riding={riding !== null}
                onRide={ride}
                marked={pointed}
                onPoint={pointAtItem}
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
              onSaddle={setSaddle}
              onWalk={setWalkedM}
              onPlay={setPlaying}
            />
          )}
          {track?.kind === 'items' && reckoned?.kind === 'items' && reckoned.legs.length > 0 && (
            <Ribbon
              {...{ controls, track, reckoned, horse, walkedM }}
              horses={layout.horses}
              onHorse={setHorseWish}
              marked={pointed}
              selectedLeg={selection.leg}
              onPoint={pointAtItem}
              onPointLeg={pointAtLeg}
              onSelectLeg={selectLeg}
            />
          )}
          {track?.kind === 'figures' && reckoned?.kind === 'figures' && (
            <SessionRibbon
              {...{ controls, track, reckoned, horse, walkedM }}
              horses={layout.horses}
              onHorse={setHorseWish}
            />
          )}
        </div>
        <ReadingPanel
          {...{ controls, selection, trackId, horse, horses, mend, part }}
          lately={props.lately}
          riddenLegs={props.riddenLegs}
          onFitted={setFitted}
          onPart={setPart}
          onHorse={setHorseWish}
          onMend={setOffered}
          arena={ground.arena}
          onSelect={setSelected}
          onTrack={setTrackWish}
          onSelectLeg={selectLeg}
          onPoint={setPointed}
          onKeep={() => setOpen('keep')}
          onRideOn={id => {
            setRiding(id);
            setSelected(NOTHING_SELECTED);
          }}
        />
      </div>
      {open === 'shelf' && (
        <ShelfDrawer
          {...{ controls, ground, horses, own }}
          onClose={() => setOpen(null)}
          onPlaced={(placed, session) => {
            setSelected(placed);
            setTrackWish(session ?? placed.ids[0] ?? null);
          }}
        />
      )}
      {open === 'call' && track?.kind === 'items' && reckoned?.kind === 'items' && (
        <CallSheet {...{ layout, track, reckoned }} onClose={() => setOpen(null)} />
      )}
      {open === 'call' && track?.kind === 'figures' && (
        <FlatCallSheet {...{ layout, track }} onClose={() => setOpen(null)} />
      )}
      {open === 'teach' && (
        <TeachNow
          {...{ layoutId, horses }}
          pairs={props.pairs}
          groupIds={controls.present.plan.groupIds}
          onClose={() => setOpen(null)}
        />
      )}
      {open === 'refit' && <RefitModal {...{ controls }} arenas={props.arenas} onClose={() => setOpen(null)} />}
      {open === 'compose' && <ComposeModal {...{ controls }} onClose={() => setOpen(null)} />}
      {open === 'keep' && (
        <KeepOnShelf items={itemsOf(resolved, selectedIds)} tracks={layout.tracks} onClose={() => setOpen(null)} />
      )}
    </div>
  );
}

/** Whether the track that is laid has a stop yet. */
const isLaid = ({ resolved }: ReturnType<typeof usePlanEditor>['shown'], trackId: string) =>
  resolved.layout.tracks.some(({ id }) => id === trackId);

const NOWHERE: Pointed = { items: [], leg: null };

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

/** A new item lies a good stride ahead of what is selected, or in the middle of the sand beside what is there. */
function nextPlace(
  { resolved, plan }: ReturnType<typeof usePlanEditor>['shown'],
  selection: Selection,
  { widthM, lengthM }: { widthM: number; lengthM: number },
): PointM {
  const last = itemsOf(resolved, selection.ids).at(-1);
  const from = last ?? { at: { xM: widthM / 2, yM: lengthM / 2 }, headingRad: Math.PI / 2 };
  const headingRad = 'headingRad' in from ? from.headingRad : Math.PI / 2;
  let at = last ? pointAlong(from.at, headingRad, AHEAD_M) : from.at;
  const isTaken = () => plan.items.some(item => Math.hypot(item.at.xM - at.xM, item.at.yM - at.yM) < 0.5);
  for (let tries = 0; isTaken() && tries < 20; tries += 1) at = pointAlong(at, headingRad, AHEAD_M);
  return { xM: Math.min(widthM, Math.max(0, at.xM)), yM: Math.min(lengthM, Math.max(0, at.yM)) };
}

const AHEAD_M = 3;

/** The thing in focus on the sand, where nothing is selected. */
function focusedThing(ownerOf: ReadonlyMap<string, string>): string[] {
  const item = document.activeElement?.closest<SVGElement>('[data-item]')?.dataset.item;
  return item === undefined ? [] : [ownerOf.get(item) ?? item];
}

/** The track that is being laid, by what it is called; before its first stop it is not there yet. */
function ridingWords({ resolved }: ReturnType<typeof usePlanEditor>['shown'], trackId: string): string {
  const { layout } = resolved;
  return layout.tracks.some(({ id }) => id === trackId) ? layoutLabels(layout).track(trackId) : 'A new track';
}
