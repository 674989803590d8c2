import { placeLabels, type LabelWish, type Obstacles } from '@/components/Sand/placeLabels';
import type { PaperPoint, SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import {
  arenaLetters,
  chainsOf,
  footprintCorners,
  leadMarks,
  pointAlong,
  poseAt,
  type Arena,
  type Chain,
  type Item,
  type LeadMark,
  type ReckonedTrack,
  type ResolvedPlan,
  type TrackGait,
} from '@/core';
import type { CautionSpot } from '../_state/cautionSpots';
import { leadShape } from './leadShape';
import { nameRuns, type ItemNaming } from './itemNaming';
import type { Seen } from './trackShapes';

/** A label of the sand: what it is of, and what is drawn at its place. */
export type SandLabel = { of: unknown; key: string; at: PaperPoint; shapes: Shape[] };

type Labelled = {
  resolved: ResolvedPlan;
  tracks: readonly ReckonedTrack[];
  arena: Arena;
  chosenTrack: string | null;
  naming: (item: Item) => ItemNaming;
  /** Whether something gets its label here; the others only lie in the way. */
  isHere: (part: unknown) => boolean;
  /** Where cautions are, to be marked beside it. */
  cautions?: readonly CautionSpot[];
};

type Wish = LabelWish & { of: unknown; key: string; draw: (at: PaperPoint) => Shape[] };

/** What is written beside the things of a layout, each where it lies over nothing else; what has no free place is left away. */
export function sandLabels(labelled: Labelled, seen: Seen): SandLabel[] {
  const { resolved, tracks, naming, isHere } = labelled;
  const { items } = resolved.layout;
  const names = items.flatMap(item => (isHere(item) ? nameWish(item, naming(item), seen) : []));
  const chosen = resolved.layout.tracks.find(({ id }) => id === labelled.chosenTrack);
  const ridden = tracks.find(({ id }) => id === labelled.chosenTrack);
  const leads = chosen && ridden ? leadWishes(chosen.gait, ridden, isHere, seen) : [];
  const cautions = (labelled.cautions ?? []).map(spot => cautionWish(spot, seen));
  const wishes = [...names, ...cautions, ...leads];
  const places = placeLabels(wishes, obstaclesOf(labelled, seen));
  return wishes.flatMap(({ of, key, draw }, index) => {
    const at = places[index];
    return at ? [{ of, key, at, shapes: draw(at) }] : [];
  });
}

const LINE_EVERY_M = 0.4;

/** Items, tracks, and what is written on the sand itself. */
function obstaclesOf({ resolved, tracks, arena }: Labelled, { view, textM }: Seen): Obstacles {
  const shapes = resolved.layout.items.map(item => outlineOf(item, view));
  const letters = arenaLetters(arena).map(({ at }) => {
    const { x, y } = view.toPaper(at);
    const half = textM * 0.5;
    return [
      { x: x - half, y: y - half },
      { x: x + half, y: y - half },
      { x: x + half, y: y + half },
      { x: x - half, y: y + half },
    ];
  });
  const points = tracks.flatMap(track => chainsOf(track).flatMap(chain => pointsAlong(chain, view)));
  return { shapes: [...shapes, ...letters], points, everyM: LINE_EVERY_M };
}

/** What an item covers, its stands with it. */
function outlineOf(item: Item, view: SandView): PaperPoint[] {
  return footprintCorners(item).map(view.toPaper);
}

const drawnBefore = new WeakMap<Chain, { view: SandView; points: PaperPoint[] }>();

/** Points along a chain; of one that was drawn before as they were. */
function pointsAlong(chain: Chain, view: SandView): PaperPoint[] {
  const before = drawnBefore.get(chain);
  if (before?.view === view) return before.points;
  const steps = Math.max(1, Math.ceil(chain.lengthM / LINE_EVERY_M));
  const points = Array.from({ length: steps + 1 }, (_, step) =>
    view.toPaper(poseAt(chain, (chain.lengthM * step) / steps).at),
  );
  drawnBefore.set(chain, { view, points });
  return points;
}

/** How wide a letter is, and how high a line, as shares of the size of the text. */
const LETTER_SHARE = 0.62;
const LINE_SHARE = 1.05;
const NAME_SHARE = 0.95;

function nameWish(item: Item, naming: ItemNaming, seen: Seen): Wish[] {
  const runs = nameRuns(naming);
  if (runs.length === 0) return [];
  const sizeM = seen.textM * NAME_SHARE;
  const letters = runs.reduce((sum, { words }) => sum + words.length, 0);
  const [widthM, heightM] = [letters * LETTER_SHARE * sizeM, LINE_SHARE * sizeM];
  return [
    {
      ...{ of: item, key: `name ${item.id}`, widthM, heightM },
      places: placesBeside(item, { widthM, heightM }, seen),
      draw: ({ x, y }) => [{ kind: 'text', x, y, sizeM, look: 'name', runs }],
    },
  ];
}

/** From the edge of a thing to what is written beside it, in sizes of the text: near first. */
const OFF = [0.2, 0.55, 1, 1.6, 2.4, 3.4];
const ROUND = Array.from({ length: 12 }, (_, part) => (part * Math.PI) / 6);

type Size = Pick<LabelWish, 'widthM' | 'heightM'>;

/** Off the right end of what is ridden over, off its left end, then round both ends and the middle. */
function placesBeside(item: Item, size: Size, { view, textM }: Seen): PaperPoint[] {
  const at = view.toPaper(item.at);
  if (!('headingRad' in item)) return around(at, 0.4, size, textM);
  const halfM = item.kind === 'fence' ? item.widthM / 2 + 0.5 : item.lengthM / 2;
  const end = (side: 1 | -1) => view.toPaper(pointAlong(item.at, item.headingRad - (side * Math.PI) / 2, halfM));
  const ends = item.kind === 'guide' ? [at] : [end(1), end(-1)];
  const straight = OFF.flatMap(off =>
    ends.map(tip => offFrom(tip, Math.atan2(tip.y - at.y, tip.x - at.x), off * textM, size)),
  );
  const depthM = item.kind === 'fence' ? item.spreadM / 2 + 0.3 : 0.3;
  return [...straight, ...ends.flatMap(tip => around(tip, 0.2, size, textM)), ...around(at, depthM, size, textM)];
}

const around = (at: PaperPoint, fromM: number, size: Size, textM: number): PaperPoint[] =>
  OFF.flatMap(off => ROUND.map(towards => offFrom(at, towards, fromM + off * textM, size)));

/** The middle of a label that begins so far from a point. */
function offFrom({ x, y }: PaperPoint, towardsRad: number, offM: number, { widthM, heightM }: Size): PaperPoint {
  const [cos, sin] = [Math.cos(towardsRad), Math.sin(towardsRad)];
  const reachM = offM + (Math.abs(cos) * widthM + Math.abs(sin) * heightM) / 2;
  return { x: x + cos * reachM, y: y + sin * reachM };
}

/** How large the mark of a caution is, in sizes of the text. */
export const CAUTION_SHARE = 1.5;

/** The page draws the mark itself: it is pressed. */
function cautionWish(spot: CautionSpot, seen: Seen): Wish {
  const sizeM = seen.textM * CAUTION_SHARE;
  const size = { widthM: sizeM, heightM: sizeM };
  const at = seen.view.toPaper(spot.at);
  return {
    of: spot,
    key: `caution ${spot.key}`,
    ...size,
    places: [...around(at, 0.3, size, seen.textM)],
    draw: () => [],
  };
}

/** Where the lead of the canter begins and where it changes: inside the turn, else outside it. */
function leadWishes(gait: TrackGait, track: ReckonedTrack, isHere: (part: unknown) => boolean, seen: Seen): Wish[] {
  return leadsOf(gait, track).flatMap(({ of, chain, mark, index }) => {
    if (!isHere(of)) return [];
    const sizeM = seen.textM * 1.2;
    const inside = mark.lead === 'left' ? Math.PI / 2 : -Math.PI / 2;
    const at = [0, -2, 2, -4, 4].flatMap(byM => {
      const alongM = mark.alongM + byM;
      if (alongM < 0 || alongM > chain.lengthM) return [];
      const pose = poseAt(chain, alongM);
      return [inside, -inside].flatMap(side =>
        [1, 1.5].map(off => view(seen, pointAlong(pose.at, pose.headingRad + side, seen.textM * off))),
      );
    });
    return [
      {
        ...{ of, key: `lead ${track.id} ${index}`, widthM: sizeM, heightM: sizeM, places: at },
        draw: place => [leadShape(mark, place, seen)],
      },
    ];
  });
}

const view = (seen: Seen, at: Parameters<SandView['toPaper']>[0]) => seen.view.toPaper(at);

type LeadOf = { of: unknown; chain: Chain; mark: LeadMark; index: number };

/**
 * The turns of a canter that carry another lead than the turn before.
 * @param gait - of the track, where it is not told piece by piece
 */
export function leadsOf(gait: TrackGait, track: ReckonedTrack): LeadOf[] {
  let last: LeadMark['lead'] | null = null;
  return canteredChains(gait, track).flatMap(({ of, chain }, index) =>
    leadMarks(chain).flatMap(mark => {
      if (mark.lead === last) return [];
      last = mark.lead;
      return [{ of, chain, mark, index }];
    }),
  );
}

const isCanter = (gait: string) => gait.endsWith('canter');

function canteredChains(gait: TrackGait, track: ReckonedTrack): { of: unknown; chain: Chain }[] {
  if (track.kind === 'items') return isCanter(gait) ? track.legs.map(leg => ({ of: leg, chain: leg.chain })) : [];
  if (!track.session.ok) return [];
  return track.session.pieces.flatMap(piece =>
    piece.kind === 'stretch' && isCanter(piece.gait) ? [{ of: track, chain: piece.chain }] : [],
  );
}
