import { assertNever } from '../assertNever';
import type { Figure, PlannedFigure, StationDeed } from '../figures/figure';
import type { PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { Item } from '../items/item';
import type { LegTrackChoice, PlannedTrack } from '../layout/layout';
import { otherRein, type Rein } from '../track/rein';

/** How something is carried over to another place: points and poses, and whether left and right change places. */
export type Carry = { point: (point: PointM) => PointM; pose: (pose: Pose) => Pose; swaps: boolean };

/** An item carried over; a mirror swaps which end of a pole is up and on which side a corner is narrow. */
export function carryItem(item: Item, { point, pose, swaps }: Carry): Item {
  const at = point(item.at);
  if (!('headingRad' in item)) return { ...item, at };
  const { headingRad } = pose({ at: item.at, headingRad: item.headingRad });
  const placed = { ...item, at, headingRad };
  if (!swaps) return placed;
  if (placed.kind === 'pole')
    return { ...placed, raised: { leftM: placed.raised.rightM, rightM: placed.raised.leftM } };
  if (placed.kind !== 'fence' || placed.corner === null) return placed;
  return { ...placed, corner: { ...placed.corner, narrowEnd: otherRein(placed.corner.narrowEnd) } };
}

/** A track carried over: its points, its circles and its figures. */
export function carryTrack(track: PlannedTrack, carry: Carry): PlannedTrack {
  if (track.kind === 'figures') return { ...track, figures: track.figures.map(planned => carryFigure(planned, carry)) };
  const rein = reinCarry(carry);
  const via = (choice: LegTrackChoice): LegTrackChoice =>
    typeof choice === 'object' ? { via: carry.point(choice.via) } : choice;
  return {
    ...track,
    legs: track.legs.map(leg => ({
      ...leg,
      track: via(leg.track),
      circle: leg.circle && { ...leg.circle, rein: rein(leg.circle.rein) },
    })),
  };
}

const reinCarry =
  ({ swaps }: Carry) =>
  (rein: Rein): Rein =>
    swaps ? otherRein(rein) : rein;

function carryFigure(planned: PlannedFigure, carry: Carry): PlannedFigure {
  const rein = reinCarry(carry);
  const { figure } = planned;
  const carried: Figure = { ...figure, start: carry.pose(figure.start), rein: rein(figure.rein) };
  if (carried.kind === 'change-rein') return { ...planned, figure: { ...carried, end: carry.pose(carried.end) } };
  if (carried.kind === 'sideways') return { ...planned, figure: { ...carried, towards: rein(carried.towards) } };
  if (carried.kind === 'station') return { ...planned, figure: { ...carried, deed: carryDeed(carried.deed, carry) } };
  return { ...planned, figure: carried };
}

function carryDeed(deed: StationDeed, carry: Carry): StationDeed {
  switch (deed.kind) {
    case 'halt':
    case 'rein-back':
    case 'flexions':
      return deed;
    case 'turn-on-forehand':
    case 'turn-on-haunches':
      return { ...deed, turnRad: carry.swaps ? -deed.turnRad : deed.turnRad };
    case 'side-pass':
      return { ...deed, towards: reinCarry(carry)(deed.towards) };
    default:
      return assertNever(deed);
  }
}
