import { distanceM } from '../geometry/pointM';
import type { Item } from '../items/item';
import type { Layout, PlannedTrack } from '../layout/layout';

/** How a change is told: what changed, and by how much where it moved. */
export type PlanChange = { what: string; movedM: number | null };

const HAIR_M = 0.005;

/** What differs between two states of a layout, in words; none where it lies and is ridden the same. */
export function planChanges(before: Layout, after: Layout): PlanChange[] {
  const changes: PlanChange[] = [];
  const tell = (what: string, movedM: number | null = null) => changes.push({ what, movedM });
  if (before.name !== after.name) tell(`called “${after.name}”, before “${before.name}”`);
  if (before.school !== after.school) tell(`reckoned in the ${after.school} school`);
  const group = (layout: Layout) => layout.horses.map(({ name }) => name).join(', ') || 'nobody';
  if (group(before) !== group(after)) tell(`for ${group(after)}, before for ${group(before)}`);
  compare(before.items, after.items, tell, (was, is) => itemChange(was, is, tell));
  compare(before.tracks, after.tracks, tell, (was, is) => trackChange(was, is, tell));
  return changes;
}

type Tell = (what: string, movedM?: number | null) => void;

function compare<Part extends { id: string; kind: string }>(
  before: readonly Part[],
  after: readonly Part[],
  tell: Tell,
  changed: (was: Part, is: Part) => void,
): void {
  for (const is of after) {
    const was = before.find(({ id }) => id === is.id);
    if (!was) tell(`${is.id} added`);
    else if (was !== is) changed(was, is);
  }
  for (const was of before) if (!after.some(({ id }) => id === was.id)) tell(`${was.id} taken away`);
}

function itemChange(was: Item, is: Item, tell: Tell): void {
  const movedM = distanceM(was.at, is.at);
  if (movedM > HAIR_M) tell(`${is.id} moved`, movedM);
  const turned =
    'headingRad' in was && 'headingRad' in is && Math.abs(Math.sin((was.headingRad - is.headingRad) / 2)) > 1e-4;
  if (turned) tell(`${is.id} turned`);
  if (built(was) !== built(is)) tell(`${is.id} built anew`);
}

/** An item without its place. */
function built(item: Item): string {
  return JSON.stringify({ ...item, at: null, headingRad: null });
}

function trackChange(was: PlannedTrack, is: PlannedTrack, tell: Tell): void {
  if (was.gait !== is.gait) tell(`${is.id} in ${is.gait}, before in ${was.gait}`);
  if (order(was) !== order(is)) tell(`${is.id} ridden over other items, or in another order`);
  else if (ridden(was) !== ridden(is)) tell(`${is.id} ridden another way`);
}

function order(track: PlannedTrack): string {
  return JSON.stringify(track.kind === 'items' ? track.through : track.figures.map(({ figure }) => figure.kind));
}

function ridden(track: PlannedTrack): string {
  return JSON.stringify({ ...track, gait: null });
}
