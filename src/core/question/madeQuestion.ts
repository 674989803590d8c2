import { isRidden } from '../items/item';
import type { Layout, PlannedLeg } from '../layout/layout';
import { keptOf } from '../layout/layoutEdit';
import type { TrackGait } from '../layout/trackGait';
import { appendStop, comesFromBehind } from '../plan/tracksByHand';
import { EMPTY_PLAN } from '../plan/plan';
import { askedLayout } from './askedLayout';
import { AS_LAID_OUT } from './builtState';
import type { Question } from './question';

/** Stops in the order they were tapped, each from the side one comes from. */
export type MadeStops = Extract<Question['what'], { kind: 'made' }>['through'];

/**
 * One stop more at the end of what was tapped. It is ridden from the side one comes from where it may be; back to the stop
 * just before it is a circle.
 */
export function withStop(layout: Pick<Layout, 'items'>, stops: MadeStops, itemId: string): MadeStops {
  const item = layout.items.find(({ id }) => id === itemId);
  if (!item || !isRidden(item)) return stops;
  const last = stops[stops.length - 1];
  const from = layout.items.find(({ id }) => id === last?.item);
  const mayTurn = item.kind === 'pole' || item.ridden === 'both-ways';
  const reversed =
    last?.item === itemId ? last.reversed : from !== undefined && mayTurn && comesFromBehind(item, from.at);
  return [...stops, { item: itemId, reversed }];
}

/** A question over stops in order; null for none. A line is ridden as a course, between poles as poles. */
export function madeQuestion(
  layout: Pick<Layout, 'items'>,
  stops: MadeStops,
  { id, gait }: { id: string; gait: TrackGait },
): Question | null {
  const plan = stops.reduce((made, stop) => appendStop(made, 'made', gait, stop), EMPTY_PLAN);
  const track = plan.tracks[0];
  if (track?.kind !== 'items') return null;
  const isPole = (itemId: string) => layout.items.some(item => item.id === itemId && item.kind === 'pole');
  const legs = track.legs.map((leg, at): PlannedLeg =>
    isPole(stops[at]!.item) && isPole(stops[at + 1]!.item) ? { ...leg, setting: 'poles' } : leg,
  );
  return {
    ...{ id, name: null, state: AS_LAID_OUT, gait, rein: null, asked: [] },
    what: { kind: 'made', through: track.through, legs },
  };
}

/**
 * A question without one of its stops, "leave that one out": the legs on both sides of it become one, the others stay as
 * they are, with their counts. The piece stays on the sand. Null where nothing would be left.
 * @param stop - which time along the track, from 0
 * @throws {RangeError} a question over figures
 */
export function leftOut(layout: Layout, question: Question, stop: number, id: string): Question | null {
  const track = askedLayout(layout, question)?.tracks[0];
  if (track?.kind !== 'items') throw new RangeError('leftOut: nothing is ridden over');
  let at = -1;
  const kept = keptOf(track, () => (at += 1) !== stop);
  if (kept.through.length === 0) return null;
  const { through, legs } = kept;
  const isNext = track.legs[Math.max(0, stop - 1)];
  const like = isNext ? { setting: isNext.setting, approach: isNext.approach } : {};
  const joined = legs.map((leg, index) => (index === stop - 1 && leg.asked === null ? { ...leg, ...like } : leg));
  return {
    ...{ ...question, id, name: null, what: { kind: 'made', through, legs: joined } },
    asked: joined.map(leg => leg.asked),
  };
}
