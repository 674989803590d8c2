import { seededRandom } from '../statistics/seededRandom';
import { testQuestion } from '../question/testQuestion';
import type { TappedMark } from './passMark';
import type { RecordEvent } from './recordEvent';
import { applyEvent, EMPTY_LOG, standingRecord, withNews, type RecordLog } from './recordLog';
import { recordConflicts } from './recordConflicts';
import { bare, sayMark } from './sayMark';
import { changeOver, reversal, tapHistory } from './tapHistory';
import type { RecordChange } from './recordChange';

const PAIRS = ['juniper', 'alder'];
const STAGES = ['grid', 'line'];

/** A phone, or the desk: what it has heard from the server, and what it said that the server has not. */
type Device = { name: string; heard: number; unsent: RecordEvent[]; skewMs: number };

/** What the server was told, in the order it came. */
type World = { sent: RecordEvent[]; devices: Device[]; nowMs: number; ids: number };

const fold = (events: readonly RecordEvent[]) => events.reduce(applyEvent, EMPTY_LOG);
const logOf = ({ sent }: World, { heard, unsent }: Device) => fold([...sent.slice(0, heard), ...unsent]);

/** Something that a person does with what the device shows. */
function act(world: World, device: Device, random: () => number): void {
  const log = logOf(world, device);
  const pick = <One>(all: readonly One[]) => all[Math.floor(random() * all.length)];
  world.nowMs += 1 + Math.floor(random() * 5000);
  const newId = () => `${device.name}${(world.ids += 1)}`;
  const own = { newId, atMs: world.nowMs + device.skewMs, by: device.name };
  const change = (value: Parameters<typeof changeOver>[1]): RecordEvent => {
    const made = changeOver(log, value, null, own);
    return { type: 'change', id: made.id, lessonId: 'l', change: made };
  };
  const pass = pick(log.passes);
  const mark = pass && pick(pass.marks);
  const tap = pick([...PAIRS.flatMap(pairId => STAGES.map(stageId => ({ pairId, stageId })))])!;
  const history = tapHistory(log, tap);
  const undone = (taps: typeof history.undo): RecordEvent[] => {
    const last = taps[taps.length - 1];
    return last
      ? reversal(log, last, own).map(made => ({ type: 'change', id: made.id, lessonId: 'l', change: made }))
      : [];
  };
  const said: TappedMark = { kind: 'strides', place: 1, count: 3 + Math.floor(random() * 5) };
  const begin = (): RecordEvent[] => {
    const id = newId();
    return [
      {
        ...{ type: 'pass', id: newId(), by: own.by },
        pass: {
          ...{ id, pairId: pick(PAIRS)!, layoutVersionId: 'v', lessonId: 'l', stageId: pick(STAGES)!, stage: 's' },
          ...{ question: testQuestion('row'), rein: 'left', direction: 'as-drawn', riddenAtMs: own.atMs },
        },
      },
    ];
  };
  const doings: (() => RecordEvent[])[] = [
    begin,
    () => (pass ? [sayMark(log, pass.pass.id, said, own)] : begin()),
    () => (pass ? [sayMark(log, pass.pass.id, { kind: 'hit', place: 1 }, own)] : begin()),
    () => undone(history.undo),
    () => undone(history.redo),
    () =>
      pass ? [change({ on: 'pass', of: pass.pass.id, what: 'pair', was: pass.pass.pairId, to: pick(PAIRS)! })] : [],
    () =>
      pass
        ? [
            change({
              ...{ on: 'pass', of: pass.pass.id, what: 'stage', to: { stageId: pick(STAGES)!, stage: 's' } },
              was: { stageId: pass.pass.stageId, stage: 's' },
            }),
          ]
        : [],
    () => (pass ? [change({ on: 'pass', of: pass.pass.id, what: 'counts', was: pass.counts, to: !pass.counts })] : []),
    () => (mark ? [change({ on: 'mark', of: mark.mark.id, what: 'counts', was: mark.counts, to: !mark.counts })] : []),
    () =>
      mark && mark.mark.kind === 'strides'
        ? [change({ on: 'mark', of: mark.mark.id, what: 'said', was: bare(mark.mark), to: said })]
        : [],
  ];
  device.unsent.push(...pick(doings)!());
}

