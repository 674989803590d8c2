import { isForRider, SHELF } from '../exercises/shelf';
import type { RiderWork } from './riderWork';

/** What the shelf has for the rider, to be ridden over anything. */
function shelfRiderWork(): RiderWork[] {
  return SHELF.filter(isForRider).map(({ guidance: { title, watchRider, repetitions, riderMarks } }) => ({
    ...{ name: title, focus: watchRider[0] ?? '', seat: null, marks: [...riderMarks!] },
    minutes: repetitions.stop.when === 'minutes' ? repetitions.stop.minutes : 6,
  }));
}

/** What a stage may take for its rider: the yard's own, and of the shelf what the yard has under no such name. */
export function offeredRiderWork(own: readonly RiderWork[]): RiderWork[] {
  return [...own, ...shelfRiderWork().filter(({ name }) => !own.some(one => one.name === name))];
}
