import {
  firstSaid,
  markWords,
  passRecord,
  type Act,
  type LoggedPass,
  type PassRecord,
  type Question,
  type RecordChange,
  type RecordLog,
  type Tap,
  type TappedMark,
} from '@/core';
import { placeName, type AskedRide } from './askedRide';
import { wayWords } from './wayWords';

/** What things of a record are called. */
export type RecordNames = {
  log: RecordLog;
  pairOf: (pairId: string) => string;
  timeOf: (atMs: number) => string;
  /** What a pass was over; null until it is known. */
  rideOf: (pass: Pick<PassRecord, 'layoutVersionId' | 'question' | 'pairId'>) => AskedRide | null;
};

/** A mark in the words of its own pass. */
export function markOfPassWords(mark: TappedMark, ride: AskedRide | null): string {
  return markWords(mark, (place, part) => placeName(ride, place, part), ride?.inWords ?? String);
}

/** A pass in a few words: what was ridden, and on which rein. */
export function passWords(pass: Omit<PassRecord, 'marks'>, ride: AskedRide | null): string {
  const way = wayWords(pass);
  const isPlain = way === '' || way === wayWords({ rein: null, direction: 'as-drawn' });
  return `${ride?.words ?? pass.stage}${isPlain ? '' : `, ${way.charAt(0).toLowerCase()}${way.slice(1)}`}`;
}

/** What a tap said, by which an undo is told. */
export function tapWords(names: RecordNames, tap: Tap): string {
  const first = firstSaid(names.log, tap);
  // A pass that was begun by its first mark goes with it.
  const told = first.acts.find(({ said }) => said.kind === 'mark') ?? first.acts[0]!;
  const words = actWords(names, told);
  const begun = told.said.kind === 'mark' && first.acts.some(({ said }) => said.kind === 'pass');
  return begun ? `${words}, and its pass` : words;
}

function actWords({ log, ...names }: RecordNames, { said, passId }: Act): string {
  const pass = passId === null ? undefined : log.passes.find(one => one.pass.id === passId);
  switch (said.kind) {
    case 'pass':
      return pass ? `the pass: ${passWords(pass.pass, names.rideOf(pass.pass))}` : 'a pass';
    case 'mark': {
      const mark = pass?.marks.find(one => one.mark.id === said.id)?.mark;
      return pass && mark ? markOfPassWords(mark, names.rideOf(pass.pass)) : 'a mark';
    }
    case 'break':
      return 'the walk break';
    case 'ask':
      return 'what was asked otherwise';
    case 'join':
      return `${names.pairOf(said.pairId)} joining`;
    case 'change': {
      const { what, before, after } = changeWords({ log, ...names }, said.change);
      return `${what}: ${after}, before ${before}`;
    }
  }
}

/** A change in words: of what, what it was before, and what it is after. */
export type ChangeWords = { what: string; before: string; after: string };

export function changeWords(names: RecordNames, change: RecordChange): ChangeWords {
  const pass = passOf(names.log, change);
  const ride = pass ? names.rideOf(pass.pass) : null;
  const both = (what: string, words: (value: never) => string): ChangeWords => ({
    ...{ what, before: words(change.was as never), after: words(change.to as never) },
  });
  switch (change.what) {
    case 'counts':
      return both(
        change.on === 'mark' ? markWordsOf(names.log, change.of, ride) : THINGS[change.on],
        (counts: boolean) => (counts ? 'counts' : 'taken back'),
      );
    case 'way':
      return both('the way', (way: PassRecord) => wayWords(way) || 'as drawn');
    case 'pair':
      return both('who rode', names.pairOf);
    case 'stage':
      return both('the stage', ({ stage }: { stage: string }) => stage);
    case 'question':
      return both('what was ridden', (question: Question) => {
        const own = pass && names.rideOf({ ...pass.pass, question });
        return own?.words ?? 'something else';
      });
    case 'time':
      return both(change.on === 'pass' ? 'when it was ridden' : 'when it walked', names.timeOf);
    case 'said':
      return both('a mark', (said: TappedMark) => markOfPassWords(said, ride));
    case 'rides':
      return both(names.pairOf(change.of), (rides: boolean) => (rides ? 'rides' : 'does not ride'));
    case 'ended':
      return both('the lesson', (atMs: number | null) => (atMs === null ? 'open' : `ended ${names.timeOf(atMs)}`));
    case 'order':
      return both('the order of pairs', (ids: string[]) => ids.map(names.pairOf).join(', '));
    case 'day':
      return both('the day of the lesson', names.timeOf);
    case 'archived':
      return both('the lesson', (archived: boolean) => (archived ? 'archived' : 'in the lists'));
    case 'plan':
      return both('the plan', (words: string) => words);
  }
}

const THINGS = {
  ...{ pass: 'a pass', mark: 'a mark', break: 'a walk break', ask: 'what was asked on the day', pair: 'a pair' },
  lesson: 'the lesson',
} as const;

function markWordsOf({ passes }: RecordLog, markId: string, ride: AskedRide | null): string {
  const logged = passes.flatMap(({ marks }) => marks).find(({ mark }) => mark.id === markId);
  return logged ? markOfPassWords(logged.mark, ride) : THINGS.mark;
}

/** The pass that a change is of, or whose mark it is of. */
export function passOf({ passes }: RecordLog, { on, of }: Pick<RecordChange, 'on' | 'of'>): LoggedPass | undefined {
  if (on === 'pass') return passes.find(({ pass }) => pass.id === of);
  if (on === 'mark') return passes.find(({ marks }) => marks.some(({ mark }) => mark.id === of));
  return undefined;
}

/** What was marked in a pass that counts, in words; none where nothing was. */
export function marksInWords(logged: LoggedPass, ride: AskedRide | null): string[] {
  return passRecord(logged).marks.map(mark => markOfPassWords(mark, ride));
}