/** The device's post comes, some of it twice; some of it is heard again later still. */
function deliver(world: World, device: Device, random: () => number): void {
  const some = device.unsent.splice(0, 1 + Math.floor(random() * 3));
  for (const event of some) {
    world.sent.push(event);
    if (random() < 0.3) world.sent.push(event);
  }
}

/** A month of taps in two hands: every seed is another story. */
function story(seed: number): World {
  const random = seededRandom(seed);
  const world: World = {
    ...{ sent: [], nowMs: 1_000_000, ids: 0 },
    devices: [
      { name: 'A', heard: 0, unsent: [], skewMs: 0 },
      { name: 'B', heard: 0, unsent: [], skewMs: Math.floor((random() - 0.5) * 20_000) },
    ],
  };
  for (let step = 0; step < 60; step += 1) {
    const device = world.devices[random() < 0.5 ? 0 : 1]!;
    const what = random();
    if (what < 0.6) act(world, device, random);
    else if (what < 0.85) deliver(world, device, random);
    else if (device.unsent.length === 0) device.heard = world.sent.length;
  }
  for (const device of world.devices) while (device.unsent.length > 0) deliver(world, device, random);
  return world;
}

const SEEDS = Array.from({ length: 150 }, (_, index) => index + 1);

/** The same things, each after what it speaks of, in another order. */
function shuffled(events: readonly RecordEvent[], random: () => number): RecordEvent[] {
  const queues = ['A', 'B'].map(name => events.filter(event => event.id.startsWith(name)));
  const result: RecordEvent[] = [];
  const known = new Set<string>();
  const speaksOf = (event: RecordEvent): string[] => {
    if (event.type === 'mark') return [event.passId];
    return event.type === 'change' ? [event.change.of] : [];
  };
  while (queues.some(queue => queue.length > 0)) {
    const ready = queues.filter(([first]) => first && speaksOf(first).every(id => known.has(id)));
    const queue = ready[Math.floor(random() * ready.length)]!;
    const event = queue.shift()!;
    if (event.type === 'pass') known.add(event.pass.id);
    if (event.type === 'mark') known.add(event.mark.id);
    result.push(event);
  }
  return result;
}

/** What stands, without the order in which things of one time came. */
function comparable(log: RecordLog): unknown {
  const { passes } = standingRecord(log);
  const byId = <One extends { id: string }>(all: readonly One[]) => [...all].sort((a, b) => (a.id < b.id ? -1 : 1));
  return byId(passes).map(({ marks, ...pass }) => ({ ...pass, marks: byId(marks) }));
}

test('two devices that were told the same say the same, in whatever order, and however often it came', () => {
  for (const seed of SEEDS) {
    const { sent } = story(seed);
    const once = fold(sent);
    expect(comparable(fold(shuffled(sent, seededRandom(seed + 1000))))).toEqual(comparable(once));
    expect(comparable(fold([...sent, ...sent]))).toEqual(comparable(once));
  }
});

test('what changed is told whole: what is known with its news is what is told afresh', () => {
  for (const seed of SEEDS.slice(0, 40)) {
    const { sent } = story(seed);
    const half = Math.floor(sent.length / 2);
    const [before, after] = [fold(sent.slice(0, half)), fold(sent)];
    const changed = after.passes.filter(
      one => JSON.stringify(one) !== JSON.stringify(before.passes.find(({ pass }) => pass.id === one.pass.id)),
    );
    const news = { ...after, passes: changed, changes: after.changes.slice(before.changes.length) };
    expect(comparable(withNews(before, news))).toEqual(comparable(after));
  }
});

/**
 * Reckoned apart from the log: of every thing, who had heard what when they said something. The last word is one that nobody
 * who knew of it said anything after.
 */
