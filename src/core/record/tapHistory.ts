import type { LoggedPass, RecordLog } from './recordLog';
import { changedThing, lastChanges, type ChangedValue, type RecordChange } from './recordChange';

/** Something that was said, and what it is about: what an undo takes back and what it is told by. */
export type Act = {
  /** Of the event, or of the change. */
  id: string;
  atMs: number;
  by: string | null;
  /** What it takes back; null for a word of its own. */
  undoes: string | null;
  passId: string | null;
  /** The pairs and stages that it is shown at; none for the whole lesson. */
  pairIds: readonly string[];
  stageIds: readonly string[];
  said:
    | { kind: 'pass' | 'mark' | 'break' | 'ask'; id: string }
    | { kind: 'join'; pairId: string; insteadOf: string | null }
    | { kind: 'change'; change: RecordChange };
};

/** All that one tap said. */
export type Tap = { acts: readonly Act[] };

/** What is shown: a pair at a stage, a pass, or a whole lesson. */
export type Shown = { pairId: string; stageId: string } | { passId: string } | 'all';

/** The taps about what is shown that can be undone, and those that can be done again; the last one is the next. */
export type TapHistory = { undo: readonly Tap[]; redo: readonly Tap[] };

/**
 * What was tapped about what is shown. It is read from the record itself, so it is the same after a reload.
 * @param sinceMs - only what was said since then: of a lesson that is over, an undo takes back what was put right, never what
 *   was ridden
 */
export function tapHistory(log: RecordLog, shown: Shown, sinceMs = -Infinity): TapHistory {
  const undo: Tap[] = [];
  let redo: Tap[] = [];
  const find = (taps: readonly Tap[], id: string) => taps.findIndex(({ acts }) => acts.some(act => act.id === id));
  for (const tap of tapsOf(log)) {
    if (tap.acts[0]!.atMs < sinceMs || !tap.acts.some(act => isShown(act, shown)) || isOfPlan(tap)) continue;
    const undoes = tap.acts[0]!.undoes;
    const done = undoes === null ? -1 : find(undo, undoes);
    const undone = undoes === null ? -1 : find(redo, undoes);
    if (done >= 0) {
      undo.splice(done, 1);
      redo.push(tap);
    } else if (undone >= 0) {
      redo.splice(undone, 1);
      undo.push(tap);
    } else {
      undo.push(tap);
      redo = [];
    }
  }
  return { undo, redo };
}

/** What of a lesson is changed in its plan, at the desk: its day with all that was ridden, its stages, whether it is archived. */
const OF_PLAN: ReadonlySet<RecordChange['what']> = new Set(['day', 'plan', 'archived']);

/** Whether a tap belongs to the plan of a lesson: it is put right there, as a whole. */
function isOfPlan({ acts }: Tap): boolean {
  return acts.some(({ said }) => said.kind === 'change' && OF_PLAN.has(said.change.what));
}

/** What a tap is told by: what was first said, however often it was taken back and done again since. */
export function firstSaid(log: RecordLog, tap: Tap): Tap {
  const [first] = tap.acts;
  const before = first?.undoes && tapsOf(log).find(({ acts }) => acts.some(({ id }) => id === first.undoes));
  return before ? firstSaid(log, before) : tap;
}

/** The changes that take a tap back; of an undo, those that do it again. */
export function reversal(log: RecordLog, tap: Tap, own: { newId: () => string; atMs: number; by: string | null }) {
  return [...tap.acts].reverse().flatMap(act => reversed(act).map(value => changeOver(log, value, act.id, own)));
}

type Value = ChangedValue & { of: string };

function reversed({ said }: Act): Value[] {
  switch (said.kind) {
    case 'change': {
      const { on, of, what, was, to } = said.change;
      return [{ on, of, what, was: to, to: was } as Value];
    }
    case 'join':
      return [
        { on: 'pair', of: said.pairId, what: 'rides', was: true, to: false },
        ...(said.insteadOf === null
          ? []
          : [{ on: 'pair', of: said.insteadOf, what: 'rides', was: false, to: true } as const]),
      ];
    default:
      return [{ on: said.kind, of: said.id, what: 'counts', was: true, to: false } as Value];
  }
}

