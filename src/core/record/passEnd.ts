import type { PassMark } from './passMark';
import { standingMarks } from './passMark';
import { isVoid, lineRidden } from './passJudged';
import type { RideDirection } from './rideDirection';

/**
 * How far a pass went: to its finish, to a stop where it ended (a refusal that nothing came after), or nowhere that counts.
 * Stops count from 0, as drawn.
 */
export type PassEnd = { at: 'finish' } | { at: 'stop'; stop: number } | { at: 'void' };

type EndedPass = { marks: readonly PassMark[]; direction: RideDirection };

const REFUSED: readonly string[] = ['refusal', 'run-out left', 'run-out right'];

/**
 * Where a pass ended. A refusal or a run-out ends it there, unless something was marked farther along the way it was ridden:
 * then the pair went on.
 * @param stops - how many the track of the pass has
 */
export function passEnd(pass: EndedPass, stops: number): PassEnd {
  if (isVoid(pass)) return { at: 'void' };
  const order = ridden(pass, stops);
  const standing = standingMarks(pass.marks);
  const refusedAt = standing.flatMap(mark =>
    mark.kind === 'fence' && REFUSED.includes(mark.outcome) ? [order.indexOf(mark.place - 1)] : [],
  );
  const last = Math.max(-1, ...refusedAt);
  if (last < 0) return { at: 'finish' };
  const wentOn = standing.some(mark => stopsOf(mark, pass.direction).some(stop => order.indexOf(stop) > last));
  return wentOn ? { at: 'finish' } : { at: 'stop', stop: order[last]! };
}

/** The stops that were ridden over, in the order ridden: up to the end, without what was refused or run out of. */
export function stopsRidden(pass: EndedPass, stops: number): number[] {
  const end = passEnd(pass, stops);
  if (end.at === 'void') return [];
  const order = ridden(pass, stops);
  const upTo = end.at === 'stop' ? order.slice(0, order.indexOf(end.stop)) : order;
  const refused = new Set(
    standingMarks(pass.marks).flatMap(mark =>
      mark.kind === 'fence' && REFUSED.includes(mark.outcome) ? [mark.place - 1] : [],
    ),
  );
  return upTo.filter(stop => !refused.has(stop));
}

/** The stops that a pair came to, in the order ridden, with the one that was refused. */
export function stopsCameTo(pass: EndedPass, stops: number): number[] {
  const end = passEnd(pass, stops);
  if (end.at === 'void') return [];
  const order = ridden(pass, stops);
  return end.at === 'stop' ? order.slice(0, order.indexOf(end.stop) + 1) : order;
}

/** The stops of the line that was meant, the way they were ridden. */
function ridden({ marks, direction }: EndedPass, stops: number): number[] {
  const line = lineRidden({ marks });
  const all = Array.from({ length: stops }, (_, stop) => stop);
  const meant = line ? all.slice(line.from - 1, line.to) : all;
  return direction === 'other-way' ? meant.reverse() : meant;
}

/** The stop that a mark shows the pair came to: strides and footfalls are of the leg that leads there. */
function stopsOf(mark: PassMark, direction: RideDirection): number[] {
  if (!('place' in mark) || mark.place === null || mark.kind === 'figure' || mark.kind === 'slip') return [];
  if (mark.kind !== 'strides' && mark.kind !== 'footfall') return [mark.place - 1];
  return [direction === 'other-way' ? mark.place - 1 : mark.place];
}
