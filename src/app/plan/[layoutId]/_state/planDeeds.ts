import {
  dropLastStop,
  lockThings,
  mirrorThings,
  moveThings,
  removeThings,
  spaceThings,
  thingIds,
  turnThings,
  type LayoutHorse,
  type PlannedTrack,
} from '@/core';
import { newId } from '@/components/newId';
import { copySelected } from './copySelected';
import type { Desk, DeskAct } from './desk';
import { nudgeM } from './planKeys';
import type { Selection } from './selection';
import type { EditorGround } from './shown';
import { middleOf } from './thingsShown';
import type { PlanControls } from './usePlanEditor';
import type { KeyDeeds } from './usePlanKeys';
import type { SandWindow } from './useSandView';

const TURN_RAD = (5 * Math.PI) / 180;
const FINE_TURN_RAD = Math.PI / 180;
/** So much nearer with a key, and so much of what is seen to the side. */
const CLOSER = 1.4;
const PUSHED = 0.1;

/** What keys are pressed over: the plan, how it is looked at, and what of it is chosen. */
export type Pressed = {
  controls: PlanControls;
  desk: Desk;
  act: (act: DeskAct) => void;
  sand: SandWindow;
  ground: EditorGround;
  /** What of the selection still lies there. */
  selection: Selection;
  track: PlannedTrack | null;
  horse: LayoutHorse | null;
};

/** Begins a track, or ends the one that is laid. */
export function toggleRiding({ riding }: Desk, act: Pressed['act']): void {
  act(riding === null ? { do: 'ride', track: newId() } : { do: 'end track' });
}

/** Takes the last stop of the track away that is laid. */
export function dropLast(trackId: string, controls: PlanControls): void {
  controls.change(current => dropLastStop(current, trackId));
}

/** What each key of the plan does. */
export function planDeeds(pressed: Pressed): KeyDeeds {
  const { controls, desk, act, sand, ground, selection, track, horse } = pressed;
  const { resolved } = controls.shown;
  const { ids } = selection;
  const { horses } = resolved.layout;
  return {
    undo: controls.undo,
    redo: controls.redo,
    move: (way, event) => {
      const moved = ids.length > 0 ? ids : focusedThing(resolved.ownerOf);
      const origin = sand.view.toSand({ x: 0, y: 0 });
      const there = sand.view.toSand({ x: way.x * nudgeM(event), y: way.y * nudgeM(event) });
      const by = { xM: there.xM - origin.xM, yM: there.yM - origin.yM };
      if (moved.length > 0) controls.change(current => moveThings(current, moved, by));
    },
    pan: way => sand.pan(-way.x * sand.box.width * PUSHED, -way.y * sand.box.height * PUSHED),
    turn: (leftwards, event) => {
      const about = middleOf(controls.shown, ids);
      const byRad = (event.altKey ? FINE_TURN_RAD : TURN_RAD) * (leftwards ? 1 : -1);
      if (about) controls.change(current => turnThings(current, ids, byRad, about));
    },
    letGo: () => act({ do: 'let go' }),
    remove: () => {
      if (desk.riding !== null) return dropLast(desk.riding, controls);
      controls.change(current => removeThings(current, ids, resolved.ownerOf));
    },
    letters: {
      a: () => act({ do: 'select', selected: { ids: thingIds(controls.shown.plan), leg: null } }),
      i: () => sand.zoom(CLOSER),
      o: () => sand.zoom(1 / CLOSER),
      w: sand.fit,
      m: () => controls.change(current => mirrorThings(current, ids, ground.arena.widthM)),
      c: () => {
        const onSelect = (selected: Selection) => act({ do: 'select', selected });
        if (ids.length > 0) copySelected({ controls, ids, onSelect });
      },
      e: () => controls.change(current => spaceThings(current, ids, null)),
      k: () => {
        const locked = ids.every(id => controls.present.plan.lockedIds.includes(id));
        controls.change(current => lockThings(current, ids, !locked));
      },
      r: () => toggleRiding(desk, act),
      h: () => {
        const at = horses.findIndex(one => one.id === horse?.id);
        act({ do: 'look at horse', horse: horses[(at + 1) % Math.max(1, horses.length)]?.id ?? null });
      },
      p: () => act({ do: 'walk' }),
      f: () => act({ do: 'in or out of the saddle' }),
      s: () => act({ do: 'open', over: 'shelf' }),
      l: () => act({ do: 'menu', menu: 'add' }),
      v: () => track?.kind === 'items' && act({ do: 'open', over: 'call' }),
    },
  };
}

/** The thing in focus on the sand, where nothing is selected. */
function focusedThing(ownerOf: ReadonlyMap<string, string>): string[] {
  const item = document.activeElement?.closest<SVGElement>('[data-item]')?.dataset.item;
  return item === undefined ? [] : [ownerOf.get(item) ?? item];
}