/** A change of something as it is now, over all that was changed of it before. */
export function changeOver(
  { changes }: Pick<RecordLog, 'changes'>,
  value: Value,
  undoes: string | null,
  { newId, ...own }: { newId: () => string; atMs: number; by: string | null },
): RecordChange {
  const before = changes.filter(one => changedThing(one) === changedThing(value));
  return { ...value, id: newId(), ...own, undoes, from: lastChanges(before).map(({ id }) => id) };
}

/** Everything that was said, oldest first, what one tap said together: it was said by one at one time. */
function tapsOf(log: RecordLog): Tap[] {
  const taps: { acts: Act[] }[] = [];
  for (const act of actsOf(log)) {
    const last = taps[taps.length - 1];
    const [first] = last?.acts ?? [];
    if (last && first && first.atMs === act.atMs && first.by === act.by) last.acts.push(act);
    else taps.push({ acts: [act] });
  }
  return taps;
}

function actsOf(log: RecordLog): Act[] {
  const made = [
    ...log.passes.flatMap(actsOfPass),
    ...log.breaks.map(({ walked: { id, pairId, stageId }, saidAtMs: atMs, by }): Act => ({
      ...{ id, atMs, by, undoes: null, passId: null, pairIds: [pairId], stageIds: stageId === null ? [] : [stageId] },
      said: { kind: 'break', id },
    })),
    ...log.asks.map(({ ask: { id, pairId, stageId }, saidAtMs: atMs, by }): Act => ({
      ...{ id, atMs, by, undoes: null, passId: null, pairIds: pairId === null ? ANY : [pairId], stageIds: [stageId] },
      said: { kind: 'ask', id },
    })),
    ...log.joins.map(({ id, pairId, insteadOf, atMs, by }): Act => ({
      ...{ id, atMs, by, undoes: null, passId: null, pairIds: [], stageIds: [] },
      said: { kind: 'join', pairId, insteadOf },
    })),
  ];
  const ofThing = new Map(made.map(act => [act.id, act]));
  const changed = log.changes.map((change): Act => {
    const { id, atMs, by, undoes } = change;
    const about = aboutChange(change, ofThing);
    return { ...about, id, atMs, by, undoes, said: { kind: 'change', change } };
  });
  return [...made, ...changed].sort((a, b) => a.atMs - b.atMs);
}

const ANY: readonly string[] = ['*'];
type About = Pick<Act, 'passId' | 'pairIds' | 'stageIds'>;

/** A pass begins with the tap that made it; what is said in it comes after. */
function actsOfPass({ pass, saidAtMs, by, marks }: LoggedPass): Act[] {
  const about = { passId: pass.id, pairIds: [pass.pairId], stageIds: pass.stageId === null ? [] : [pass.stageId] };
  return [
    { ...about, id: pass.id, atMs: saidAtMs, by, undoes: null, said: { kind: 'pass', id: pass.id } },
    ...marks.map(({ mark, saidAtMs: atMs, by: who }): Act => ({
      ...{ ...about, id: mark.id, atMs, by: who, undoes: null },
      said: { kind: 'mark', id: mark.id },
    })),
  ];
}

/** What a change is about: its thing; of a pass that was moved, where it was too. */
function aboutChange(change: RecordChange, ofThing: ReadonlyMap<string, Act>): About {
  const thing = ofThing.get(change.of);
  const about = {
    passId: thing?.passId ?? null,
    pairIds: thing?.pairIds ?? [],
    stageIds: thing?.stageIds ?? [],
  };
  if (change.on === 'pass' && change.what === 'pair') return { ...about, pairIds: [...about.pairIds, change.was] };
  if (change.on === 'pass' && change.what === 'stage' && change.was.stageId !== null)
    return { ...about, stageIds: [...about.stageIds, change.was.stageId] };
  return about;
}

function isShown({ passId, pairIds, stageIds }: Act, shown: Shown): boolean {
  if (shown === 'all') return true;
  if ('passId' in shown) return passId === shown.passId;
  const ofPair = pairIds === ANY || pairIds.includes(shown.pairId);
  return ofPair && stageIds.includes(shown.stageId);
}
