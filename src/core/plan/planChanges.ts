import { distanceM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { layoutLabels, type Labels } from '../layout/labels';
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
  const [was, now] = [layoutLabels(before), layoutLabels(after)];
  const wordsOf = (labels: Labels) => (part: Item | PlannedTrack) =>
    part.kind === 'items' || part.kind === 'figures' ? labels.track(part.id) : labels.inWords(part.id);
  const words = { before: wordsOf(was), after: wordsOf(now) };
  compare(before.items, after.items, words, tell, (a, b) => itemChange(a, b, words.after(b), tell));
  compare(before.tracks, after.tracks, words, tell, (a, b) => trackChange(a, b, words.after(b), tell));
  return changes;
}

type Tell = (what: string, movedM?: number | null) => void;

function compare<Part extends Item | PlannedTrack>(
  before: readonly Part[],
  after: readonly Part[],
  words: { before: (part: Part) => string; after: (part: Part) => string },
  tell: Tell,
  changed: (was: Part, is: Part) => void,
): void {
  for (const is of after) {
    const was = before.find(({ id }) => id === is.id);
    if (!was) tell(`${words.after(is)} added`);
    else if (was !== is) changed(was, is);
  }
  for (const was of before) if (!after.some(({ id }) => id === was.id)) tell(`${words.before(was)} taken away`);
}

function itemChange(was: Item, is: Item, words: string, tell: Tell): void {
  if (was.name !== is.name && is.name !== null)
    tell(`${words} called so, ${was.name === null ? 'before without a name' : `before “${was.name}”`}`);
  const movedM = distanceM(was.at, is.at);
  if (movedM > HAIR_M) tell(`${words} moved`, movedM);
  const turned =
    'headingRad' in was && 'headingRad' in is && Math.abs(Math.sin((was.headingRad - is.headingRad) / 2)) > 1e-4;
  if (turned) tell(`${words} turned`);
  if (built(was) !== built(is)) tell(`${words} built anew`);
}

/** An item without its place. */
function built(item: Item): string {
  return JSON.stringify({ ...item, at: null, headingRad: null, name: null });
}

function trackChange(was: PlannedTrack, is: PlannedTrack, words: string, tell: Tell): void {
  if (was.gait !== is.gait) tell(`${words} in ${is.gait}, before in ${was.gait}`);
  if (order(was) !== order(is)) tell(`${words} ridden over other items, or in another order`);
  else if (ridden(was) !== ridden(is)) tell(`${words} ridden another way`);
}

function order(track: PlannedTrack): string {
  return JSON.stringify(track.kind === 'items' ? track.through : track.figures.map(({ figure }) => figure.kind));
}

function ridden(track: PlannedTrack): string {
  return JSON.stringify({ ...track, gait: null, name: null });
}
