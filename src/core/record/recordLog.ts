import type { AskOnTheDay, LessonRecord, WalkBreak } from './lessonRecord';
import type { PassMark } from './passMark';
import type { Join } from './join';
import type { PassRecord } from './passRecord';
import type { RecordEvent } from './recordEvent';
import { changedThing, standingChange, type RecordChange } from './recordChange';

/** Something that was said: by whom, when by their clock, and whether it still counts or was taken back. */
type Said = { saidAtMs: number; by: string | null; counts: boolean };

export type LoggedMark = Said & { mark: PassMark };
export type LoggedPass = Said & { pass: Omit<PassRecord, 'marks'>; marks: readonly LoggedMark[] };
export type LoggedBreak = Said & { walked: WalkBreak };
export type LoggedAsk = Said & { ask: AskOnTheDay };

/** All that was ever said of some passes: what counts, what was taken back, and what was changed from what to what. */
export type RecordLog = {
  passes: readonly LoggedPass[];
  breaks: readonly LoggedBreak[];
  asks: readonly LoggedAsk[];
  joins: readonly Join[];
  /** Whether a pair rides, where that was said; other pairs ride as planned. */
  rides: Readonly<Record<string, boolean>>;
  /** When the cautions were read, and with it the lesson begun; null while they were not. */
  acknowledgedAtMs: number | null;
  /** When the lesson was ended; null while it is open. */
  endedAtMs: number | null;
  /** When it was opened again last; null where it never was. */
  reopenedAtMs: number | null;
  /** In the order they came. */
  changes: readonly RecordChange[];
};

export const EMPTY_LOG: RecordLog = {
  ...{ passes: [], breaks: [], asks: [], joins: [], rides: {}, changes: [] },
  ...{ acknowledgedAtMs: null, endedAtMs: null, reopenedAtMs: null },
};

/**
 * The log after an event: a new one, the old one unchanged. An event that was applied before, or that speaks of something that
 * is not there, changes nothing; two logs that were told the same, each thing after what it speaks of, say the same.
 */
export function applyEvent(log: RecordLog, event: RecordEvent): RecordLog {
  switch (event.type) {
    case 'pass': {
      const { pass, by = null, saidAtMs = pass.riddenAtMs } = event;
      if (log.passes.some(one => one.pass.id === pass.id)) return log;
      return { ...log, passes: [...log.passes, { pass, by, saidAtMs, counts: true, marks: [] }] };
    }
    case 'mark': {
      const { mark, atMs, by = null } = event;
      return {
        ...log,
        passes: log.passes.map(one =>
          one.pass.id !== event.passId || one.marks.some(({ mark: { id } }) => id === mark.id)
            ? one
            : { ...one, marks: [...one.marks, { mark, saidAtMs: atMs, by, counts: true }] },
        ),
      };
    }
    case 'break': {
      const { id, pairId, stageId = null, atMs, by = null } = event;
      if (log.breaks.some(({ walked }) => walked.id === id)) return log;
      const walked = { id, pairId, stageId, atMs };
      return { ...log, breaks: [...log.breaks, { walked, saidAtMs: atMs, by, counts: true }] };
    }
    case 'ask': {
      const { id, stageId, pairId, question, atMs, by = null } = event;
      if (log.asks.some(({ ask }) => ask.id === id)) return log;
      const ask = { id, stageId, pairId, question, atMs };
      return { ...log, asks: [...log.asks, { ask, saidAtMs: atMs, by, counts: true }] };
    }
    case 'join':
      return log.joins.some(({ id }) => id === event.join.id) ? log : withJoin(log, event.join);
    case 'acknowledge':
      return { ...log, acknowledgedAtMs: log.acknowledgedAtMs ?? event.atMs };
    case 'change':
      return applyChange(log, event.change);
  }
}

function withJoin(log: RecordLog, join: Join): RecordLog {
  const joins = [...log.joins, join];
  return { ...log, joins, rides: ridesNow(joins, log.changes) };
}

type Joined = Pick<Join, 'pairId' | 'insteadOf' | 'atMs'>;

/** Whether pairs ride in a lesson: the last word of joining, swapping and leaving about each. */
export function ridesNow(joins: readonly Joined[], changes: readonly RecordChange[]): Record<string, boolean> {
  const said = new Map<string, { atMs: number; rides: boolean }>();
  const say = (pairId: string, atMs: number, rides: boolean) => {
    const before = said.get(pairId);
    if (!before || atMs >= before.atMs) said.set(pairId, { atMs, rides });
  };
  for (const { pairId, insteadOf, atMs } of joins) {
    if (insteadOf !== null && insteadOf !== pairId) say(insteadOf, atMs, false);
    say(pairId, atMs, true);
  }
  const ofPairs = changes.filter(change => change.on === 'pair');
  for (const pairId of new Set(ofPairs.map(({ of }) => of))) {
    const last = standingChange(ofPairs.filter(({ of }) => of === pairId))!;
    say(pairId, last.atMs, last.to);
  }
  return Object.fromEntries([...said].map(([pairId, { rides }]) => [pairId, rides]));
}

