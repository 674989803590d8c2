import { NOTHING_SELECTED, type LegPlace, type Pointed, type Selection } from './selection';

/**
 * The parts of the reading beside the sand: the layout or what is selected in numbers, the track that is looked at, what to take care
 * of, and where the fences suit the group.
 */
export type PanelPart = 'numbers' | 'track' | 'cautions' | 'fit';

/** What lies over the plan. */
export type OverPlan = 'shelf' | 'call' | 'keep' | 'teach' | 'refit' | 'compose';

/** Everything about the plan page that is not the layout itself: what is looked at, and how. */
export type Desk = {
  selected: Selection;
  /** The track that is being laid, by its id; null where none is. */
  riding: string | null;
  /** The track that is wished to be looked at, by its id or that of its exercise. */
  track: string | null;
  horse: string | null;
  pointed: Pointed;
  /** How far the chosen track is walked, metres; null where it is not walked. */
  walkedM: number | null;
  playing: boolean;
  saddle: boolean;
  over: OverPlan | null;
  menu: 'add' | 'horses' | null;
  part: PanelPart;
};

export type DeskAct =
  | { do: 'select'; selected: Selection }
  | { do: 'select leg'; leg: LegPlace }
  /** Begins a track, by its id, or goes on with one. */
  | { do: 'ride'; track: string }
  | { do: 'end track' }
  /** A stop was laid on the track that is being laid. */
  | { do: 'rode over' }
  | { do: 'let go' }
  | { do: 'look at track'; track: string | null }
  | { do: 'look at horse'; horse: string | null }
  | { do: 'point'; pointed: Pointed }
  /** Walks the track, or waits. */
  | { do: 'walk' }
  /** By where it is now, while it plays. */
  | { do: 'walk to'; walkedM: number | null | ((beforeM: number | null) => number | null) }
  | { do: 'play'; playing: boolean }
  | { do: 'sit'; saddle: boolean }
  /** Into the saddle, wherever one is, and out of it again. */
  | { do: 'in or out of the saddle' }
  | { do: 'open'; over: OverPlan | null }
  | { do: 'menu'; menu: Desk['menu'] }
  | { do: 'read'; part: PanelPart };

export const NOWHERE: Pointed = { items: [], leg: null };

export const BARE_DESK: Desk = {
  ...{ selected: NOTHING_SELECTED, riding: null, track: null, horse: null, pointed: NOWHERE },
  ...{ walkedM: null, playing: false, saddle: false, over: null, menu: null, part: 'numbers' },
};

/** The plan page after something was done on it. */
export function deskAfter(desk: Desk, act: DeskAct): Desk {
  switch (act.do) {
    case 'select':
      return selecting(desk, act.selected);
    case 'select leg':
      return { ...selecting(desk, { ids: [], leg: act.leg }), track: act.leg.track };
    case 'ride':
      return { ...desk, riding: act.track, selected: NOTHING_SELECTED };
    case 'end track':
      return { ...desk, riding: null };
    case 'rode over':
      return { ...desk, track: desk.riding };
    case 'let go':
      return { ...desk, riding: null, selected: NOTHING_SELECTED };
    case 'look at track':
      return { ...desk, track: act.track };
    case 'look at horse':
      return { ...desk, horse: act.horse };
    case 'point':
      return { ...desk, pointed: act.pointed };
    case 'walk':
      return { ...desk, walkedM: desk.walkedM ?? 0, playing: !desk.playing || desk.walkedM === null };
    case 'walk to':
      return { ...desk, walkedM: typeof act.walkedM === 'function' ? act.walkedM(desk.walkedM) : act.walkedM };
    case 'play':
      return { ...desk, playing: act.playing };
    case 'sit':
      return { ...desk, saddle: act.saddle };
    case 'in or out of the saddle':
      return { ...desk, walkedM: desk.walkedM ?? 0, saddle: desk.walkedM === null || !desk.saddle };
    case 'open':
      return { ...desk, over: act.over };
    case 'menu':
      return { ...desk, menu: act.menu };
    case 'read':
      return { ...desk, part: act.part };
  }
}

/** What is selected is read beside the sand. */
function selecting(desk: Desk, selected: Selection): Desk {
  const isRead = selected.ids.length > 0 || selected.leg !== null;
  return { ...desk, selected, part: isRead ? 'numbers' : desk.part };
}
