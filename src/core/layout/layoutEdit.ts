import { assertNever } from '../assertNever';
import type { Figure } from '../figures/figure';
import type { PointM } from '../geometry/pointM';
import type { Fence, Item } from '../items/item';
import type { RaisedEnds } from '../items/pole';
import { DEFAULT_LEG, type ItemTrack, type Layout, type PlannedLeg, type PlannedTrack } from './layout';

/** One change of a layout, as data: what a mend is made of. */
export type LayoutEdit =
  | { kind: 'move-item'; item: string; to: PointM }
  | { kind: 'turn-item'; item: string; headingRad: number }
  | {
      kind: 'change-fence';
      item: string;
      changes: Partial<Pick<Fence, 'widthM' | 'heightM' | 'spreadM' | 'ridden' | 'groundLineBeforeM' | 'filler'>>;
    }
  | { kind: 'raise-pole'; item: string; raised: RaisedEnds }
  | { kind: 'remove-item'; item: string }
  | { kind: 'change-leg'; track: string; leg: number; changes: Partial<PlannedLeg> }
  | { kind: 'ride-way'; track: string; index: number; reversed: boolean }
  | { kind: 'set-passes'; track: string; passes: number }
  | { kind: 'change-figure'; track: string; index: number; figure: Figure }
  | { kind: 'remove-figure'; track: string; index: number };

/** The layout with these changes made, in order. What they name and is not there is left alone. */
export function applyEdits(layout: Layout, edits: readonly LayoutEdit[]): Layout {
  return edits.reduce(applyEdit, layout);
}

function applyEdit(layout: Layout, edit: LayoutEdit): Layout {
  switch (edit.kind) {
    case 'move-item':
      return withItem(layout, edit.item, item => ({ ...item, at: edit.to }));
    case 'turn-item':
      return withItem(layout, edit.item, item =>
        'headingRad' in item ? { ...item, headingRad: edit.headingRad } : item,
      );
    case 'change-fence':
      return withItem(layout, edit.item, item => (item.kind === 'fence' ? { ...item, ...edit.changes } : item));
    case 'raise-pole':
      return withItem(layout, edit.item, item => (item.kind === 'pole' ? { ...item, raised: edit.raised } : item));
    case 'remove-item':
      return withoutItem(layout, edit.item);
    case 'change-leg':
      return withItemTrack(layout, edit.track, track => ({
        ...track,
        legs: track.legs.map((leg, index) => (index === edit.leg ? { ...leg, ...edit.changes } : leg)),
      }));
    case 'ride-way':
      return withItemTrack(layout, edit.track, track => ({
        ...track,
        through: track.through.map((stop, index) =>
          index === edit.index ? { ...stop, reversed: edit.reversed } : stop,
        ),
      }));
    case 'set-passes':
      return withTrack(layout, edit.track, track => ({ ...track, passes: edit.passes }));
    case 'change-figure':
      return withTrack(layout, edit.track, track =>
        track.kind === 'items'
          ? track
          : {
              ...track,
              figures: track.figures.map((planned, index) =>
                index === edit.index ? { ...planned, figure: edit.figure } : planned,
              ),
            },
      );
    case 'remove-figure':
      return withTrack(layout, edit.track, track =>
        track.kind === 'items'
          ? track
          : { ...track, figures: track.figures.filter((_, index) => index !== edit.index) },
      );
    default:
      return assertNever(edit);
  }
}

function withItem(layout: Layout, id: string, change: (item: Item) => Item): Layout {
  return { ...layout, items: layout.items.map(item => (item.id === id ? change(item) : item)) };
}

function withTrack(layout: Layout, id: string, change: (track: PlannedTrack) => PlannedTrack): Layout {
  return { ...layout, tracks: layout.tracks.map(track => (track.id === id ? change(track) : track)) };
}

function withItemTrack(layout: Layout, id: string, change: (track: ItemTrack) => ItemTrack): Layout {
  return withTrack(layout, id, track => (track.kind === 'items' ? change(track) : track));
}

/** Takes an item off the sand and out of every track; the legs on both sides of it become one. */
function withoutItem(layout: Layout, id: string): Layout {
  const tracks = layout.tracks
    .map(track => (track.kind === 'items' ? skipItem(track, id) : track))
    .filter(track => track.kind === 'figures' || track.through.length > 0);
  return { ...layout, tracks, items: layout.items.filter(item => item.id !== id) };
}

function skipItem(track: ItemTrack, id: string): ItemTrack {
  return keptOf(track, stop => stop.item !== id);
}

/** A track over those of its items that are kept: the legs on both sides of one that is left out become one. */
export function keptOf(track: ItemTrack, keep: (stop: ItemTrack['through'][number]) => boolean): ItemTrack {
  const kept = track.through.map((stop, index) => ({ stop, index })).filter(({ stop }) => keep(stop));
  return {
    ...track,
    through: kept.map(({ stop }) => stop),
    legs: kept.slice(1).map(({ stop, index }, next) => {
      const before = kept[next]!;
      const planned = index === before.index + 1 ? track.legs[before.index] : null;
      const backToItself = stop.item === before.stop.item && stop.reversed === before.stop.reversed;
      const plain: PlannedLeg = { ...DEFAULT_LEG, circle: backToItself ? { rein: 'left', radiusM: 10 } : null };
      return planned ?? plain;
    }),
  };
}