function applyChange(log: RecordLog, change: RecordChange): RecordLog {
  if (log.changes.some(({ id }) => id === change.id)) return log;
  const changes = [...log.changes, change];
  if (change.on === 'pair') return { ...log, changes, rides: ridesNow(log.joins, changes) };
  const own = changes.filter(one => changedThing(one) === changedThing(change));
  return { ...withChange(log, standingChange(own)!), changes };
}

/** The log with what a change says; it says nothing where its thing is not there. */
function withChange(log: RecordLog, change: RecordChange): RecordLog {
  const { of } = change;
  switch (change.on) {
    case 'pass':
      return { ...log, passes: log.passes.map(one => (one.pass.id === of ? changedPass(one, change) : one)) };
    case 'mark':
      return {
        ...log,
        passes: log.passes.map(pass =>
          pass.marks.some(({ mark }) => mark.id === of)
            ? { ...pass, marks: pass.marks.map(one => (one.mark.id === of ? changedMark(one, change) : one)) }
            : pass,
        ),
      };
    case 'break':
      return {
        ...log,
        breaks: log.breaks.map(one => {
          if (one.walked.id !== of) return one;
          return change.what === 'counts'
            ? { ...one, counts: change.to }
            : { ...one, walked: { ...one.walked, atMs: change.to } };
        }),
      };
    case 'ask':
      return { ...log, asks: log.asks.map(one => (one.ask.id === of ? { ...one, counts: change.to } : one)) };
    case 'pair':
      return log;
    case 'lesson':
      if (change.what !== 'ended') return log;
      return change.to === null
        ? { ...log, endedAtMs: null, reopenedAtMs: change.atMs }
        : { ...log, endedAtMs: change.to };
  }
}

function changedPass(one: LoggedPass, change: RecordChange & { on: 'pass' }): LoggedPass {
  const { pass } = one;
  switch (change.what) {
    case 'counts':
      return { ...one, counts: change.to };
    case 'way':
      return { ...one, pass: { ...pass, ...change.to } };
    case 'pair':
      return { ...one, pass: { ...pass, pairId: change.to } };
    case 'stage':
      return { ...one, pass: { ...pass, ...change.to } };
    case 'question':
      return { ...one, pass: { ...pass, question: change.to } };
    case 'time':
      return { ...one, pass: { ...pass, riddenAtMs: change.to } };
  }
}

function changedMark(one: LoggedMark, change: RecordChange & { on: 'mark' }): LoggedMark {
  return change.what === 'counts'
    ? { ...one, counts: change.to }
    : { ...one, mark: { id: one.mark.id, ...change.to } as PassMark };
}

const byTime = <One>(all: readonly One[], timeOf: (one: One) => number): One[] =>
  [...all].sort((a, b) => timeOf(a) - timeOf(b));

/** The passes that count, oldest first, with the marks that count. */
export function standingPasses({ passes }: Pick<RecordLog, 'passes'>): PassRecord[] {
  const counting = passes.filter(({ counts }) => counts);
  return byTime(counting, ({ pass }) => pass.riddenAtMs).map(passRecord);
}

/** A pass of a log with the marks that count. */
export function passRecord({ pass, marks }: LoggedPass): PassRecord {
  const counting = byTime(
    marks.filter(({ counts }) => counts),
    ({ saidAtMs }) => saidAtMs,
  );
  return { ...pass, marks: counting.map(({ mark }) => mark) };
}

/** What a log comes to: all that counts. */
export function standingRecord(log: RecordLog): LessonRecord {
  const counting = <One extends Said>(all: readonly One[]) =>
    byTime(
      all.filter(({ counts }) => counts),
      ({ saidAtMs }) => saidAtMs,
    );
  return {
    passes: standingPasses(log),
    breaks: byTime(
      log.breaks.filter(({ counts }) => counts).map(({ walked }) => walked),
      ({ atMs }) => atMs,
    ),
    asks: counting(log.asks).map(({ ask }) => ask),
    acknowledgedAtMs: log.acknowledgedAtMs,
  };
}

/** What is known of a lesson with what changed since: what changed is told whole, thing by thing. */
export function withNews(log: RecordLog, news: RecordLog): RecordLog {
  const joins = added(log.joins, news.joins, ({ id }) => id);
  const changes = added(log.changes, news.changes, ({ id }) => id);
  return {
    ...news,
    ...{ joins, changes, rides: ridesNow(joins, changes) },
    passes: replaced(log.passes, news.passes, ({ pass }) => pass.id),
    breaks: replaced(log.breaks, news.breaks, ({ walked }) => walked.id),
    asks: replaced(log.asks, news.asks, ({ ask }) => ask.id),
  };
}

function added<One>(known: readonly One[], news: readonly One[], idOf: (one: One) => string): readonly One[] {
  const ids = new Set(known.map(idOf));
  const fresh = news.filter(one => !ids.has(idOf(one)));
  return fresh.length === 0 ? known : [...known, ...fresh];
}

function replaced<One>(known: readonly One[], news: readonly One[], idOf: (one: One) => string): readonly One[] {
  const changed = new Map(news.map(one => [idOf(one), one]));
  if (changed.size === 0) return known;
  return added(
    known.map(one => changed.get(idOf(one)) ?? one),
    news,
    idOf,
  );
}
