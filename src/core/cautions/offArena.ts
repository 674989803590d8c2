import type { Arena } from '../arena/arena';
import { isChainInside, segmentExtent } from '../geometry/insideArena';
import type { PointM } from '../geometry/pointM';
import type { Segment } from '../geometry/segment';
import { footprintCorners } from '../items/footprint';
import { itemsOutside } from '../items/itemsOutside';
import { chainsOf } from '../layout/alongTrack';
import type { LayoutEdit } from '../layout/layoutEdit';
import type { ReckonedFigureTrack } from '../layout/reckonedTrack';
import type { Figure } from '../figures/figure';
import { NOWHERE, type Caution } from './caution';
import { ROUNDING } from './cautionLimits';
import {
  allLegs,
  called,
  figureTracks,
  fromTo,
  legOfCaution,
  sentence,
  trackCalled,
  type CautionContext,
  type CautionRule,
} from './cautionRule';
import { lineOf, ringMoves } from './mendMoves';
import { shiftItems } from '../layout/shiftItems';

function caution(items: string[], text: string, place = NOWHERE): Caution {
  return { code: 'off-arena', level: 'stop', items, place, text, mend: 'Move it inside the walls.' };
}

function strayItems(context: CautionContext): Caution[] {
  const { arena, items } = context.layout;
  return itemsOutside(arena, items).map(({ id }) =>
    caution([id], sentence(`${called(context, id)} does not lie on the sand.`)),
  );
}

function strayLegs(context: CautionContext): Caution[] {
  return allLegs(context)
    .filter(({ leg }) => !isChainInside(context.layout.arena, leg.chain, -ROUNDING))
    .map(({ plan, leg, index }) =>
      caution([leg.from, leg.to], `The line ${fromTo(context, leg)} leaves the sand.`, {
        track: plan.id,
        part: index,
      }),
    );
}

function strayFigures(context: CautionContext): Caution[] {
  return figureTracks(context)
    .filter(
      ({ reckoned }) =>
        overhang(context.layout.arena, segmentsOf(reckoned)) !== null || leavesOutline(context.layout.arena, reckoned),
    )
    .map(({ plan }) =>
      caution([], sentence(`${trackCalled(context, plan.id)} leaves the sand.`), { track: plan.id, part: null }),
    );
}

function segmentsOf({ session }: ReturnType<typeof figureTracks>[number]['reckoned']): Segment[] {
  if (!session.ok) return [];
  return session.pieces.flatMap(piece => (piece.kind === 'stretch' ? piece.chain.segments : []));
}

/** Whether a session leaves a sand that is no rectangle; what stands on it is cautioned by itself. */
function leavesOutline({ standing: _, ...arena }: Arena, reckoned: ReckonedFigureTrack): boolean {
  if (!arena.outline) return false;
  return chainsOf(reckoned).some(chain => !isChainInside(arena, chain, -ROUNDING));
}

/** The shift that would bring segments back onto the sand, or null where they are on it. */
function overhang({ widthM, lengthM }: Arena, segments: readonly Segment[]): PointM | null {
  const extents = segments.map(segmentExtent);
  if (extents.length === 0) return null;
  const out = (least: number, most: number, side: number) =>
    least < -ROUNDING ? -least : most > side + ROUNDING ? side - most : 0;
  const xM = out(Math.min(...extents.map(e => e.minXM)), Math.max(...extents.map(e => e.maxXM)), widthM);
  const yM = out(Math.min(...extents.map(e => e.minYM)), Math.max(...extents.map(e => e.maxYM)), lengthM);
  return xM === 0 && yM === 0 ? null : { xM, yM };
}

/** An item, a line or a figure that does not stay on the sand. */
export const offArena: CautionRule = {
  code: 'off-arena',
  find: context => [...strayItems(context), ...strayLegs(context), ...strayFigures(context)],
  mends: function* (context, found): Generator<LayoutEdit[]> {
    const { layout } = context;
    const session = figureTracks(context).find(({ plan }) => plan.id === found.place.track);
    if (session) {
      const shift = overhang(layout.arena, segmentsOf(session.reckoned));
      if (shift)
        yield session.plan.figures.map(({ figure }, index) => ({
          kind: 'change-figure',
          track: session.plan.id,
          index,
          figure: shifted(figure, shift),
        }));
      return;
    }
    const leg = found.place.track === null ? null : legOfCaution(context, found);
    if (leg) {
      for (const track of ['natural', 'direct'] as const)
        yield [{ kind: 'change-leg', track: leg.plan.id, leg: leg.index, changes: { track } }];
      return yield* ringMoves(layout, leg.leg.to, 2, 20);
    }
    const item = layout.items.find(({ id }) => id === found.items[0]);
    if (!item) return;
    const corners = footprintCorners(item);
    const inward = (side: number, values: number[]) =>
      Math.max(0, -Math.min(...values)) - Math.max(0, Math.max(...values) - side);
    const byM: PointM = {
      xM: inward(
        layout.arena.widthM,
        corners.map(({ xM }) => xM),
      ),
      yM: inward(
        layout.arena.lengthM,
        corners.map(({ yM }) => yM),
      ),
    };
    for (const moved of [[item.id], lineOf(layout, [item.id])]) yield shiftItems(layout, moved, byM);
    yield* ringMoves(layout, item.id, 1, 20);
    yield [{ kind: 'remove-item', item: item.id }];
  },
};

function shifted(figure: Figure, { xM, yM }: PointM): Figure {
  const moved = <P extends { at: PointM }>(pose: P): P => ({
    ...pose,
    at: { xM: pose.at.xM + xM, yM: pose.at.yM + yM },
  });
  if (figure.kind === 'change-rein') return { ...figure, start: moved(figure.start), end: moved(figure.end) };
  return { ...figure, start: moved(figure.start) };
}
