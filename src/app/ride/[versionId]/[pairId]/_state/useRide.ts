import { newId } from '@/components/newId';
import { rideBox } from '@/components/sync/boxes';
import { useBox } from '@/components/sync/useBox';
import { passOf } from '@/app/ride/recordWords';
import { saying } from '@/app/ride/saying';
import {
  amend,
  applyEvent,
  EMPTY_LOG,
  nearestWay,
  reverseTap,
  sayMark,
  standingPasses,
  tapHistory,
  trackKey,
  UNTOLD_QUESTION,
  type Question,
  type RecordEvent,
  type RecordLog,
  type RideWay,
  type Tap,
  type TappedMark,
} from '@/core';
import { eventReader } from '@/app/ride/eventReader';
import { useCallback, useMemo, useState } from 'react';

export type RideSetting = {
  pairId: string;
  layoutVersionId: string;
  stage: string;
  question: Question;
  /** The ways in which it may be ridden. */
  ways: readonly RideWay[];
  /** Over the whole layout version, whatever was asked; taken back or not. */
  first: Pick<RecordLog, 'passes' | 'changes'>;
};

/** The passes of a pair over a layout, as they are tapped: shown at once, kept on the device, sent in order. */
export function useRide(setting: RideSetting) {
  const { pairId, layoutVersionId, stage, question, ways, first } = setting;
  /** What was taken since the page was opened: the page's own record is of before. */
  const [said, setSaid] = useState<readonly RecordEvent[]>([]);
  const { ready, unsent, add, waits } = useBox<RecordEvent>({
    box: rideBox(pairId, layoutVersionId),
    reader: eventReader,
    answered: () => undefined,
  });
  // What waits from before, or from another tab, is of this ride too; an event counts once.
  const events = useMemo(() => [...unsent, ...said], [unsent, said]);
  const [openPassId, setOpenPassId] = useState<string | null>(null);
  /** Which pass is being marked, counted here. */
  const [round, setRound] = useState(0);
  const [next, setNext] = useState<RideWay>(() => nearestWay(ways, { rein: 'left', direction: 'as-drawn' }));

  const [openedAtMs] = useState(() => Date.now());
  const asked = trackKey(question);
  const log = useMemo(() => events.reduce<RecordLog>(applyEvent, { ...EMPTY_LOG, ...first }), [events, first]);
  const passes = useMemo(
    () =>
      standingPasses(log).filter(
        // A pass that was said to be another pair's is theirs.
        pass =>
          pass.pairId === pairId && (trackKey(pass.question) === asked || pass.question.id === UNTOLD_QUESTION.id),
      ),
    [log, asked, pairId],
  );
  const open = passes.find(pass => pass.id === openPassId) ?? null;

  const record = useCallback(
    (happened: RecordEvent[]) => {
      setSaid(current => [...current, ...happened]);
      add(happened);
    },
    [add],
  );
  const newPass = (own: ReturnType<typeof saying>): Extract<RecordEvent, { type: 'pass' }> => ({
    ...{ type: 'pass', id: newId(), by: own.by },
    pass: {
      ...{ id: newId(), pairId, layoutVersionId, lessonId: null, stageId: null, stage, question },
      ...{ ...next, riddenAtMs: own.atMs },
    },
  });
  /** Marks of one tap, each to be undone by itself; the first of a pass begins it. */
  const sayMarks = (said: readonly TappedMark[]): string | null => {
    if (said.length === 0) return null;
    const own = saying();
    const begun = open ? [] : [newPass(own)];
    const passId = open?.id ?? begun[0]!.pass.id;
    record([...begun, ...said.map((one, i) => sayMark(log, passId, one, { ...own, atMs: own.atMs + i }))]);
    return passId;
  };
  const mark = (...said: TappedMark[]) => {
    const passId = sayMarks(said);
    if (passId !== null) setOpenPassId(passId);
  };
  /** Ends the pass; one with nothing to mark is recorded too. */
  const endPass = (counted: readonly TappedMark[] = []) => {
    if (sayMarks(counted) === null && !open) record([newPass(saying())]);
    setOpenPassId(null);
    setRound(round + 1);
  };
  const steer = (way: RideWay) => {
    setNext(way);
    if (!open) return;
    const was = { rein: open.rein, direction: open.direction };
    const to = { rein: way.rein, direction: way.direction };
    record([amend(log, null, { on: 'pass', of: open.id, what: 'way', was, to }, saying())]);
  };
  /** A mark taken back by itself. */
  const unmark = (markId: string) =>
    record([amend(log, null, { on: 'mark', of: markId, what: 'counts', was: true, to: false }, saying())]);
  const history = tapHistory(logOfRide(log, asked, openedAtMs), 'all');
  const reverse = (tap: Tap) => record(reverseTap(log, null, tap, saying()));

  return {
    ready,
    passes,
    open,
    way: open ? { rein: open.rein, direction: open.direction } : next,
    mark,
    unmark,
    endPass,
    steer,
    ...{ log, record, history, reverse },
    round,
    reopen: (passId: string) => {
      setOpenPassId(passId);
      setRound(round + 1);
    },
    waits,
  };
}

export type Ride = ReturnType<typeof useRide>;

/** What was ridden earlier than this is of another ride: it is put right by its own page, never by an undo here. */
const SAME_RIDE_MS = 6 * 3600 * 1000;

/** What belongs to the ride that is shown. */
function logOfRide(log: RecordLog, asked: string, openedAtMs: number): RecordLog {
  const own = log.passes.filter(
    ({ pass }) => trackKey(pass.question) === asked && pass.riddenAtMs > openedAtMs - SAME_RIDE_MS,
  );
  const ofOwn = { ...log, passes: own };
  return { ...ofOwn, changes: log.changes.filter(change => passOf(ofOwn, change) !== undefined) };
}