function lastWords(changes: readonly RecordChange[]): RecordChange[] {
  const knew = new Map<string, Set<string>>();
  for (const { id, from } of changes) {
    const seen = new Set<string>();
    for (const other of from) {
      seen.add(other);
      knew.get(other)?.forEach(one => seen.add(one));
    }
    knew.set(id, seen);
  }
  return changes.filter(({ id }) => ![...knew.values()].some(seen => seen.has(id)));
}

test('what stands is the last word, and where two did not know of each other both are told', () => {
  let both = 0;
  for (const seed of SEEDS) {
    const log = fold(story(seed).sent);
    const conflicts = recordConflicts(log);
    for (const { pass, counts } of log.passes) {
      const own = log.changes.filter(
        change => change.on === 'pass' && change.of === pass.id && change.what === 'counts',
      );
      const last = lastWords(own);
      if (own.length === 0) expect(counts).toBe(true);
      else expect(last.map(({ to }) => to)).toContain(counts);
      const differ = new Set(last.map(({ to }) => to)).size > 1;
      expect(conflicts.some(({ of, what }) => of === pass.id && what === 'counts')).toBe(differ);
      if (differ) both += 1;
    }
  }
  // The stories have such cases at all.
  expect(both).toBeGreaterThan(3);
});

test('a late change does not undo one that was made knowing more, whatever the clocks say', () => {
  const begun = fold([
    {
      ...{ type: 'pass', id: 'e', by: 'A' },
      pass: {
        ...{ id: 'p', pairId: 'juniper', layoutVersionId: 'v', lessonId: 'l', stageId: 'grid', stage: 's' },
        ...{ question: testQuestion('row'), rein: 'left', direction: 'as-drawn', riddenAtMs: 0 },
      },
    },
  ]);
  const moved = (id: string, to: string, from: string[], atMs: number): RecordEvent => ({
    ...{ type: 'change', id, lessonId: 'l' },
    change: { id, on: 'pass', of: 'p', what: 'pair', was: 'juniper', to, from, atMs, by: id, undoes: null },
  });
  // The phone's clock is an hour ahead; the desk saw what it said and put it right.
  const log = [moved('desk', 'heron', ['phone'], 5), moved('phone', 'alder', [], 3_600_000)].reduce(applyEvent, begun);
  expect(log.passes[0]!.pass.pairId).toBe('heron');
  expect(recordConflicts(log)).toEqual([]);
  // A third one knew of neither: both are kept, and one of them stands.
  const three = applyEvent(log, moved('tablet', 'willow', [], 6));
  expect(three.passes[0]!.pass.pairId).toBe('willow');
  expect(recordConflicts(three)[0]!.others.map(({ value }) => value)).toEqual(['heron']);
});

test('two who count one leg without knowing of each other are both told', () => {
  const pass: RecordEvent = {
    ...{ type: 'pass', id: 'e', by: 'A' },
    pass: {
      ...{ id: 'p', pairId: 'juniper', layoutVersionId: 'v', lessonId: 'l', stageId: 'grid', stage: 's' },
      ...{ question: testQuestion('row'), rein: 'left', direction: 'as-drawn', riddenAtMs: 0 },
    },
  };
  const five = (id: string, by: string, count: number, atMs: number): RecordEvent => ({
    ...{ type: 'mark', id: `e${id}`, passId: 'p', by, atMs },
    mark: { id, kind: 'strides', place: 1, count },
  });
  const log = fold([pass, five('a', 'A', 5, 1), five('b', 'B', 6, 2)]);
  expect(recordConflicts(log)).toMatchObject([
    { passId: 'p', standing: { by: 'B', value: { count: 6 } }, others: [{ by: 'A', value: { count: 5 } }] },
  ]);
  expect(recordConflicts(fold([pass, five('a', 'A', 5, 1), five('b', 'B', 5, 2)]))).toEqual([]);
  expect(recordConflicts(fold([pass, five('a', 'A', 5, 1), five('b', 'A', 6, 2)]))).toEqual([]);
});
