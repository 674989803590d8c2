import type { Arena } from '../arena/arena';
import { USUAL_LIMITS, type CautionLimits } from '../cautions/cautionLimits';
import { placeMoved } from '../geometry/frame';
import type { PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { Layout, PlannedTrack } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { fitLayout } from './fitLayout';
import type { FitPiece } from './pieces';
import { alarmCodes } from './sound';

export type RefitWish = { pieces: readonly FitPiece[]; horseIds: readonly string[]; limits?: CautionLimits };

/** How a layout comes to lie on another sand: as it lay, turned, or drawn together and fitted again. */
export type RefitHow = 'as it lay' | 'turned' | 'drawn together';

/** A leg before and after, ground in metres: kept where it is the same. */
export type RefitLeg = { track: string; leg: number; from: string; to: string; beforeM: number; afterM: number };

/** A layout on another sand. */
export type Refit = {
  how: RefitHow;
  layout: Layout;
  /** Where every piece went. */
  moved: { piece: FitPiece; to: Pose }[];
  legs: RefitLeg[];
  /** How many cautions of level stop or warn it has there that it did not have. */
  alarms: number;
};

/** Legs this near in length are kept. */
const KEPT_M = 0.005;
/** A sand is left so much room at its walls where a layout is drawn together. */
const MARGIN_M = 3;

type Place = { how: RefitHow; turnedRad: number; shareX: number; shareY: number };

/**
 * A layout taken to another sand: with all its distances where it goes there as it lies or turned, else drawn together no more
 * than it must and fitted again, so that its lines ride in whole counts for these horses. What raises fewest new cautions goes
 * before what keeps most distances.
 */
export function refitLayout(layout: Layout, arena: Arena, wish: RefitWish): Refit {
  const limits = wish.limits ?? USUAL_LIMITS;
  const known = alarmCodes(layout, limits);
  const options = placesOn(layout.arena, arena).map(place => refitted(layout, arena, wish, place, known, limits));
  return options.reduce((best, next) => (isBetter(next, best) ? next : best));
}

function isBetter(a: Refit, b: Refit): boolean {
  if (a.alarms !== b.alarms) return a.alarms < b.alarms;
  return changedM(a) < changedM(b) - KEPT_M;
}

const changedM = ({ legs }: Refit) => legs.reduce((sum, { beforeM, afterM }) => sum + Math.abs(afterM - beforeM), 0);

/** As it lay, turned by halves and quarters; and drawn together where the sand is smaller, along and across as it must. */
function placesOn(from: Arena, to: Arena): Place[] {
  const quarter = Math.PI / 2;
  const whole = [0, 2, 1, 3].map((quarters): Place => ({
    ...{ how: quarters === 0 ? 'as it lay' : 'turned', turnedRad: quarters * quarter, shareX: 1, shareY: 1 },
  }));
  const together = [0, 1].flatMap((quarters): Place[] => {
    const [widthM, lengthM] = quarters === 0 ? [from.widthM, from.lengthM] : [from.lengthM, from.widthM];
    const share = (room: number, had: number) => Math.min(1, (room - 2 * MARGIN_M) / Math.max(1, had - 2 * MARGIN_M));
    const shares = { shareX: share(to.widthM, widthM), shareY: share(to.lengthM, lengthM) };
    return shares.shareX > 0 && shares.shareY > 0
      ? [{ how: 'drawn together', turnedRad: quarters * quarter, ...shares }]
      : [];
  });
  return [...whole, ...together];
}

function refitted(
  layout: Layout,
  arena: Arena,
  wish: RefitWish,
  place: Place,
  known: ReadonlyMap<string, number>,
  limits: CautionLimits,
): Refit {
  const put = placer(layout.arena, arena, place);
  const posed = wish.pieces.map(piece => ({ ...piece, pose: put(piece.pose), locked: false }));
  const moves = new Map(
    wish.pieces.flatMap((piece, index) =>
      piece.itemIds.map(id => [id, { from: piece.pose, to: posed[index]!.pose }] as const),
    ),
  );
  const items = layout.items.map(item => {
    const headingRad = 'headingRad' in item ? item.headingRad : 0;
    const move = moves.get(item.id);
    const pose = move ? placeMoved({ at: item.at, headingRad }, move.from, move.to) : put({ at: item.at, headingRad });
    return { ...item, at: pose.at, ...('headingRad' in item ? { headingRad: pose.headingRad } : {}) };
  });
  const lain: Layout = { ...layout, arena, fall: null, items, tracks: layout.tracks.map(track => trackOn(track, put)) };
  if (place.how !== 'drawn together') return told(layout, lain, place.how, wish.pieces, posed, known, limits);
  // What was asked stays asked; the rest is ridden in what serves best there.
  const fit = fitLayout(lain, { pieces: posed, horseIds: wish.horseIds, limits });
  const to = posed.map(piece => fit.moved.find(one => one.piece.id === piece.id)?.to ?? piece.pose);
  const fitted = posed.map((piece, index) => ({ ...piece, pose: to[index]! }));
  return told(layout, fit.layout, place.how, wish.pieces, fitted, known, limits);
}

/** Where a pose goes: about the middle of the one sand, to the middle of the other. */
function placer(from: Arena, to: Arena, { turnedRad, shareX, shareY }: Place): (pose: Pose) => Pose {
  const [cos, sin] = [Math.cos(turnedRad), Math.sin(turnedRad)];
  return ({ at, headingRad }) => {
    const [dx, dy] = [at.xM - from.widthM / 2, at.yM - from.lengthM / 2];
    return {
      at: { xM: to.widthM / 2 + (dx * cos - dy * sin) * shareX, yM: to.lengthM / 2 + (dx * sin + dy * cos) * shareY },
      headingRad: headingRad + turnedRad,
    };
  };
}

/** A track on the other sand: what it goes through by hand goes along. */
function trackOn(track: PlannedTrack, put: (pose: Pose) => Pose): PlannedTrack {
  const point = (at: PointM) => put({ at, headingRad: 0 }).at;
  if (track.kind === 'items')
    return {
      ...track,
      legs: track.legs.map(leg =>
        typeof leg.track === 'object' ? { ...leg, track: { via: point(leg.track.via) } } : leg,
      ),
    };
  return {
    ...track,
    figures: track.figures.map(planned => {
      const { figure } = planned;
      const start = { ...figure.start, ...put(figure.start) };
      return figure.kind === 'change-rein'
        ? { ...planned, figure: { ...figure, start, end: { ...figure.end, ...put(figure.end) } } }
        : { ...planned, figure: { ...figure, start } };
    }),
  };
}

function told(
  before: Layout,
  after: Layout,
  how: RefitHow,
  pieces: readonly FitPiece[],
  posed: readonly FitPiece[],
  known: ReadonlyMap<string, number>,
  limits: CautionLimits,
): Refit {
  const [was, is] = [reckonLayout(before), reckonLayout(after)];
  const legs = was.flatMap((track, at): RefitLeg[] => {
    const now = is[at];
    if (track.kind !== 'items' || now?.kind !== 'items') return [];
    return track.legs.map(({ from, to, groundM }, leg) => ({
      ...{ track: track.id, leg, from, to, beforeM: groundM, afterM: now.legs[leg]!.groundM },
    }));
  });
  const alarms = [...alarmCodes(after, limits)].reduce(
    (sum, [code, count]) => sum + Math.max(0, count - (known.get(code) ?? 0)),
    0,
  );
  return { how, layout: after, moved: pieces.map((piece, index) => ({ piece, to: posed[index]!.pose })), legs, alarms };
}

/** Whether a leg kept its length. */
export const isKept = ({ beforeM, afterM }: RefitLeg): boolean => Math.abs(beforeM - afterM) <= KEPT_M;
